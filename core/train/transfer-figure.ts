import { type CompiledPart, portOf } from '../ports/index.ts'
import { mmOf, type Size, sizeOf, wordOf } from './size.ts'

/** What a transfer case is drawn from, mm from its own front face and the shaft axis. */
export interface TransferFigure {
  readonly length: Size
  /** Front output below the shaft axis, and its joint along. */
  readonly drop: Size
  readonly frontAlong: Size
  readonly frontSide: 'left' | 'right'
  readonly output: { readonly along: Size; readonly belowMm: number }
}

const LENGTH_MM = 388
const DROP_MM = 214
const YOKE_MM = 34
const FRONT_ALONG_MM = 14

/** What a transfer case is drawn from. */
export function transferFigure(part: CompiledPart): TransferFigure {
  const said = portOf(part, 'transfer')
  const output = portOf(part, 'output')
  const end = mmOf(output.alongMm)
  // Measured to its joint, its length follows.
  const length =
    end === null
      ? sizeOf(portOf(part, 'outline').lengthMm, LENGTH_MM)
      : { mm: Math.max(120, end - YOKE_MM), known: true }
  return {
    length,
    drop: sizeOf(said.dropMm, DROP_MM),
    frontAlong: sizeOf(said.frontAlongMm, FRONT_ALONG_MM),
    frontSide: wordOf(said.frontSide, ['left', 'right'], 'left'),
    output: {
      along: sizeOf(output.alongMm, length.mm + YOKE_MM),
      belowMm: mmOf(output.belowMm) ?? 0,
    },
  }
}
