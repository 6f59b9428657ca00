import { type CompiledPart, portOf } from '../ports/index.ts'
import { mmOf, type Size, sizeOf, wordOf } from './size.ts'

/** The final drive inside a transaxle, mm: along from the bell face, beside and below the crank axis, joints each side of it. */
export interface FinalDrive {
  readonly along: Size
  readonly beside: Size
  readonly below: Size
  readonly left: Size
  readonly right: Size
}

/** What a gearbox is drawn from. */
export interface GearboxFigure {
  readonly kind: 'manual' | 'automatic'
  /** Bell face to the end of the bell, and the case behind it. */
  readonly bell: Size
  readonly length: Size
  readonly height: Size
  readonly width: Size
  readonly leverMm: number | null
  readonly isLeverOnCase: boolean
  readonly pad: { readonly alongMm: number; readonly belowMm: number } | null
  /** Joint at the end, from the bell face, below and right of the shaft axis; known where it was measured. */
  readonly output: { readonly along: Size; readonly belowMm: number; readonly rightMm: number }
  /** A transaxle's final drive; null where the power leaves to the back. */
  readonly final: FinalDrive | null
}

const BELL_MM = 165
const CASE_MM = 560
/** From the end of the case to the middle of the first joint. */
const YOKE_MM = 34

/** What a gearbox is drawn from, behind a bell of its own part where it has one. */
export function gearboxFigure(part: CompiledPart, own: CompiledPart | null = null): GearboxFigure {
  const outline = portOf(part, 'outline')
  const traits = portOf(part, 'gearbox-traits')
  const ratios = portOf(part, 'ratios')
  const lever = portOf(part, 'lever')
  const pad = portOf(part, 'mount-pad')
  const output = portOf(part, 'output')
  const sides = portOf(part, 'side-outputs')
  const isSides = traits.output.v === 'sides' || sides.present || !Number.isNaN(ratios.finalDrive.v)
  const said = sizeOf(outline.bellMm, BELL_MM)
  const bell = own ? sizeOf(portOf(own, 'bell').lengthMm, said.mm) : said
  const end = mmOf(output.alongMm)
  const length = sizeOf(
    outline.lengthMm,
    end === null ? (isSides ? 380 : CASE_MM) : Math.max(120, end - bell.mm - YOKE_MM),
  )
  return {
    kind: wordOf(ratios.type, ['manual', 'automatic'], 'manual'),
    bell,
    length,
    height: sizeOf(outline.heightMm, 320),
    width: sizeOf(outline.widthMm, 320),
    leverMm: mmOf(lever.alongMm),
    isLeverOnCase: lever.work.v === null || lever.work.v === 'lever on the case',
    pad:
      mmOf(pad.alongMm) === null
        ? null
        : { alongMm: pad.alongMm.v, belowMm: mmOf(pad.belowMm) ?? outline.heightMm.v / 2 },
    output: {
      along: sizeOf(output.alongMm, bell.mm + length.mm + YOKE_MM),
      belowMm: mmOf(output.belowMm) ?? 0,
      rightMm: mmOf(output.rightMm) ?? 0,
    },
    final: isSides
      ? {
          along: sizeOf(sides.alongMm, 96),
          beside: sizeOf(sides.besideMm, 188),
          below: sizeOf(sides.belowMm, 66),
          left: sizeOf(sides.leftMm, 122),
          right: sizeOf(sides.rightMm, 122),
        }
      : null,
  }
}
