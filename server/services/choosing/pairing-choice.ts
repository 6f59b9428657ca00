import type { PairingReasons } from '../../../contract/pairing-reasons.ts'
import type { PlacementSchool } from '../../../core/joints/joint.ts'
import { isCouplingKind } from '../../../core/pairing/coupling.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { MissingError } from '../../errors.ts'
import { viewBuild } from '../builds/build-view.ts'
import { runBuildPairing } from '../trains/pairing-run.ts'
import { placed } from '../trains/placed.ts'
import { reasonsFor } from './pairing-reasons.ts'

/** The set that closes a pairing best, by the ids of its parts. @throws MissingError */
export const closingSet = async (
  store: Store,
  buildId: string,
  engineId: string,
  transmissionId: string,
  school?: PlacementSchool,
): Promise<readonly string[]> =>
  runBuildPairing(placed(await viewBuild(store, buildId), school), engineId, transmissionId).result
    .chosen

/**
 * Chooses a pairing (or another closing set on it); the set taken is kept by name so that it survives.
 * @param closing the set that closes it best, where another thread knows
 */
export async function choosePairing(
  store: Store,
  buildId: string,
  {
    engineId,
    transmissionId,
    inserted,
    transferId,
    school,
  }: {
    engineId: string
    transmissionId: string
    inserted?: readonly string[] | null | undefined
    transferId?: string | null | undefined
    school?: PlacementSchool | undefined
  },
  closing = (): Promise<readonly string[]> =>
    closingSet(store, buildId, engineId, transmissionId, school),
  reasons = (pair: PairOf & { transferId: string | null }): Promise<PairingReasons> =>
    reasonsFor(store, buildId, pair, null, school),
): Promise<RowOf<'pairing'>> {
  const set = inserted ?? (await closing())
  // Another set on the pairing that is chosen already is no other choice.
  const [held] = await store.list('pairing', { buildId, engineId, transmissionId, chosen: true })
  const isElsewhere = school !== undefined && school !== (await store.get('build', buildId)).school
  const why =
    held && !transferId && !isElsewhere
      ? null
      : await reasons({ engineId, transmissionId, transferId: transferId ?? null })
  return store.transaction(async (tx) => {
    const build = await tx.get('build', buildId)
    if (school && school !== build.school)
      await tx.update('build', build.id, build.version, { school })
    const taken = await takePairing(tx, buildId, { engineId, transmissionId }, set)
    const chosen = why
      ? await tx.update('pairing', taken.id, taken.version, { reasons: why })
      : taken
    if (transferId)
      await setCoupling(tx, buildId, {
        engineId,
        transmissionId,
        kind: 'transfer-case',
        partId: transferId,
      })
    return chosen
  })
}

/** Makes one pairing of a build the chosen one, with the parts put in. @throws MissingError where one of them is gone */
export async function takePairing(
  tx: Store,
  buildId: string,
  { engineId, transmissionId }: PairOf,
  inserted: readonly string[],
): Promise<RowOf<'pairing'>> {
  await tx.get('build', buildId)
  for (const id of [engineId, transmissionId, ...inserted])
    if (!(await tx.find('part', id)))
      throw new MissingError(`Part ${id} is not in the catalogue any more.`)
  const pairings = await tx.list('pairing', { buildId })
  const own = pairings.find(
    (row) => row.engineId === engineId && row.transmissionId === transmissionId,
  )
  for (const other of pairings)
    if (other.chosen === true && other.id !== own?.id)
      await tx.update('pairing', other.id, other.version, { chosen: false })
  const chosen = own
    ? await tx.update('pairing', own.id, own.version, { chosen: true })
    : await tx.insert('pairing', { buildId, engineId, transmissionId, chosen: true })
  const before = await tx.list('pairingPart', { pairingId: chosen.id })
  for (const row of before) if (!inserted.includes(row.partId)) await tx.unmake('pairingPart', row)
  for (const partId of inserted)
    if (!before.some((row) => row.partId === partId))
      await tx.insert('pairingPart', { pairingId: chosen.id, partId })
  return chosen
}

interface PairOf {
  readonly engineId: string
  readonly transmissionId: string
}

/** Takes a kit's coupling pieces on a pairing, each in place of its kind. */
export async function chooseKit(
  store: Store,
  buildId: string,
  { kitId, ...pair }: PairOf & { kitId: string },
): Promise<{ replaced: string[] }> {
  return store.transaction(async (tx) => {
    await tx.get('kit', kitId)
    const items = await tx.list('kitItem', { kitId })
    const parts = (
      await tx.listIn(
        'part',
        'id',
        items.map((item) => item.partId),
      )
    ).filter((part) => isCouplingKind(String(part.kind)))
    if (parts.length === 0)
      throw new MissingError(
        'That kit holds no coupling piece: flywheel, clutch, pilot, starter or separator.',
      )
    for (const part of parts)
      await setCoupling(tx, buildId, { ...pair, kind: String(part.kind), partId: part.id })
    return { replaced: parts.map((part) => String(part.kind)) }
  })
}

/** Changes one piece of the coupling set on a pairing; null goes back to the default. */
export async function chooseCoupling(
  store: Store,
  buildId: string,
  choice: PairOf & { kind: string; partId: string | null },
): Promise<void> {
  await store.transaction((tx) => setCoupling(tx, buildId, choice))
}

async function setCoupling(
  tx: Store,
  buildId: string,
  { engineId, transmissionId, kind, partId }: PairOf & { kind: string; partId: string | null },
): Promise<void> {
  await tx.get('build', buildId)
  const pairing =
    (await tx.list('pairing', { buildId, engineId, transmissionId }))[0] ??
    (await tx.insert('pairing', { buildId, engineId, transmissionId, chosen: false }))
  const held = (await tx.list('couplingChoice', { pairingId: pairing.id, kind }))[0]
  if (partId === null) {
    if (held) await tx.remove('couplingChoice', held.id)
  } else if (held) await tx.update('couplingChoice', held.id, held.version, { partId })
  else await tx.insert('couplingChoice', { pairingId: pairing.id, kind, partId })
}
