import type { Decision } from '../../core/sourcing/decision.ts'
import type { RowOf, Store } from '../database/store.ts'
import { ConflictError, MissingError } from '../errors.ts'
import { planBuild } from './planning.ts'

/** What a line of a build's list rests on, dropped or folded or not; null where there is none of that id. */
export async function restsOfLine(
  store: Store,
  buildId: string,
  needId: string,
): Promise<string | null> {
  const { needs, dropped, folded } = await planBuild(store, buildId)
  return [...needs, ...dropped, ...folded].find((need) => need.id === needId)?.rests ?? null
}

/** Drops a need, puts a price and a source on it, keeps the recipient's, or estimates it; one decision of each kind a need. @param restsOf what the line rests on, where another thread knows */
export async function decide(
  store: Store,
  buildId: string,
  input: {
    needId: string
    act: Decision['act']
    priceMinor?: number | null | undefined
    source?: string | null | undefined
    note?: string | null | undefined
  },
  restsOf = (): Promise<string | null> => restsOfLine(store, buildId, input.needId),
): Promise<RowOf<'decision'>> {
  // Planned before, not inside: a transaction only checks and writes.
  const rests = await restsOf()
  if (rests === null)
    throw new MissingError(`There is no line "${input.needId}" in this build's parts list.`)
  return store.transaction(async (tx) => {
    await tx.get('build', buildId)
    if ((input.act === 'price' || input.act === 'estimate') && input.priceMinor == null)
      throw new ConflictError('Type the price.')
    const held = (await tx.list('decision', { buildId, needId: input.needId, act: input.act }))[0]
    const values = {
      priceMinor: input.priceMinor ?? null,
      source: input.source ?? null,
      note: input.note ?? null,
      rests,
    }
    return held
      ? tx.update('decision', held.id, held.version, values)
      : tx.insert('decision', { buildId, needId: input.needId, act: input.act, ...values })
  })
}
