import { paidPrice } from '../../core/money/offer-price.ts'
import type { Heard } from '../../core/pairing/joint-claims.ts'
import { byPromise, effective } from '../../core/pairing/order.ts'
import type { PairingResult } from '../../core/pairing/pairing.ts'
import { PairWeights } from '../../core/pairing/rank.ts'
import type { CompiledPart } from '../../core/ports/index.ts'
import type { Store } from '../database/store.ts'
import { type BuildView, type ClaimRow, contextOf, viewBuild } from './build-view.ts'
import { Memory, RevisionMemory } from './memory.ts'
import { couplingOf, runBuildPairing, transferOf } from './pairing-run.ts'
import { ownTrain, roadRow } from './road.ts'

const rowsMemory = new RevisionMemory<ReturnType<typeof pairingRows>>()

/** Pairings shown in full unless more are asked for. */
const SHOWN = 24

/** The most promising pairings of a build, a line each; `of` counts every engine with every transmission. */
export const listPairings = (
  store: Store,
  buildId: string,
  most = SHOWN,
): Promise<ReturnType<typeof pairingRows>> =>
  rowsMemory.recall(store, `${buildId}|${most}`, async () =>
    pairingRows(await viewBuild(store, buildId), most),
  )

/**
 * Every engine with every transmission is swept; only the most promising, those the build has touched, and
 * the recipient's own train are then recorded in full.
 */
function inPlay(view: BuildView, most: number): InPlay {
  const { build, catalogue, pairings, choices } = view
  const words = JSON.stringify([
    build.use,
    build.school,
    build.recipientId,
    pairings.map((row) => [row.engineId, row.transmissionId]),
    choices,
    most,
  ])
  return ranking.recall([catalogue.parts, catalogue.tolerances], words, () => rank(view, most))
}

interface InPlay {
  readonly pairs: readonly (readonly [CompiledPart, CompiledPart])[]
  readonly of: number
}
/** Nothing sold or written elsewhere changes the order. */
const ranking = new Memory<InPlay>(40)

/** What each build's pairings weighed, so that a change sweeps only what it touched; the builds last looked at. */
const weighed = new Map<string, PairWeights>()
const MOST_WEIGHED = 20

function weightsOf(build: string): PairWeights {
  const held = weighed.get(build) ?? new PairWeights()
  weighed.delete(build)
  weighed.set(build, held)
  for (const oldest of weighed.keys()) if (weighed.size > MOST_WEIGHED) weighed.delete(oldest)
  return held
}

function rank(view: BuildView, most: number): InPlay {
  const context = contextOf(view)
  const touched = new Set(view.pairings.map((row) => `${row.engineId}|${row.transmissionId}`))
  const isOwn = (part: CompiledPart): boolean =>
    view.catalogue.rows.get(part.id)?.ownerId === view.build.recipientId &&
    view.build.recipientId !== null
  const { catalogue, build } = view
  const engines = catalogue.ofKind('engine')
  const transmissions = catalogue.ofKind('transmission')
  const recipient = build.recipientId ? (catalogue.parts.get(build.recipientId) ?? null) : null
  const weights = weightsOf(build.id).weigh(
    engines.map((engine) => ({ engine, coupling: couplingOf(catalogue, engine.id) })),
    transmissions.map((transmission) => ({
      transmission,
      coupling: couplingOf(catalogue, transmission.id),
      transfer: transferOf(catalogue, [], transmission.id, recipient?.id),
      recipient,
    })),
    context,
  )
  // What the build has touched has choices of its own, and is recorded whatever it weighs.
  const all = engines.flatMap((engine, row) =>
    transmissions.map((transmission, column) => {
      const kept =
        touched.has(`${engine.id}|${transmission.id}`) || (isOwn(engine) && isOwn(transmission))
      return {
        pair: [engine, transmission] as [CompiledPart, CompiledPart],
        weight: kept ? -1 : weights[row * transmissions.length + column]!,
      }
    }),
  )
  const ranked = all.sort(
    (p, q) =>
      p.weight - q.weight ||
      (`${p.pair[0].name}${p.pair[1].name}` < `${q.pair[0].name}${q.pair[1].name}` ? -1 : 1),
  )
  return { pairs: ranked.slice(0, most).map(({ pair }) => pair), of: all.length }
}

