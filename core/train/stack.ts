import { type CompiledPart, portOf, portsOf } from '../ports/index.ts'
import { type Size, sizeOf } from './size.ts'

/** Plates between block and bell, from the block rearward. */
export interface PlateFigure extends Size {
  readonly added: boolean
}

const PLATE_MM = 3

/** Plates of a stack in order, and which were put in to close a gap. */
export const platesOf = (
  stack: readonly CompiledPart[],
  added: ReadonlySet<string>,
): readonly PlateFigure[] =>
  stack
    .filter((part) => portsOf(part, 'plate').length > 0)
    .map((part) => ({
      ...sizeOf(portOf(part, 'plate').thicknessMm, PLATE_MM),
      added: added.has(part.id),
    }))

/** How thick plates and spacers of a stack are together, mm. */
export function stackDepths(stack: readonly CompiledPart[]): {
  readonly platesMm: number
  readonly isPlates: boolean
  readonly spacersMm: number
} {
  const plates = platesOf(stack, new Set())
  const spacers = stack.flatMap((part) => portsOf(part, 'spacer'))
  return {
    platesMm: plates.reduce((sum, { mm }) => sum + mm, 0),
    isPlates: plates.every(({ known }) => known),
    spacersMm: spacers.reduce((sum, { thicknessMm }) => sum + (thicknessMm.v || 0), 0),
  }
}
