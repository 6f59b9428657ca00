import type { JointContext } from './joint.ts'
import type { Sheet } from './sheet.ts'
import type { Side } from './side.ts'
import { plates } from './stack.ts'

/** True where some part owns the port, measured or not: a piece nobody named makes no joint. */
export const isNamed = (port: { readonly part: string }): boolean => port.part !== '?'

/**
 * Adds ± the place of the vehicle's x = 0 (midway between its engine mounts) along the train, from the block face.
 * Kept driveline: the gearbox sits on its crossmember and places the train. Set back: the engine sits on its mounts.
 */
export function chassisOrigin(sign: 1 | -1, a: Side, b: Side, ctx: JointContext, sheet: Sheet): void {
  if (ctx.placement === 'set-back') {
    sheet.term(sign, a.enginePads.alongMm)
    return
  }
  plates(sign, ctx, sheet)
  sheet.term(sign, b.mountPad.alongMm)
  sheet.term(sign === 1 ? -1 : 1, b.crossmember.alongMm)
}

/** Names what the place of the vehicle's x = 0 leans on; its value and ±, NaN and Infinity where unknown. */
export function usesOrigin(a: Side, b: Side, ctx: JointContext, sheet: Sheet): { v: number; pm: number } {
  if (ctx.placement === 'set-back') {
    sheet.uses(a.enginePads.alongMm)
    return a.enginePads.alongMm
  }
  const { alongMm } = b.mountPad
  sheet.uses(alongMm)
  sheet.uses(b.crossmember.alongMm)
  let v = alongMm.v - b.crossmember.alongMm.v
  let pm = alongMm.pm + b.crossmember.alongMm.pm
  for (const part of ctx.stack)
    for (const port of part.ports)
      if (port.kind === 'plate') {
        const { thicknessMm } = port as unknown as Side['plate']
        sheet.uses(thicknessMm)
        v += thicknessMm.v
        pm += thicknessMm.pm
      }
  return { v, pm }
}
