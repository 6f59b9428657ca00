import { FITS } from '../code.ts'
import type { Joint } from '../joint.ts'
import { EMPTY_HALF } from './half.ts'
import { instancesOf } from './instances.ts'
import { blankResult, planOf, type Result } from './plan.ts'
import type { Scene } from './scene.ts'
import { workOut } from './work-out.ts'

/** The numbers of a verdict alone. */
export class Tally {
  code = FITS
  stated = 0
  known = 0
  agreed = 0
  outside = 0
  /** Weakest grade leaned on, 6 when nothing was read. */
  weakest = 6
  readonly #result = blankResult()

  /** Makes it blank again for the next joint. */
  reset(): this {
    this.code = FITS
    this.stated = this.known = this.agreed = this.outside = 0
    this.weakest = 6
    return this
  }

  /** Judges one meeting of a joint; false where it does not apply. */
  add(joint: Joint, scene: Scene): boolean {
    if (!appliesTo(joint, scene)) return false
    for (const limit of joint.limits) {
      const plan = planOf(limit).load(1, EMPTY_HALF, scene.shop)
      for (const { scene: here } of instancesOf(limit, scene))
        this.#count(plan.load(0, plan.half(here), scene.shop).judge(scene.shop, this.#result))
    }
    return true
  }

  /** Whether a joint is met and no code of it is worse than this: looked at no further than the first that is. */
  isAtMost(joint: Joint, scene: Scene, code: number): boolean {
    if (!appliesTo(joint, scene)) return false
    for (const limit of joint.limits) {
      const plan = planOf(limit).load(1, EMPTY_HALF, scene.shop)
      for (const { scene: here } of instancesOf(limit, scene)) {
        const result = plan.load(0, plan.half(here), scene.shop).judge(scene.shop, this.#result)
        if (result.isStated && result.code > code) return false
      }
    }
    return true
  }

  #count(result: Result): void {
    if (!result.isStated) return
    this.stated++
    if (result.isKnown) this.known++
    if (result.agreed) this.agreed++
    if (result.outside) this.outside++
    if (result.code > this.code) this.code = result.code
    if (result.weakest < this.weakest) this.weakest = result.weakest
  }
}

/** True where a joint is met at all. */
export const appliesTo = ({ applies }: Joint, scene: Scene): boolean => workOut(applies, scene)
