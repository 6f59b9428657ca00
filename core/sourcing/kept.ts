import type { Need } from '../needs/need.ts'
import type { Decision } from './decision.ts'

/** What the pairing itself settles once a person has chosen it. */
const CHOSEN = new Set(['engine', 'transmission'])

/**
 * Kept pieces of the recipient, each with whether it is settled that it stays: by the pairing, or by a person who keeps or
 * confirms it. What is not settled may have to be bought after all.
 */
export function keptPieces(
  needs: readonly Need[],
  decisions: readonly Pick<Decision, 'needId' | 'act'>[],
): ReadonlyMap<string, boolean> {
  const decided = (id: string, act: Decision['act']): boolean =>
    decisions.some((one) => one.needId === id && one.act === act)
  return new Map(
    needs.flatMap(({ id, kind, keep }): [string, boolean][] => {
      const isKept = decided(id, 'keep')
      if (!keep && !isKept) return []
      return [[id, isKept || decided(id, 'confirm') || CHOSEN.has(kind)]]
    }),
  )
}
