import type { PairingReasons, WeighedPairing } from '../../../contract/pairing-reasons.ts'
import type { PlacementSchool } from '../../../core/joints/joint.ts'
import { effective } from '../../../core/pairing/order.ts'
import type { Store } from '../../database/store.ts'
import { viewBuild } from '../builds/build-view.ts'
import { shopDay } from '../shop/day.ts'
import { runBuildPairing } from '../trains/pairing-run.ts'
import { placed } from '../trains/placed.ts'
import type { PairOf } from './pairing-figures.ts'
import { pairingRows } from './pairings.ts'
import { byWeight, weighed } from './weighed-pairings.ts'

/** So many that were beaten are kept, of the most promising. */
const BEATEN = 3
const UNKNOWN = 20
/** A difference smaller than this share is none: prices move by it any day. */
const SAME = 0.02

/** Why a pairing may be chosen now: what it comes to, the best of the others, and what is not known. */
export async function reasonsFor(
  store: Store,
  buildId: string,
  pair: PairOf,
  because: string | null,
  school?: PlacementSchool,
): Promise<PairingReasons> {
  const view = placed(await viewBuild(store, buildId), school)
  const { items } = await pairingRows(store, view)
  const isSame = (one: PairOf): boolean =>
    one.engineId === pair.engineId && one.transmissionId === pair.transmissionId
  const others = items.filter((one) => !one.isOwn && !isSame(one))
  const [chosen, ...rest] = await weighed(store, view, [pair, ...others])
  const { result } = runBuildPairing(view, pair.engineId, pair.transmissionId, pair.transferId)
  const missing = result.joints.flatMap((joint) => {
    const verdict = effective(joint)
    return verdict.code === 'unmeasured' ? verdict.missing : []
  })
  return {
    on: await shopDay(store),
    because: because?.trim() || null,
    chosen: chosen!,
    beat: rest
      .filter(({ minor }) => minor !== null)
      .sort(byWeight)
      .slice(0, BEATEN),
    unknown: [...new Set(missing.map(({ label, partName }) => `${label}, ${partName}`))].slice(
      0,
      UNKNOWN,
    ),
    told: null,
  }
}

/** What is told of a choice that would be another now. */
export interface ChangedChoice {
  readonly winner: WeighedPairing
  readonly was: WeighedPairing
  /** The chosen one now. */
  readonly now: WeighedPairing
  /** How much the winner weighs less than the chosen one, minor units; null where that is out. */
  readonly savesMinor: number | null
}

/** Why the chosen pairing was chosen, and whether another would be chosen now; told once, until somebody saw it. */
export async function choiceView(
  store: Store,
  buildId: string,
): Promise<{ reasons: PairingReasons | null; changed: ChangedChoice | null }> {
  const view = await viewBuild(store, buildId)
  const reasons = view.pairings.find((row) => row.chosen === true)?.reasons ?? null
  if (!reasons || reasons.beat.length === 0) return { reasons, changed: null }
  const here = [reasons.chosen, ...reasons.beat].filter(({ engineId, transmissionId }) =>
    [engineId, transmissionId].every((id) => view.catalogue.parts.has(id)),
  )
  if (here[0] !== reasons.chosen) return { reasons, changed: null }
  const [now, ...beat] = await weighed(store, view, here)
  const [winner] = beat.toSorted(byWeight)
  return { reasons, changed: winner ? changeOf(reasons, now!, winner) : null }
}

const keyOf = ({ engineId, transmissionId, transferId }: PairOf): string =>
  [engineId, transmissionId, transferId ?? ''].join('|')

/** It is told where the order turned: what stood behind at the time now stands before, by more than prices move any day. */
export function changeOf(
  { chosen: was, beat, told }: PairingReasons,
  now: WeighedPairing,
  winner: WeighedPairing,
): ChangedChoice | null {
  if (winner.minor === null || told === keyOf(winner)) return null
  const before = beat.find((one) => keyOf(one) === keyOf(winner))
  // Whoever took the dearer one knew it.
  const stoodBehind = was.minor !== null && (before?.minor ?? Infinity) >= was.minor
  if (!stoodBehind && now.minor !== null) return null
  const savesMinor = now.minor === null ? null : now.minor - winner.minor
  return savesMinor === null || savesMinor > now.minor! * SAME
    ? { winner, was, now, savesMinor }
    : null
}

/** It was seen: of that pairing nothing is told any more. */
export async function seeChoice(store: Store, buildId: string, winner: PairOf): Promise<void> {
  await store.transaction(async (tx) => {
    for (const row of await tx.list('pairing', { buildId, chosen: true }))
      if (row.reasons)
        await tx.update('pairing', row.id, row.version, {
          reasons: { ...row.reasons, told: keyOf(winner) },
        })
  })
}

/** Says in somebody's words why the pairing was chosen. */
export async function sayWhy(store: Store, buildId: string, because: string): Promise<void> {
  await store.transaction(async (tx) => {
    for (const row of await tx.list('pairing', { buildId, chosen: true }))
      if (row.reasons)
        await tx.update('pairing', row.id, row.version, {
          reasons: { ...row.reasons, because: because.trim() || null },
        })
  })
}

/** Opens the choice again: no pairing is the build's until one is chosen; why it was stays with it. */
export async function reopenChoice(store: Store, buildId: string): Promise<void> {
  await store.transaction(async (tx) => {
    for (const row of await tx.list('pairing', { buildId, chosen: true }))
      await tx.update('pairing', row.id, row.version, { chosen: false })
  })
}
