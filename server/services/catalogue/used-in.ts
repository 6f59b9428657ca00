import { groupBy } from '../../../core/group.ts'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import type { Store } from '../../database/store.ts'

/** A build that a part stands in, and as what. */
export interface Use {
  readonly build: string
  readonly name: string
  readonly as: readonly string[]
}

/** In which builds parts stand: as the vehicle, in the chosen pairing or with what is, or on a line of the plan; by part. */
export async function usedIn(
  store: Store,
  parts: readonly string[],
): Promise<ReadonlyMap<string, readonly Use[]>> {
  const wanted = new Set(parts)
  const [rows, builds, pairings, couplings, pairingParts, plans, lines] = await Promise.all([
    store.listIn('part', 'id', parts),
    store.list('build'),
    store.list('pairing'),
    store.list('couplingChoice'),
    store.list('pairingPart'),
    store.list('plan'),
    store.listIn('planLine', 'partId', parts),
  ])
  const uses = new Map<string, Map<string, Set<string>>>()
  const add = (part: string | null, build: string, as: string): void => {
    if (part === null || !wanted.has(part)) return
    const own = uses.get(part) ?? uses.set(part, new Map()).get(part)!
    const held = own.get(build) ?? own.set(build, new Set()).get(build)!
    held.add(as)
  }
  const ownedBy = groupBy(
    rows.filter((row) => row.isDefault),
    (row) => row.ownerId ?? '',
  )
  const withOwn = (part: string | null, build: string, as: string): void => {
    add(part, build, as)
    for (const { id, kind } of ownedBy.get(part ?? '') ?? [])
      add(id, build, kindWords(kind).toLowerCase())
  }
  for (const { id, recipientId } of builds) withOwn(recipientId, id, 'the vehicle')
  const chosen = new Map(pairings.flatMap((one) => (one.chosen ? [[one.id, one.buildId]] : [])))
  for (const { id, buildId, engineId, transmissionId } of pairings) {
    if (!chosen.has(id)) continue
    withOwn(engineId, buildId, 'its engine')
    withOwn(transmissionId, buildId, 'its transmission')
  }
  for (const { pairingId, partId } of [...couplings, ...pairingParts])
    if (chosen.has(pairingId))
      add(partId, chosen.get(pairingId)!, 'between engine and transmission')
  const latest = new Map(plans.map(({ id, buildId }) => [buildId, id]))
  const buildOf = new Map([...latest].map(([build, plan]) => [plan, build]))
  for (const { planId, partId, needId } of lines)
    if (buildOf.has(planId))
      add(partId, buildOf.get(planId)!, needId.split('/')[0]!.replaceAll('-', ' '))
  const nameOf = new Map(builds.map(({ id, name }) => [id, name]))
  return new Map(
    [...uses].map(([part, own]) => [
      part,
      [...own].map(([build, as]) => ({ build, name: nameOf.get(build) ?? build, as: [...as] })),
    ]),
  )
}
