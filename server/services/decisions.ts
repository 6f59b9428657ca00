import type { Decision } from '../../core/sourcing/decision.ts'
import type { RowOf, Store } from '../database/store.ts'
import { ConflictError, MissingError } from '../errors.ts'
import { needsOf } from './planning.ts'

/** Whether a need stands in a build's parts list, dropped or not. */
export async function isLine(store: Store, buildId: string, needId: string): Promise<boolean> {
  const { needs, dropped } = await needsOf(store, buildId)
  return [...needs, ...dropped].some((need) => need.id === needId)
}

/** Drops a need, puts a price and a source on it, keeps the recipient's, or estimates it; one decision of each kind a need. @param isKnown whether it is a line, where another thread knows */
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
  isKnown = (): Promise<boolean> => isLine(store, buildId, input.needId),
): Promise<RowOf<'decision'>> {
  // Planned before, not inside: a transaction only checks and writes.
  if (!(await isKnown()))
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
    }
    return held
      ? tx.update('decision', held.id, held.version, values)
      : tx.insert('decision', { buildId, needId: input.needId, act: input.act, ...values })
  })
}
