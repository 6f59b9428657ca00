import { MessageChannel } from 'node:worker_threads'
import type { z } from 'zod'
import type { kitChoiceInput } from '../../../contract/rows.ts'
import { recommendKit } from '../../../core/kits/recommend.ts'
import { printMoney } from '../../../core/money/money.ts'
import { insertionPlace } from '../../../core/pairing/closing.ts'
import { isCouplingKind } from '../../../core/pairing/coupling.ts'
import { kitId as bundleOf } from '../../../core/sourcing/ids.ts'
import type { Plan } from '../../../core/sourcing/solve.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { ConflictError, UnprocessableError } from '../../errors.ts'
import type { JobRunner } from '../../jobs/runner.ts'
import { viewBuild } from '../builds/build-view.ts'
import { shopDay } from '../shop/day.ts'
import type { kitColumn } from './kits-compared.ts'
import { chooseKit, takePairing } from './pairing-choice.ts'

type Solved = Pick<Plan, 'lines' | 'totalMinor' | 'status'>
/** Plans around kits, by what they are made from: what changes elsewhere in the shop solves nothing anew. */
const solved = new WeakMap<object, Map<string, Solved>>()
const MOST_KEPT = 24

/** Longest that what the rest costs is looked for, for each kit. */
const TIME_LIMIT_MS = 10_000
export const MOST_COMPARED = 4

/**
 * Kits on the chosen pairing side by side: each with the best plan of the rest around it, and which to take.
 * @throws UnprocessableError for fewer than two or more than four · ConflictError before a pairing is chosen
 */
export async function compareKits(
  store: Store,
  jobs: JobRunner,
  buildId: string,
  ids: readonly string[],
) {
  const wanted = [...new Set(ids)]
  if (wanted.length < 2 || wanted.length > MOST_COMPARED)
    throw new UnprocessableError(`Choose two to ${MOST_COMPARED} kits.`)
  const { currency } = await store.get('build', buildId)
  const columns: Awaited<ReturnType<typeof kitColumn>>[] = []
  for (const id of wanted) {
    const plan = await planAround(store, jobs, buildId, id)
    columns.push(await jobs.readings.ask(store, 'kitColumn', buildId, id, plan))
  }
  const people = ({ reports }: (typeof columns)[number], outcome: string): number =>
    reports
      .filter((one) => one.outcome === outcome && one.about === 'kit')
      .reduce((sum, { howMany }) => sum + howMany, 0)
  const recommended = recommendKit(
    columns.map((one) => ({
      ...one,
      held: people(one, 'held'),
      failed: people(one, 'failed'),
      lost: one.pieces.filter(({ wears, hadAgain }) => wears && !hadAgain).length,
    })),
    (minor) => printMoney(minor, currency),
  )
  return { currency, kits: columns, recommended }
}

/** The best plan of the rest around a kit: kept where it is proven, for as long as it would be made from the same. */
async function planAround(
  store: Store,
  jobs: JobRunner,
  buildId: string,
  kitId: string,
): Promise<Solved> {
  const key = `${buildId} ${kitId} ${await jobs.readings.ask(store, 'kitMadeFrom', buildId, kitId)}`
  const kept = solved.get(store.root) ?? new Map<string, Solved>()
  solved.set(store.root, kept)
  const held = kept.get(key)
  if (held) return held
  const { port1, port2 } = new MessageChannel()
  await jobs.readings.hand(store, 'solveWithKit', [buildId, kitId], port1)
  const { lines, totalMinor, status } = await jobs.solve(port2, TIME_LIMIT_MS)
  const plan = { lines, totalMinor, status }
  if (status === 'proven') {
    kept.set(key, plan)
    if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!)
  }
  return plan
}

/**
 * Takes a kit for the chosen pairing: its pieces in place of their kinds, its plates put in, itself locked in. Another than
 * was recommended is taken for a reason, and both are kept.
 * @throws UnprocessableError without that reason · ConflictError before a pairing is chosen
 */
export async function takeKit(
  store: Store,
  buildId: string,
  { kitId, recommendedId, because, reasons, saidBy }: z.output<typeof kitChoiceInput>,
): Promise<RowOf<'kitChoice'>> {
  if (recommendedId && recommendedId !== kitId && !because?.trim())
    throw new UnprocessableError('Say why another kit is taken than is recommended.', [
      { path: 'because', message: 'Say why.' },
    ])
  const { pairings, catalogue, inserted } = await viewBuild(store, buildId)
  const pairing = pairings.find(({ chosen }) => chosen === true)
  if (!pairing) throw new ConflictError('Choose a pairing first: a kit is taken for it.')
  return store.transaction(async (tx) => {
    await tx.get('kit', kitId)
    const parts = (await tx.list('kitItem', { kitId })).flatMap(
      ({ partId }) => catalogue.parts.get(partId) ?? [],
    )
    const pair = { engineId: pairing.engineId, transmissionId: pairing.transmissionId }
    const before = await giveBack(tx, buildId, pairing.id)
    if (parts.some(({ kind }) => isCouplingKind(kind)))
      await chooseKit(tx, buildId, { ...pair, kitId })
    const put = parts.filter((part) => !isCouplingKind(part.kind) && insertionPlace(part) !== null)
    const places = new Set(put.map(insertionPlace))
    const kept = (inserted.get(pairing.id) ?? []).filter((id) => {
      const part = catalogue.parts.get(id)
      return part !== undefined && !places.has(insertionPlace(part)) && !before.has(id)
    })
    if (put.length + before.size > 0)
      await takePairing(tx, buildId, pair, [...kept, ...put.map(({ id }) => id)])
    const locks = await tx.list('sourcingLock', { buildId, bundle: bundleOf(kitId) })
    // A lock on it that somebody made before says the same, or the opposite.
    for (const lock of locks) await tx.unmake('sourcingLock', lock)
    await tx.insert('sourcingLock', { buildId, way: 'in', bundle: bundleOf(kitId) })
    return tx.insert('kitChoice', {
      buildId,
      kitId,
      recommendedId: recommendedId ?? null,
      because: because ?? null,
      reasons,
      saidBy: saidBy ?? null,
      day: await shopDay(tx),
    })
  })
}

/** Takes a kit that was taken before off the pairing again: its pieces, its choice and its lock. @returns parts of it */
async function giveBack(
  tx: Store,
  buildId: string,
  pairingId: string,
): Promise<ReadonlySet<string>> {
  const parts = new Set<string>()
  for (const choice of await tx.list('kitChoice', { buildId })) {
    for (const { partId } of await tx.list('kitItem', { kitId: choice.kitId })) parts.add(partId)
    for (const lock of await tx.list('sourcingLock', { buildId, bundle: bundleOf(choice.kitId) }))
      await tx.unmake('sourcingLock', lock)
    await tx.unmake('kitChoice', choice)
  }
  for (const row of await tx.list('couplingChoice', { pairingId }))
    if (parts.has(row.partId)) await tx.unmake('couplingChoice', row)
  return parts
}
