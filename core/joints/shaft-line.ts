import { compoundAngle } from '../mechanics/driveline.ts'
import { about, absolute, hypot, type Interval, slope, subtract } from './interval.ts'
import type { JointContext } from './joint.ts'
import { minus, plus } from './judging/declaration.ts'
import { a, b, kept, plates, type Read, setBack, total, where } from './judging/read.ts'
import { lookUp } from './judging/scene.ts'
import type { Side } from './side.ts'

/**
 * The line of a propshaft at ride height from the output's joint centre to the axle's, in the vehicle's frame: mm
 * rearward, down, and to the right. With a transfer case its front face stands at the gearbox's rear face. The gearbox
 * sits on its crossmember, or, set back, B + its lengths behind the engine's mounts.
 */
export const LINE = {
  run: total([
    plus(b.pinion.alongMm),
    minus(b.output.alongMm),
    minus(where(b.transfer.named, true, b.caseShaft.faceMm)),
    minus(setBack(plates)),
    plus(setBack(a.enginePads.alongMm)),
    minus(kept(b.crossmember.alongMm)),
    plus(kept(b.mountPad.alongMm)),
  ]),
  fall: total([plus(b.pinion.belowMm), minus(b.output.belowMm), plus(b.chassisPads.crankAboveMm)]),
  across: total([plus(b.pinion.rightMm), minus(b.output.rightMm)]),
}
export type Line = Readonly<Record<keyof typeof LINE, number>>

const DEG = 180 / Math.PI

/** Length of the shaft, joint to joint, mm. */
export const lineLength = ({ run, fall, across }: Line): number => Math.hypot(run, fall, across)
/** The least and the greatest length within the ± of its inputs. */
export const lineLengthWithin = (x: Line, pm: Line): Interval =>
  hypot(about(x.run, pm.run), about(x.fall, pm.fall), about(x.across, pm.across))

/** Compound angle of the joint at either end, °: the rear one against an axle that looks up by `noseUpDeg`. */
export const lineAngle = ({ run, fall, across }: Line, noseUpDeg = 0): number =>
  compoundAngle(Math.atan(fall / run) * DEG - noseUpDeg, Math.atan(across / run) * DEG)

/** The least and the greatest of that angle within the ± of its inputs. */
export function lineAngleWithin(x: Line, pm: Line, noseUp: Interval = [0, 0]): Interval {
  const run = about(x.run, pm.run)
  const degrees = ([least, most]: Interval): Interval => [
    Math.atan(least) * DEG,
    Math.atan(most) * DEG,
  ]
  const [sideLeast, sideMost] = absolute(
    subtract(degrees(slope(about(x.fall, pm.fall), run)), noseUp),
  )
  const [planLeast, planMost] = absolute(degrees(slope(about(x.across, pm.across), run)))
  return [
    compoundAngle(sideLeast, planLeast),
    sideMost >= 90 || planMost >= 90 ? 90 : compoundAngle(sideMost, planMost),
  ]
}

/** The line of two sides in a build; NaN where something is not known. */
export function lineOf(sideA: Side, sideB: Side, ctx: JointContext): Line {
  const scene = { a: sideA, b: sideB, stack: ctx.stack, shop: ctx, each: null, item: null }
  const at = (read: Read): number => lookUp(read, scene).v
  return { run: at(LINE.run), fall: at(LINE.fall), across: at(LINE.across) }
}
