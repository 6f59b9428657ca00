import { PART_KINDS } from '../../core/identity/part-kinds.ts'
import { jointNamed } from '../../core/joints/index.ts'
import type { Use } from '../../core/joints/joint.ts'
import { paidPrice } from '../../core/money/offer-price.ts'
import { insertionPlace } from '../../core/pairing/closing.ts'
import { couplingSet, isCouplingKind } from '../../core/pairing/coupling.ts'
import { type Heard, hearClaims, type JointClaim } from '../../core/pairing/joint-claims.ts'
import { byPromise, effective } from '../../core/pairing/order.ts'
import { type PairingResult, runPairing } from '../../core/pairing/pairing.ts'
import { PairWeights } from '../../core/pairing/rank.ts'
import type { PairingContext, Train } from '../../core/pairing/train.ts'
import { type CompiledPart, portOf } from '../../core/ports/index.ts'
import type { Row, Store } from '../database/store.ts'
import { MissingError } from '../errors.ts'
import { type Catalogue, loadCatalogue } from './catalogue.ts'
import { Memory, RevisionMemory } from './memory.ts'

export interface PairingRun {
  readonly train: Train
  readonly result: PairingResult
  readonly insertable: readonly CompiledPart[]
  readonly row: Row | null
  /** By joint: what somebody said of it as a whole, beside the computed verdict. */
  readonly heard: ReadonlyMap<string, Heard<ClaimRow>>
}

export type ClaimRow = JointClaim & Row

export interface BuildView {
  readonly build: Row
  readonly catalogue: Catalogue
  readonly pairings: readonly Row[]
  readonly choices: readonly Row[]
  readonly jointClaims: readonly ClaimRow[]
  /** Answers to the stopper questions, by question. */
  readonly stoppers: Readonly<Record<string, string>>
}

export async function viewBuild(store: Store, buildId: string): Promise<BuildView> {
  const build = await store.get('build', buildId)
  const pairings = await store.list('pairing', { buildId })
  const claims = await store.list<ClaimRow>('jointClaim')
  const isStopper = (claim: Row): boolean => claim.subject === 'stopper'
  return {
    build,
    catalogue: await loadCatalogue(store, buildId),
    pairings,
    choices: await store.listIn(
      'couplingChoice',
      'pairingId',
      pairings.map((row) => row.id),
    ),
    jointClaims: claims.filter((claim) => !isStopper(claim)),
    stoppers: Object.fromEntries(
      claims.filter((claim) => isStopper(claim) && (claim as Row).buildId === buildId).map((claim) => [String((claim as Row).question), String(claim.says)]),
    ),
  }
}

/** Coupling parts that came with an engine or a transmission. */
const couplingOf = (catalogue: Catalogue, owner: string): readonly CompiledPart[] =>
  catalogue.ownedBy(owner).flatMap((row) => (row.isDefault === true && isCouplingKind(String(row.kind)) ? (catalogue.parts.get(row.id) ?? []) : []))

/** The train of one pairing as the build has it: default coupling, its own choices, the recipient. */
export function trainOf(view: BuildView, engine: CompiledPart, transmission: CompiledPart): { train: Train; notes: readonly string[]; row: Row | null } {
  const { catalogue, build } = view
  const row = view.pairings.find((one) => one.engineId === engine.id && one.transmissionId === transmission.id) ?? null
  const chosen = row ? view.choices.filter((choice) => choice.pairingId === row.id).flatMap((choice) => catalogue.parts.get(String(choice.partId)) ?? []) : []
  const { parts, notes } = couplingSet(transmission, couplingOf(catalogue, engine.id), couplingOf(catalogue, transmission.id), chosen)
  const recipient = build.recipientId ? (catalogue.parts.get(String(build.recipientId)) ?? null) : null
  return { train: { engine, transmission, recipient, transfer: transferOf(catalogue, chosen, transmission.id, recipient?.id), coupling: parts, inserted: [] }, notes, row }
}

/** The transfer case behind a gearbox: the one chosen on the pairing, the gearbox's own, or the recipient's. */
function transferOf(catalogue: Catalogue, chosen: readonly CompiledPart[], transmissionId: string, recipientId: string | undefined): CompiledPart | null {
  const picked = chosen.find((part) => part.kind === 'transfer-case')
  if (picked) return picked
  const cases = catalogue.ofKind('transfer-case')
  const owned = (owner: string | undefined): CompiledPart | undefined => (owner ? cases.find((part) => catalogue.rows.get(part.id)?.ownerId === owner) : undefined)
  return owned(transmissionId) ?? owned(recipientId) ?? null
}

