import type { Row, Store } from '../database/store.ts'
import { UnprocessableError } from '../errors.ts'
import { planBuild } from './planning.ts'

/** Adds a lock; the same target locked again changes its way. */
export async function addLock(
  store: Store,
  buildId: string,
  input: { way: 'in' | 'out'; candidate?: string | null | undefined; bundle?: string | null | undefined; supplierId?: string | null | undefined },
): Promise<Row> {
  const target = { candidate: input.candidate ?? null, bundle: input.bundle ?? null, supplierId: input.supplierId ?? null }
  const { gathered } = await planBuild(store, buildId)
  const known = target.candidate
    ? gathered.problem.candidates.some((one) => one.id === target.candidate)
    : target.bundle
      ? gathered.problem.bundles.some((one) => one.id === target.bundle)
      : gathered.problem.suppliers.some((one) => one.id === target.supplierId)
  if (!known) throw new UnprocessableError('What you want to lock is not among the sources of this build.')
  return store.transaction(async (tx) => {
    await tx.get('build', buildId)
    const held = (await tx.list('sourcingLock', { buildId })).find(
      (lock) => lock.candidate === target.candidate && lock.bundle === target.bundle && lock.supplierId === target.supplierId,
    )
    return held ? tx.update('sourcingLock', held.id, held.version, { way: input.way }) : tx.insert('sourcingLock', { buildId, way: input.way, ...target })
  })
}
