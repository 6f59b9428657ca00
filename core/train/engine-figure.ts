import type { Zone } from '../ports/field.ts'
import { type CompiledPart, portOf } from '../ports/index.ts'
import { mmOf, type Size, sizeOf, wordOf } from './size.ts'

export const ARRANGEMENTS = ['in line', 'in a vee', 'flat'] as const
export type Arrangement = (typeof ARRANGEMENTS)[number]

/** Mount pads from the block face, + rearward, below the crank axis and from one to the other, mm. */
export interface EnginePads {
  readonly alongMm: number
  readonly belowMm: number
  readonly spreadMm: number
}

/** What an engine is drawn from. Lengths nobody said follow from those that were, by the proportions engines have. */
export interface EngineFigure {
  readonly arrangement: Arrangement
  readonly count: number
  /** Whether arrangement and number of cylinders are known. */
  readonly isKind: boolean
  readonly bore: Size
  readonly stroke: Size
  readonly spacing: Size
  /** Crank axis to the face under the head. */
  readonly deck: Size
  readonly head: Size
  readonly bankDeg: number
  readonly slantDeg: number
  readonly cams: 'block' | 'head'
  /** Side of the exhaust, seen from behind. */
  readonly hot: 'left' | 'right' | 'both'
  readonly fan: 'belt' | 'electric' | 'none'
  /** What charges it. */
  readonly air: 'natural' | 'turbo' | 'blower'
  readonly length: Size
  readonly height: Size
  readonly width: Size
  readonly pads: EnginePads | null
  /** The pan by zone; empty where nobody measured it. */
  readonly sump: readonly Zone[]
}

/** Proportions of engines, where nobody measured (common practice, no published source). */
const SPACING_OF_BORE = 1.13
const ROD_OF_STROKE = 1.65
const PISTON_OF_BORE = 0.36
const HEAD_OF_BORE = { head: 1.35, block: 0.95 }
/** What a block is longer than its row of cylinders, with front cover and pulley, mm. */
const ENDS_MM = 190
const LENGTH_MM = 540
const BANK_DEG = { 'in line': 0, 'in a vee': 90, flat: 180 }

/** How many cylinders stand behind one another. */
export const rowsOf = (arrangement: Arrangement, count: number): number =>
  Math.max(1, arrangement === 'in line' ? count : Math.ceil(count / 2))

/** What an engine is drawn from. */
export function engineFigure(part: CompiledPart): EngineFigure {
  const said = portOf(part, 'cylinders')
  const traits = portOf(part, 'engine-traits')
  const outline = portOf(part, 'outline')
  const pads = portOf(part, 'engine-pads')
  const hot = wordOf(traits.hot, ['left', 'right', 'both'], 'right')
  const arrangement = wordOf(said.arrangement, ARRANGEMENTS, 'in line')
  const count = mmOf(said.count) ?? (arrangement === 'in a vee' ? 8 : 4)
  const rows = rowsOf(arrangement, count)
  const length = sizeOf(outline.lengthMm, LENGTH_MM)
  const bore = sizeOf(said.boreMm, Math.max(50, (length.mm - ENDS_MM) / (rows * SPACING_OF_BORE)))
  const stroke = sizeOf(said.strokeMm, bore.mm)
  const cams = wordOf(traits.cams, ['block', 'head'], 'head')
  return {
    arrangement,
    count,
    isKind: said.arrangement.grade > 0 && said.count.grade > 0,
    bore,
    stroke,
    spacing: sizeOf(said.spacingMm, Math.round(bore.mm * SPACING_OF_BORE)),
    deck: sizeOf(
      said.deckMm,
      Math.round(stroke.mm / 2 + ROD_OF_STROKE * stroke.mm + PISTON_OF_BORE * bore.mm + 1),
    ),
    head: sizeOf(said.headMm, Math.round(bore.mm * HEAD_OF_BORE[cams])),
    bankDeg: arrangement === 'flat' ? 180 : (mmOf(said.bankDeg) ?? BANK_DEG[arrangement]),
    slantDeg: arrangement === 'in line' ? (mmOf(said.slantDeg) ?? 0) : 0,
    cams,
    hot: arrangement === 'in line' && hot === 'both' ? 'right' : hot,
    air: wordOf(traits.air, ['natural', 'turbo', 'blower'], 'natural'),
    fan: wordOf(traits.fan, ['belt', 'electric', 'none'], 'belt'),
    length,
    height: sizeOf(outline.heightMm, 640),
    width: sizeOf(outline.widthMm, 520),
    pads:
      mmOf(pads.alongMm) === null || mmOf(pads.belowMm) === null
        ? null
        : {
            alongMm: pads.alongMm.v,
            belowMm: pads.belowMm.v,
            spreadMm: mmOf(pads.spreadMm) ?? 480,
          },
    sump: portOf(part, 'sump').zones.v ?? [],
  }
}
