import { JOINTS } from '../joints/index.ts'
import { Tally } from '../joints/tally.ts'
import { CODES } from '../joints/verdict.ts'
import { assemble, checkAssembly, contextOf, type PairingContext, type Train } from './train.ts'

/** What each code weighs when pairings are ordered: a clash last, much unknown after little to make. */
const WEIGHTS = { fits: 0, work: 1, bridge: 4, unmeasured: 5, clash: 100 } as const

const tally = new Tally()

/** How far a pairing is from going together, by its bare codes: the less the more promising. Numbers only, for sweeps over whole catalogues. */
export function weighTrain(train: Train, ctx: PairingContext): number {
  const assembly = assemble(train)
  const full = contextOf(assembly, ctx)
  let weight = 0
  for (const joint of JOINTS) {
    tally.reset()
    if (checkAssembly(joint, assembly, full, tally)) weight += WEIGHTS[CODES[tally.code]!]
  }
  return weight
}