export function pairingRows(view: BuildView, most = SHOWN) {
  const { pairs, of } = inPlay(view, most)
  const { recipientId } = view.build
  const own = ownTrain(view, recipientId ? (view.catalogue.parts.get(recipientId) ?? null) : null)
  const items = pairs.map(([engine, transmission]) => {
    const { train, result, row, heard } = runBuildPairing(view, engine.id, transmission.id)
    return {
      engineId: engine.id,
      engine: engine.name,
      transmissionId: transmission.id,
      transmission: transmission.name,
      recipients: [engine, transmission]
        .filter((part) => view.catalogue.rows.get(part.id)?.ownerId === view.build.recipientId)
        .map((part) => part.id),
      chosen: row?.chosen === true,
      joints: result.joints.map((joint) => shownCode(joint, heard.get(joint.joint))),
      open: result.joints.filter(
        ({ joint, bare, closed }) =>
          effective({ bare, closed }).code === 'unmeasured' && !heard.get(joint)?.answer,
      ).length,
      minutes: result.joints.reduce(
        (sum, { bare, closed }) => sum + effective({ bare, closed }).minutes,
        0,
      ),
      hours: result.joints.reduce(
        (sum, { bare, closed }) =>
          sum + effective({ bare, closed }).tasks.reduce((total, task) => total + task.hours, 0),
        0,
      ),
      piecesMinor: piecesFrom(view, result.chosen),
      closedBy: result.chosen.map((id) => view.catalogue.parts.get(id)?.name ?? id),
      marginNm: marginOf(result),
      ...roadRow(view, train, own),
    }
  })
  return { items: items.sort(byPromise), of }
}

/** The least the pieces that close it are known to cost, each by itself or all in one kit; null where one has no price. */
function piecesFrom(
  { build, insertables, catalogue: { trade } }: BuildView,
  parts: readonly string[],
): number | null {
  const money = { currency: build.currency, taxRate: build.taxRate }
  const apart = parts.reduce((sum, part) => sum + insertables.cost(part), 0)
  const together = trade.kits
    .filter(({ items }) => parts.every((part) => items.some(({ partId }) => partId === part)))
    .map((kit) => paidPrice(kit.priceMinor, kit.currency, kit.taxIncluded, money, trade.rates))
  const least = Math.min(apart, ...together.map((price) => price ?? Infinity))
  return parts.length === 0 ? 0 : Number.isFinite(least) ? least : null
}

/** The code shown of a joint: the computed one, or where that is unmeasured the claim's, at its grade. */
function shownCode(
  { joint, bare, closed }: PairingResult['joints'][number],
  said: Heard<ClaimRow> | undefined,
) {
  const answer = said?.answer
  return {
    joint,
    code: answer?.run === 'bare' ? answer.code : bare.code,
    closed: answer?.run === 'closed' ? answer.code : (closed?.code ?? null),
    evidence: answer ? answer.evidence : bare.evidence,
    missing: effective({ bare, closed }).missing.length,
    claimed: answer !== undefined,
    conflicts: said?.conflicts.length ?? 0,
  }
}

/** Least torque margin at the gearbox input, N·m; null when not known. */
function marginOf(result: PairingResult): number | null {
  const limits =
    result.joints
      .find((joint) => joint.joint === 'torque')
      ?.bare.limits.filter((limit) => limit.id === 'torque') ?? []
  const margins = limits.flatMap((limit) => (limit.margin === null ? [] : [limit.margin]))
  return margins.length === limits.length && margins.length > 0 ? Math.min(...margins) : null
}
