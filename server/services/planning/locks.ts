import { itemKey } from '../../../core/sourcing/ids.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { UnprocessableError } from '../../errors.ts'
import { planBuild } from './planning.ts'

/** What is locked: an offer or other candidate, a kit or donor, or all of a supplier. */
export interface LockTarget {
  readonly candidate: string | null
  readonly bundle: string | null
  readonly item: string | null
  readonly supplierId: string | null
}

/** Whether it is among the sources of a build. */
export async function isSource(
  store: Store,
  buildId: string,
  { candidate, bundle, item, supplierId }: LockTarget,
): Promise<boolean> {
  const { problem, sources } = (await planBuild(store, buildId)).gathered
  if (candidate) return sources.get(candidate) !== undefined
  if (bundle && item) return sources.get(itemKey(bundle, item)) !== undefined
  return bundle
    ? problem.bundles.some((one) => one.id === bundle)
    : problem.suppliers.some((one) => one.id === supplierId)
}

/**
 * Adds a lock; the same target locked again changes its way.
 * @param isKnown whether it is a source, where another thread knows
 * @throws UnprocessableError where it is no source of the build
 */
export async function addLock(
  store: Store,
  buildId: string,
  input: {
    way: 'in' | 'out'
    candidate?: string | null | undefined
    bundle?: string | null | undefined
    item?: string | null | undefined
    supplierId?: string | null | undefined
  },
  isKnown = (target: LockTarget): Promise<boolean> => isSource(store, buildId, target),
): Promise<RowOf<'sourcingLock'>> {
  const target: LockTarget = {
    candidate: input.candidate ?? null,
    bundle: input.bundle ?? null,
    item: input.item ?? null,
    supplierId: input.supplierId ?? null,
  }
  if (!(await isKnown(target)))
    throw new UnprocessableError('What you want to lock is not among the sources of this build.')
  return store.transaction(async (tx) => {
    await tx.get('build', buildId)
    const held = (await tx.list('sourcingLock', { buildId })).find(
      (lock) =>
        lock.candidate === target.candidate &&
        lock.bundle === target.bundle &&
        lock.item === target.item &&
        lock.supplierId === target.supplierId,
    )
    return held
      ? tx.update('sourcingLock', held.id, held.version, { way: input.way })
      : tx.insert('sourcingLock', { buildId, way: input.way, ...target })
  })
}
