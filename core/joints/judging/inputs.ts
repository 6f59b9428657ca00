import type { Joint } from '../joint.ts'
import type { Slot } from '../side.ts'
import { readsOf } from './declaration.ts'
import type { Gate, Read } from './read.ts'

/** Everything a joint's codes can hang on: where the same ports stand in these places, it is judged alike. */
export interface JointInputs {
  readonly slots: readonly Slot[]
  /** Looks at the plates and spacers between. */
  readonly stack: boolean
  readonly ratings: boolean
}

const known = new WeakMap<Joint, JointInputs>()

/** The places a joint looks at, read off its declaration. */
export function inputsOf(joint: Joint): JointInputs {
  let found = known.get(joint)
  if (!found) known.set(joint, (found = gather(joint)))
  return found
}

function gather(joint: Joint): JointInputs {
  const slots = new Set<Slot>()
  let [stack, ratings] = [false, false]
  const gate = (one: Gate): void => {
    if ('word' in one) read(one.word)
    else if ('slot' in one) slots.add(one.slot)
  }
  const read = ({ source, only = [] }: Read): void => {
    for (const one of only) gate(one)
    switch (source.at) {
      case 'side':
      case 'head':
        slots.add(source.slot)
        return
      case 'stack':
        stack = true
        return
      case 'each':
        ratings = true
        return
      case 'item':
      case 'known':
      case 'strongest':
        read(source.of)
        return
      case 'sum':
        for (const { of } of source.terms) read(of)
        return
      case 'computed':
        for (const one of Object.values(source.measure.reads)) read(one)
        return
      case 'either':
        read(source.one)
        read(source.other)
    }
  }
  for (const one of Object.values(joint.applies.reads)) read(one)
  for (const limit of joint.limits) {
    const { needed, sometimes } = readsOf(limit)
    for (const one of [...needed, ...sometimes]) read(one)
    if (limit.each && 'ratings' in limit.each) ratings = true
    else if (limit.each) read(limit.each.list)
  }
  return { slots: [...slots], stack, ratings }
}
