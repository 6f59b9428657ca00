import type { Decision } from '../../core/sourcing/candidates.ts'
import type { Row, Store } from '../database/store.ts'
import { ConflictError, MissingError } from '../errors.ts'
import { needsOf } from './planning.ts'

/** Drops a need, puts a price and a source on it, keeps the recipient's, or estimates it; one decision of each kind a need. */
export async function decide(
  store: Store,
  buildId: string,
  input: { needId: string; act: Decision['act']; priceMinor?: number | null | undefined; source?: string | null | undefined; note?: string | null | undefined },
): Promise<Row> {
  // Planned before, not inside: a transaction only checks and writes.
  const { needs, dropped } = await needsOf(store, buildId)
  if (![...needs, ...dropped].some((need) => need.id === input.needId)) throw new MissingError(`There is no line "${input.needId}" in this build's parts list.`)
  return store.transaction(async (tx) => {
    await tx.get('build', buildId)
    if ((input.act === 'price' || input.act === 'estimate') && input.priceMinor == null) throw new ConflictError('Type the price.')
    const held = (await tx.list('decision', { buildId, needId: input.needId, act: input.act }))[0]
    const values = { priceMinor: input.priceMinor ?? null, source: input.source ?? null, note: input.note ?? null }
    return held ? tx.update('decision', held.id, held.version, values) : tx.insert('decision', { buildId, needId: input.needId, act: input.act, ...values })
  })
}
