import type { Joint, JointContext } from '../joints/joint.ts'
import type { Verdict } from '../joints/verdict.ts'
import { lookOf } from './outcomes.ts'
import { type Assembly, recordJoint } from './train.ts'

/** Verdicts kept a joint: of many trains most joints look at one end only, and are the same again. */
const MOST = 400

/** Verdicts of one context, each recorded once for all trains that look alike where it looks. */
export class Records {
  readonly #known = new Map<Joint, Map<string, Verdict | null>>()

  of(joint: Joint, assembly: Assembly, ctx: JointContext): Verdict | null {
    let own = this.#known.get(joint)
    if (!own) this.#known.set(joint, (own = new Map()))
    const look = lookOf(joint, assembly)
    const held = own.get(look)
    if (held !== undefined) return held
    const found = recordJoint(joint, assembly, ctx)
    own.set(look, found)
    if (own.size > MOST) own.delete(own.keys().next().value!)
    return found
  }
}