export function contextOf(view: BuildView): PairingContext {
  return { tolerances: view.catalogue.tolerances, use: (view.build.use as Use | null) ?? undefined, placement: view.build.school === 'set-back' ? 'set-back' : 'keep' }
}

const pairingMemory = new Memory<PairingResult>(2000)
/** What may be put in and what it costs: the same object while neither changes, so that what leans on it can be kept. */
interface Insertables {
  readonly parts: readonly CompiledPart[]
  readonly costs: readonly number[]
}
/** Once a catalogue and kind of money: an unrelated write leaves the catalogue, and this with it. */
const insertables = new WeakMap<Catalogue, Map<string, Insertables>>()
const moneyOf = ({ build }: BuildView): string => `${build.currency} ${build.taxRate}`
const sameInsertables = new Map<string, Insertables>()

/** Plates, spacers, wheels and pilots that belong to nothing, with the cheapest price of each. */
function insertableOf(view: BuildView): Insertables {
  const { catalogue } = view
  let held = insertables.get(catalogue)
  if (!held) insertables.set(catalogue, (held = new Map()))
  const kept = held.get(moneyOf(view))
  if (kept) return kept
  const cost = costOf(view)
  const parts = Object.keys(PART_KINDS)
    .flatMap((kind) => catalogue.ofKind(kind))
    .filter((part) => insertionPlace(part) !== null && !catalogue.rows.get(part.id)?.ownerId)
    .sort((p, q) => (p.id < q.id ? -1 : 1))
  const costs = parts.map((part) => cost(part.id))
  const last = sameInsertables.get(view.build.id)
  const isSame = last && last.parts.length === parts.length && parts.every((part, i) => part === last.parts[i] && costs[i] === last.costs[i])
  const found = isSame ? last : { parts, costs }
  held.set(moneyOf(view), found)
  sameInsertables.set(view.build.id, found)
  return found
}

const costs = new WeakMap<Catalogue, Map<string, (partId: string) => number>>()

/** Cheapest known price of each part, for ranking sets that are otherwise equal. */
export function costOf(view: BuildView): (partId: string) => number {
  let held = costs.get(view.catalogue)
  if (!held) costs.set(view.catalogue, (held = new Map()))
  const found = held.get(moneyOf(view)) ?? cheapest(view)
  held.set(moneyOf(view), found)
  return found
}

function cheapest(view: BuildView): (partId: string) => number {
  const known = new Map<string, number>()
  const build = { currency: String(view.build.currency), taxRate: Number(view.build.taxRate) }
  const { kits, rates } = view.catalogue.market
  const least = (prices: readonly (number | null)[]): number => Math.min(Infinity, ...prices.filter((price) => price !== null))
  const kitPrices = new Map<string, number>()
  for (const kit of kits)
    for (const item of kit.items) kitPrices.set(item.partId, least([kitPrices.get(item.partId) ?? null, paidPrice(kit.priceMinor, kit.currency, kit.taxIncluded, build, rates)]))
  return (part) => {
    let cost = known.get(part)
    if (cost === undefined) {
      const offers = view.catalogue.offersOf(part).map((offer) => paidPrice(offer.priceMinor, offer.currency, offer.taxIncluded, build, rates))
      known.set(part, (cost = least([kitPrices.get(part) ?? null, ...offers])))
    }
    return cost
  }
}

/** One pairing of a build, bare and closed. @throws MissingError */
export function runBuildPairing(view: BuildView, engineId: string, transmissionId: string): PairingRun {
  const engine = view.catalogue.parts.get(engineId)
  const transmission = view.catalogue.parts.get(transmissionId)
  if (!engine || !transmission) throw new MissingError('That engine or transmission is not in the catalogue any more.')
  const { train, notes, row } = trainOf(view, engine, transmission)
  const insertable = insertableOf(view)
  const kept = row?.inserted as string[] | null | undefined
  // An empty set chosen earlier is no preference: a new measurement or part may close it now.
  const prefer = kept && kept.length > 0 ? kept : undefined
  const context = contextOf(view)
  const cost = costOf(view)
  const leansOn = [train.engine, train.transmission, train.recipient, train.transfer ?? null, ...train.coupling, context.tolerances, insertable]
  const words = JSON.stringify([context.use, context.placement, prefer, notes])
  const result = pairingMemory.recall(leansOn, words, () => runPairing(train, context, insertable.parts, { notes, cost, ...(prefer ? { prefer } : {}) }))
  return { train, result, insertable: insertable.parts, row, heard: hear(view, train, result) }
}

