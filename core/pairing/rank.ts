import { CODES } from '../joints/code.ts'
import { type EngineEnd, type GearboxEnd, NOT_MET, sweep } from './sweep.ts'
import type { PairingContext } from './train.ts'

/** What each code weighs when pairings are ordered: a clash last, much unknown after little to make. */
const WEIGHTS = { fits: 0, work: 1, bridge: 4, unmeasured: 5, clash: 100 } as const

/** How far each pairing is from going together, by its bare codes, rows by engine: the less the more promising. */
export function weighPairs(engines: readonly EngineEnd[], gearboxes: readonly GearboxEnd[], ctx: PairingContext): Float64Array {
  const weights = new Float64Array(engines.length * gearboxes.length)
  for (const { code } of sweep(engines, gearboxes, ctx))
    for (let at = 0; at < code.length; at++) {
      const found = code[at]!
      if (found !== NOT_MET) weights[at]! += WEIGHTS[CODES[found]!]
    }
  return weights
}
