import { COUPLING_SETS } from '../../pairing/coupling.ts'
import { kindWords } from '../../ports/part-kinds.ts'
import type { NewNeed } from '../need.ts'
import type { FactKey } from './facts.ts'
import type { Rule } from './rule.ts'

const ALL = [
  'separator',
  'bellhousing',
  'flywheel',
  'flexplate',
  'cover',
  'disc',
  'release-bearing',
  'pilot',
  'starter',
  'converter',
] as const

/** The coupling set made complete for its kind; a piece nobody named is still needed. */
export const coupling: Rule = {
  id: 'coupling',
  reads: ['gearbox.type', ...ALL.map((kind): FactKey => `coupling.${kind}`)],
  adds: [...ALL, 'gearbox-cooler', 'cooler-line'],
  run: ({ facts }) => {
    const type = facts.text('gearbox.type')
    if (type !== 'manual' && type !== 'automatic') return []
    const kinds: readonly string[] = COUPLING_SETS[type].filter(
      (kind) =>
        (kind !== 'separator' && kind !== 'bellhousing') ||
        facts.text(`coupling.${kind}`) !== undefined,
    )
    const needs: NewNeed[] = kinds.map((kind) => {
      const part = facts.text(`coupling.${kind}` as FactKey)
      const words =
        part === undefined
          ? 'None is named yet: its measurements count as not known'
          : `Completes the ${type} coupling of this pairing`
      return {
        kind,
        place: 'coupling',
        words: kindWords(kind),
        ...(part === undefined ? {} : { wants: part }),
        why: [{ rule: 'coupling', words }],
        cautions:
          kind === 'cover' || kind === 'disc'
            ? ['Old clutches may hold asbestos: wet, masked, no compressed air.']
            : [],
      }
    })
    if (type === 'automatic') {
      needs.push({
        kind: 'gearbox-cooler',
        place: 'coupling',
        words: 'Gearbox oil cooler',
        why: [{ rule: 'coupling', words: 'An automatic without a cooler dies of heat' }],
      })
      needs.push({
        kind: 'cooler-line',
        place: 'coupling',
        words: 'Cooler lines',
        quantity: 2,
        waits: 'mock-up',
        why: [{ rule: 'coupling', words: 'To and from the cooler; made to the mock-up' }],
      })
    }
    return needs
  },
}