function hear(view: BuildView, train: Train, result: PairingResult): PairingRun['heard'] {
  if (view.jointClaims.length === 0) return new Map()
  const inRun = new Set([...result.chosen, ...train.coupling.map((part) => part.id)])
  const kitsInRun = view.catalogue.market.kits.filter((kit) => {
    const pieces = kit.items.filter((item) => {
      const part = view.catalogue.parts.get(item.partId)
      return part !== undefined && (isCouplingKind(part.kind) || insertionPlace(part) !== null)
    })
    return pieces.length > 0 && pieces.every((item) => inRun.has(item.partId))
  })
  const spoken = {
    engineId: train.engine.id,
    transmissionId: train.transmission.id,
    engineFamily: portOf(train.engine, 'face', 'rearward').family.v,
    transmissionFamily: portOf(train.transmission, 'face', 'forward').family.v,
    kitsInRun: new Set(kitsInRun.map((kit) => kit.id)),
  }
  return new Map(result.joints.map((joint) => [joint.joint, hearClaims(joint, jointNamed(joint.joint)!.place, view.jointClaims, spoken)]))
}

const rowsMemory = new RevisionMemory<ReturnType<typeof pairingRows>>()

/** Pairings shown in full unless more are asked for. */
const SHOWN = 24

/** The most promising pairings of a build, a line each; `of` counts every engine with every transmission. */
export const listPairings = (store: Store, buildId: string, most = SHOWN): Promise<ReturnType<typeof pairingRows>> =>
  rowsMemory.recall(store, `${buildId}|${most}`, async () => pairingRows(await viewBuild(store, buildId), most))

/**
 * Every engine with every transmission is swept; only the most promising, those the build has touched, and
 * the recipient's own train are then recorded in full.
 */
function inPlay(view: BuildView, most: number): InPlay {
  const { build, catalogue, pairings, choices } = view
  const words = JSON.stringify([build.use, build.school, build.recipientId, pairings.map((row) => [row.engineId, row.transmissionId]), choices, most])
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
  const isOwn = (part: CompiledPart): boolean => view.catalogue.rows.get(part.id)?.ownerId === view.build.recipientId && view.build.recipientId !== null
  const { catalogue, build } = view
  const engines = catalogue.ofKind('engine')
  const transmissions = catalogue.ofKind('transmission')
  const recipient = build.recipientId ? (catalogue.parts.get(String(build.recipientId)) ?? null) : null
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
      const kept = touched.has(`${engine.id}|${transmission.id}`) || (isOwn(engine) && isOwn(transmission))
      return { pair: [engine, transmission] as [CompiledPart, CompiledPart], weight: kept ? -1 : weights[row * transmissions.length + column]! }
    }),
  )
  const ranked = all.sort((p, q) => p.weight - q.weight || (`${p.pair[0].name}${p.pair[1].name}` < `${q.pair[0].name}${q.pair[1].name}` ? -1 : 1))
  return { pairs: ranked.slice(0, most).map(({ pair }) => pair), of: all.length }
}

export function pairingRows(view: BuildView, most = SHOWN) {
  const { pairs, of } = inPlay(view, most)
  const items = pairs.map(([engine, transmission]) => {
    const { result, row, heard } = runBuildPairing(view, engine.id, transmission.id)
    return {
      engineId: engine.id,
      engine: engine.name,
      transmissionId: transmission.id,
      transmission: transmission.name,
      recipients: [engine, transmission].filter((part) => view.catalogue.rows.get(part.id)?.ownerId === view.build.recipientId).map((part) => part.id),
      chosen: row?.chosen === true,
      joints: result.joints.map((joint) => shownCode(joint, heard.get(joint.joint))),
      open: result.joints.filter(({ joint, bare, closed }) => effective({ bare, closed }).code === 'unmeasured' && !heard.get(joint)?.answer).length,
      minutes: result.joints.reduce((sum, { bare, closed }) => sum + effective({ bare, closed }).minutes, 0),
      hours: result.joints.reduce((sum, { bare, closed }) => sum + effective({ bare, closed }).tasks.reduce((total, task) => total + task.hours, 0), 0),
      closedBy: result.chosen.map((id) => view.catalogue.parts.get(id)?.name ?? id),
      marginNm: marginOf(result),
    }
  })
  return { items: items.sort(byPromise), of }
}

