import type { z } from 'zod'
import type { whatIfInput } from '../../../contract/rows.ts'
import { FACT_ROWS, isFactKey } from '../../../core/facts/index.ts'
import type { KnownFacts } from '../../../core/needs/line-list.ts'
import type { Need } from '../../../core/needs/need.ts'
import type { Store } from '../../database/store.ts'
import { UnprocessableError } from '../../errors.ts'
import { listFor, planBuild } from '../planning/planning.ts'
import { totals } from '../planning/totals.ts'

/** What other answers would make of a build: lines in and out, money, hours; nothing is written. */
export async function whatIf(
  store: Store,
  buildId: string,
  { facts: asked }: z.infer<typeof whatIfInput>,
) {
  const plan = await planBuild(store, buildId)
  const { run, view } = plan
  const before = totals(plan)
  if (!run || !before)
    throw new UnprocessableError(
      'Choose engine and gearbox first: there is no list to compare with.',
    )
  const facts: Record<string, KnownFacts[keyof KnownFacts]> = { ...plan.facts }
  for (const [key, value] of Object.entries(asked)) {
    if (!isFactKey(key) || !FACT_ROWS[key].values.includes(value)) {
      const message = isFactKey(key)
        ? `${key} is never "${value}". It is one of ${FACT_ROWS[key].values.join(', ')}.`
        : `"${key}" is not a fact that is known here.`
      throw new UnprocessableError(message, [{ path: `facts.${key}`, message }])
    }
    facts[key] = { value, from: 'what if' }
  }
  const dropped = new Set(plan.dropped.map(({ id }) => id))
  const { needs: all, folded, rows } = listFor(view, run, facts)
  const needs = [...all.filter(({ id }) => !dropped.has(id)), ...plan.proofs]
  const after = totals({ ...plan, needs, folded, rows, facts })!
  const [was, is] = [idsOf(plan.needs), idsOf(needs)]
  const told = (need: Need) => ({
    id: need.id,
    words: need.words,
    place: need.place,
    sort: need.sort,
    why: need.why[0]?.words ?? '',
  })
  return {
    currency: before.currency,
    comes: needs.filter(({ id }) => !was.has(id)).map(told),
    goes: plan.needs.filter(({ id }) => !is.has(id)).map(told),
    before: { likely: before.likely, middleMinor: before.middleMinor, hours: before.hours },
    after: { likely: after.likely, middleMinor: after.middleMinor, hours: after.hours },
  }
}

/** Lines by id, as far as they stand or are open. */
const idsOf = (needs: readonly Need[]): ReadonlySet<string> => new Set(needs.map(({ id }) => id))
