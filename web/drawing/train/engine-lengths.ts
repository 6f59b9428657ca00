import { type EngineFigure, rowsOf } from '../../../core/train/engine-figure.ts'
import { radians } from './mark.ts'

/** Proportions of castings, mm (common practice, no published source). */
const WALL = 6
const REAR = 22
const FRONT = 16
/** How much later the far bank of a vee or a flat engine starts. */
const BANK_STEP = 24
const PULLEY_LONG = 46
const COVER_LONG = { block: 46, head: 54 }
const COVER_TALL = { block: 62, head: 52 }
const HEAD_OVER_BORE = { block: 74, head: 98 }
/** Pan rail under the crank axis. */
export const SKIRT = 58
export const PULLEY = 78

/** Every length an engine is drawn from, x back from the block face (ahead negative), heights from the crank axis along a bank. */
export interface EngineLengths {
  /** Cylinders of the near row, front first. */
  readonly xs: readonly number[]
  readonly spacing: number
  readonly bore: number
  readonly stroke: number
  readonly rod: number
  /** Pin to crown. */
  readonly crown: number
  readonly deck: number
  readonly head: number
  readonly cover: number
  /** Half widths of head and of the block at the bores. */
  readonly headHalf: number
  readonly bankHalf: number
  /** Front of block, of front cover, of pulley. */
  readonly blockFront: number
  readonly coverFront: number
  readonly nose: number
  /** What each bank leans to the right, seen from behind, degrees: one for a row, two for banks. */
  readonly leans: readonly number[]
}

/** The lengths of an engine by the proportions of its kind; a measured one beats its stand-in. */
export function engineLengths(engine: EngineFigure): EngineLengths {
  const { arrangement, count, cams } = engine
  const bore = engine.bore.mm
  const rows = rowsOf(arrangement, count)
  const spacing = engine.spacing.mm
  const xs = Array.from(
    { length: rows },
    (_, i) => -(REAR + WALL + bore / 2) - (rows - 1 - i) * spacing,
  )
  const blockFront = xs[0]! - bore / 2 - WALL - FRONT - (arrangement === 'in line' ? 0 : BANK_STEP)
  // The front cover is what is left of the measured length, less the pulley.
  const coverLong = engine.length.known
    ? Math.max(24, engine.length.mm + blockFront - PULLEY_LONG)
    : COVER_LONG[cams]
  return {
    xs,
    spacing,
    bore,
    stroke: engine.stroke.mm,
    rod: Math.round(engine.stroke.mm * 1.65),
    crown: Math.round(bore * 0.36),
    deck: engine.deck.mm,
    head: engine.head.mm,
    cover: COVER_TALL[cams],
    headHalf: (bore + HEAD_OVER_BORE[cams]) / 2,
    bankHalf: bore / 2 + (arrangement === 'in line' ? 30 : 18),
    blockFront,
    coverFront: blockFront - coverLong,
    nose: blockFront - coverLong - PULLEY_LONG,
    leans:
      arrangement === 'in line' ? [engine.slantDeg] : [-engine.bankDeg / 2, engine.bankDeg / 2],
  }
}

/** A point of a bank seen along the crank from behind: u across it to the right, v along it, leaning to the right; x right, y down. */
export const acrossCrank = (u: number, v: number, leanDeg: number): readonly [number, number] => {
  const [cos, sin] = [Math.cos(radians(leanDeg)), Math.sin(radians(leanDeg))]
  return [v * sin + u * cos, -(v * cos - u * sin)]
}

const THROWS: Readonly<Record<string, readonly number[]>> = {
  3: [0, 240, 120],
  4: [0, 180, 180, 0],
  6: [0, 120, 240, 240, 120, 0],
}
const VEE_THROWS: Readonly<Record<string, readonly number[]>> = {
  4: [0, 90, 270, 180],
  3: [0, 120, 240],
}

/** Where each crank throw stands, degrees from the top, front first. */
export const throwsOf = ({ arrangement, count }: EngineFigure): readonly number[] => {
  const rows = rowsOf(arrangement, count)
  const known = arrangement === 'in line' ? THROWS[rows] : VEE_THROWS[rows]
  return known ?? Array.from({ length: rows }, (_, i) => (i * 360) / rows)
}

/** Height of the piston pin over the crank axis along its bank, and of the crank pin, mm, at a throw of so many degrees from the bank. */
export function pistonAt(
  { stroke, rod }: Pick<EngineLengths, 'stroke' | 'rod'>,
  degrees: number,
): { readonly pin: number; readonly crankUp: number; readonly crankAside: number } {
  const throwMm = stroke / 2
  const up = throwMm * Math.cos(radians(degrees))
  const aside = throwMm * Math.sin(radians(degrees))
  return { pin: up + Math.sqrt(rod ** 2 - aside ** 2), crankUp: up, crankAside: aside }
}

/** A vee over its covers, mm. */
export function veeSize(
  { deck, head, cover, headHalf }: EngineLengths,
  bankDeg: number,
): {
  readonly wide: number
  readonly tall: number
} {
  const [cos, sin] = [Math.cos(radians(bankDeg / 2)), Math.sin(radians(bankDeg / 2))]
  const out = deck + head + cover
  return { wide: 2 * (out * sin + headHalf * cos), tall: out * cos + headHalf * sin }
}