/** The code shown of a joint: the computed one, or where that is unmeasured the claim's, at its grade. */
function shownCode({ joint, bare, closed }: PairingResult['joints'][number], said: Heard<ClaimRow> | undefined) {
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
  const limits = result.joints.find((joint) => joint.joint === 'torque')?.bare.limits.filter((limit) => limit.id === 'torque') ?? []
  const margins = limits.flatMap((limit) => (limit.margin === null ? [] : [limit.margin]))
  return margins.length === limits.length && margins.length > 0 ? Math.min(...margins) : null
}

/** Chooses a pairing (or another closing set on it); the set taken is kept by name so that it survives. */
export async function choosePairing(
  store: Store,
  buildId: string,
  { engineId, transmissionId, inserted }: { engineId: string; transmissionId: string; inserted?: readonly string[] | null | undefined },
): Promise<Row> {
  const view = await viewBuild(store, buildId)
  const set = inserted ?? runBuildPairing(view, engineId, transmissionId).result.chosen
  return store.transaction((tx) => takePairing(tx, buildId, { engineId, transmissionId }, set))
}

/** Makes one pairing of a build the chosen one, with the parts put in. @throws MissingError where one of them is gone */
export async function takePairing(tx: Store, buildId: string, { engineId, transmissionId }: PairOf, inserted: readonly string[]): Promise<Row> {
  await tx.get('build', buildId)
  for (const id of [engineId, transmissionId, ...inserted]) if (!(await tx.find('part', id))) throw new MissingError(`Part ${id} is not in the catalogue any more.`)
  const pairings = await tx.list('pairing', { buildId })
  const own = pairings.find((row) => row.engineId === engineId && row.transmissionId === transmissionId)
  for (const other of pairings) if (other.chosen === true && other.id !== own?.id) await tx.update('pairing', other.id, other.version, { chosen: false })
  if (own) return tx.update('pairing', own.id, own.version, { chosen: true, inserted })
  return tx.insert('pairing', { buildId, engineId, transmissionId, chosen: true, inserted })
}

interface PairOf {
  readonly engineId: string
  readonly transmissionId: string
}

/** Takes a kit's coupling pieces on a pairing, each in place of its kind. */
export async function chooseKit(store: Store, buildId: string, { kitId, ...pair }: PairOf & { kitId: string }): Promise<{ replaced: string[] }> {
  return store.transaction(async (tx) => {
    await tx.get('kit', kitId)
    const items = await tx.list('kitItem', { kitId })
    const parts = (
      await tx.listIn(
        'part',
        'id',
        items.map((item) => String(item.partId)),
      )
    ).filter((part) => isCouplingKind(String(part.kind)))
    if (parts.length === 0) throw new MissingError('That kit holds no coupling piece: flywheel, clutch, pilot, starter or separator.')
    for (const part of parts) await setCoupling(tx, buildId, { ...pair, kind: String(part.kind), partId: part.id })
    return { replaced: parts.map((part) => String(part.kind)) }
  })
}

/** Changes one piece of the coupling set on a pairing; null goes back to the default. */
export async function chooseCoupling(store: Store, buildId: string, choice: PairOf & { kind: string; partId: string | null }): Promise<void> {
  await store.transaction((tx) => setCoupling(tx, buildId, choice))
}

async function setCoupling(tx: Store, buildId: string, { engineId, transmissionId, kind, partId }: PairOf & { kind: string; partId: string | null }): Promise<void> {
  await tx.get('build', buildId)
  const pairing = (await tx.list('pairing', { buildId, engineId, transmissionId }))[0] ?? (await tx.insert('pairing', { buildId, engineId, transmissionId, chosen: false }))
  const held = (await tx.list('couplingChoice', { pairingId: pairing.id, kind }))[0]
  if (partId === null) {
    if (held) await tx.remove('couplingChoice', held.id)
  } else if (held) await tx.update('couplingChoice', held.id, held.version, { partId })
  else await tx.insert('couplingChoice', { pairingId: pairing.id, kind, partId })
}
