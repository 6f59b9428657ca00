import { BRIDGE, CODES } from '../joints/code.ts'
import type { Joint, JointContext } from '../joints/joint.ts'
import { inputsOf } from '../joints/judging/inputs.ts'
import { Tally } from '../joints/judging/tally.ts'
import type { Side } from '../joints/side.ts'
import type { Verdict } from '../joints/verdict.ts'
import { type Assembly, contextOf, type PairingContext, recordJoint, tallyJoint } from './train.ts'

export interface Outcome {
  readonly applies: boolean
  readonly code: number
  readonly weakest: number
}

const serials = new WeakMap<object, number>()
let last = 0
/** A number for an object: another one another. */
export function serial(one: object): number {
  let found = serials.get(one)
  if (found === undefined) serials.set(one, (found = ++last))
  return found
}

/** What a joint looks at in an assembly, by identity: where it is the same, so is every code. */
export function lookOf(joint: Joint, assembly: Assembly): string {
  const { slots, stack, ratings } = inputsOf(joint)
  let look = ''
  for (const { a, b } of assembly.meetings[joint.meets])
    for (const side of [a, b] as const) {
      for (const slot of slots) look += `${serial(side[slot as keyof Side] as object)} `
      if (ratings) for (const rating of side.ratings) look += `r${serial(rating)} `
      look += '|'
    }
  if (stack) for (const part of assembly.stack) look += `s${serial(part)} `
  return look
}

/** Judges joints of assemblies that differ in a few pieces: what looks alike is judged once. */
export class Outcomes {
  readonly #ctx: PairingContext
  readonly #tally = new Tally()
  readonly #known = new Map<Joint, Map<string, Outcome>>()
  readonly #bridges = new Map<Joint, Map<string, boolean>>()

  constructor(ctx: PairingContext) {
    this.#ctx = ctx
  }

  of(joint: Joint, assembly: Assembly, look = lookOf(joint, assembly)): Outcome {
    return once(this.#known, joint, look, () => {
      const applies = tallyJoint(joint, assembly, this.#full(assembly), this.#tally.reset())
      return { applies, code: this.#tally.code, weakest: this.#tally.weakest }
    })
  }

  /** Whether a bridge is seen, whatever else is not known. */
  seesBridge(joint: Joint, assembly: Assembly): boolean {
    return once(this.#bridges, joint, lookOf(joint, assembly), () =>
      this.record(joint, assembly).limits.some(({ code }) => code === CODES[BRIDGE]),
    )
  }

  record(joint: Joint, assembly: Assembly): Verdict {
    return recordJoint(joint, assembly, this.#full(assembly))!
  }

  #full = (assembly: Assembly): JointContext => contextOf(assembly, this.#ctx)
}

function once<T>(known: Map<Joint, Map<string, T>>, joint: Joint, look: string, work: () => T): T {
  let own = known.get(joint)
  if (!own) known.set(joint, (own = new Map()))
  let found = own.get(look)
  if (found === undefined) own.set(look, (found = work()))
  return found
}
