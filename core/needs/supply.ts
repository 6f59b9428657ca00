import type { FactKey } from '../facts/index.ts'
import type { Decision } from '../sourcing/decision.ts'
import type { Need } from './need.ts'

/** Where a line comes from: got, said to come with what is bought, kept, seen and good, or decided. */
export type Supply = 'get' | 'comes' | 'keep' | 'here' | 'settled'

/** How often what is said to come turns out to be missing or bad: common practice, no published source. */
export const FAILS = 0.25

/** Parts that stay in an engine stripped bare. */
const INSIDE: ReadonlySet<string> = new Set(['pan-pickup-drain-plug'])
/** These come with an engine only where the same kind of gearbox stood behind it. */
const BY_GEARBOX: ReadonlySet<string> = new Set([
  'flywheel',
  'flexplate',
  'disc',
  'cover',
  'separator',
])

/**
 * What is said to bring a line. Nothing comes by silence alone: what comes or is kept is a question until a person has seen it.
 *
 * @param acts what people decided of this line
 */
export function supplyOf(
  need: Pick<Need, 'kind' | 'comes'>,
  fact: (key: FactKey) => string | undefined,
  acts: readonly Decision['act'][],
): Supply {
  if (acts.includes('receive') || acts.includes('fit')) return 'here'
  if (acts.includes('order')) return 'settled'
  if (acts.includes('price') || acts.includes('estimate')) return 'settled'
  if (acts.includes('keep') || acts.includes('confirm')) return 'here'
  const kept = fact('build.engine') === 'kept'
  const bought = fact('donor.kind')
  const comes = need.comes ?? []
  if (comes.includes('recipient')) return 'keep'
  if (comes.includes('engine')) {
    if (kept) return 'keep'
    const isWhole = bought === 'vehicle' || bought === 'pulled'
    const isRight = !BY_GEARBOX.has(need.kind) || fact('donor.box') === fact('gearbox.type')
    if ((isWhole || INSIDE.has(need.kind)) && isRight) return 'comes'
  }
  if (comes.includes('vehicle') && bought === 'vehicle') return 'comes'
  if (comes.includes('gearbox')) return fact('build.box') === 'own' ? 'keep' : 'comes'
  return 'get'
}
