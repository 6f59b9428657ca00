import { FACT_ROWS, type FactKey, factWords } from '../../../core/facts/index.ts'
import { FACT_OWNERS, isAsked, ownerOf } from '../../../core/facts/place-of.ts'
import { factsRead } from '../../../core/needs/line-list.ts'
import type { Store } from '../../database/store.ts'
import { nameOf, type Planned, planBuild } from './planning.ts'
import { listTotals } from './totals.ts'

/** Facts that are not known or only assumed, with the lines that hang on each; what moves most first. */
export function questionsOf(plan: Planned, most = Infinity) {
  const words = new Map([...plan.needs, ...plan.folded].map(({ id, words }) => [id, words]))
  return listTotals(plan)
    .worth.filter(({ key, lines }) => lines.length > 0 && isAsked(key))
    .slice(0, most)
    .map(({ key, spreadMinor, lines }) => {
      const { asks, found, values } = FACT_ROWS[key]
      return {
        key,
        asks: asks ?? factWords(key),
        found: found ?? null,
        values: [...values],
        assumed: plan.facts[key]?.value ?? null,
        spreadMinor,
        lines: lines.map((id) => ({ id, words: words.get(id) ?? id })),
      }
    })
}

/** What is known of a build, by whom it belongs to, and what is asked next. */
export async function knownView(store: Store, buildId: string) {
  const plan = await planBuild(store, buildId)
  const read = factsRead(plan.rows)
  const facts = Object.keys(FACT_ROWS).filter((key): key is FactKey => read.has(key as FactKey))
  return {
    pairing: nameOf(plan),
    currency: plan.view.build.currency,
    questions: plan.run ? questionsOf(plan) : [],
    owners: FACT_OWNERS.map((owner) => ({
      owner,
      facts: facts
        .filter((key) => ownerOf(key) === owner)
        .map((key) => {
          const { asks, found, values, when } = FACT_ROWS[key]
          const known = plan.facts[key]
          return {
            key,
            words: asks ?? factWords(key),
            found: found ?? null,
            values: [...values],
            value: known?.value ?? null,
            isAssumed: known?.isAssumed === true,
            from: known?.from ?? null,
            isAsked: isAsked(key),
            when: when ?? null,
          }
        }),
    })).filter((one) => one.facts.length > 0),
  }
}
