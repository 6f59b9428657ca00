import { isNamed, usesOrigin } from './chassis.ts'
import type { JointContext } from './joint.ts'
import type { Sheet } from './sheet.ts'
import type { Side } from './side.ts'

/** Where a propshaft runs at ride height: from the output's joint centre to the axle's. */
export interface ShaftLine {
  readonly lengthMm: number
  readonly pmMm: number
  /** Fall of the shaft rearward, side view, and its run aside in plan. */
  readonly sideDeg: number
  readonly planDeg: number
  readonly pmDeg: number
}

const DEG = 180 / Math.PI

/** Names what the line leans on. */
export function usesLine(a: Side, b: Side, ctx: JointContext, sheet: Sheet): void {
  usesOrigin(a, b, ctx, sheet)
  if (isNamed(b.transfer)) sheet.uses(b.caseShaft.faceMm)
  for (const field of [b.output.alongMm, b.output.belowMm, b.output.rightMm, b.chassisPads.crankAboveMm, b.pinion.alongMm, b.pinion.belowMm, b.pinion.rightMm]) sheet.uses(field)
}

/**
 * The line of the propshaft in the vehicle's frame; NaN where something is not known. With a transfer case its front face
 * stands at the gearbox's rear face.
 */
export function shaftLine(a: Side, b: Side, ctx: JointContext): ShaftLine {
  let along = b.output.alongMm.v
  let pm = b.output.alongMm.pm + b.pinion.alongMm.pm
  if (isNamed(b.transfer)) {
    along += b.caseShaft.faceMm.v
    pm += b.caseShaft.faceMm.pm
  }
  // In the vehicle's frame the gearbox sits on its crossmember, or B + its lengths behind the engine's mounts.
  if (ctx.placement === 'set-back') {
    along -= a.enginePads.alongMm.v
    pm += a.enginePads.alongMm.pm
    for (const part of ctx.stack)
      for (const port of part.ports)
        if (port.kind === 'plate') {
          along += (port as unknown as Side['plate']).thicknessMm.v
          pm += (port as unknown as Side['plate']).thicknessMm.pm
        }
  } else {
    along += b.crossmember.alongMm.v - b.mountPad.alongMm.v
    pm += b.crossmember.alongMm.pm + b.mountPad.alongMm.pm
  }
  const run = b.pinion.alongMm.v - along
  const fall = b.pinion.belowMm.v - (b.output.belowMm.v - b.chassisPads.crankAboveMm.v)
  const aside = b.pinion.rightMm.v - b.output.rightMm.v
  const pmAcross = b.pinion.belowMm.pm + b.output.belowMm.pm + b.chassisPads.crankAboveMm.pm + b.pinion.rightMm.pm + b.output.rightMm.pm
  const lengthMm = Math.hypot(run, fall, aside)
  return {
    lengthMm,
    pmMm: pm + pmAcross * (Math.hypot(fall, aside) / lengthMm),
    sideDeg: Math.atan(fall / run) * DEG,
    planDeg: Math.atan(aside / run) * DEG,
    pmDeg: (pmAcross / lengthMm + (pm * Math.hypot(fall, aside)) / lengthMm ** 2) * DEG,
  }
}
