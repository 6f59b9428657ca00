import { createHash } from 'node:crypto'
import { pairingFacts } from '../../../core/needs/from-pairing/pairing-facts.ts'
import type { LineRow } from '../../../core/needs/line.ts'
import type { KnownFacts } from '../../../core/needs/line-list.ts'
import { LINE_ROWS } from '../../../core/needs/lines/index.ts'
import type { Need } from '../../../core/needs/need.ts'
import { actsOfOwn, needOfOwn } from '../../../core/needs/own-line.ts'
import { type PlannedNeeds, planNeeds } from '../../../core/needs/plan-needs.ts'
import { proofOf } from '../../../core/needs/proof.ts'
import { type Supply, supplyOf } from '../../../core/needs/supply.ts'
import { PartJudge, type Placed } from '../../../core/pairing/judged-parts.ts'
import type { PlanLine } from '../../../core/sourcing/account.ts'
import { type Gathered, gatherCandidates } from '../../../core/sourcing/candidates.ts'
import { RULE } from '../../../core/sourcing/filters.ts'
import { takenBy } from '../../../core/sourcing/ids.ts'
import type { Market } from '../../../core/sourcing/market.ts'
import { NumbersAsked } from '../../../core/sourcing/numbers-asked.ts'
import { numberedPart } from '../../../core/sourcing/numbers-wanted.ts'
import { partsAsked } from '../../../core/sourcing/offer-matches.ts'
import type { Conflict, Lock, Problem } from '../../../core/sourcing/problem.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { type BuildView, contextOf, viewBuild } from '../builds/build-view.ts'
import { offeredOf } from '../catalogue/offered.ts'
import { shopDay } from '../shop/day.ts'
import { Memory, RevisionMemory } from '../shop/memory.ts'
import { factsOf } from '../trains/build-facts.ts'
import { judging } from '../trains/judging.ts'
import { numbersOf } from '../trains/numbers-of.ts'
import { type PairingRun, runBuildPairing } from '../trains/pairing-run.ts'

/** What a build needs by its chosen pairing and brief; no source is looked for yet. */
export interface Needed {
  readonly view: BuildView
  readonly run: PairingRun | null
  /** Every line that stands, leans or is open. */
  readonly needs: readonly Need[]
  /** Those of them that are got: firm, or decided by a person. */
  readonly sought: readonly Need[]
  /** Left out because a type says so. */
  readonly folded: readonly Need[]
  /** The rows it was made of, the shop's own among them. */
  readonly rows: readonly LineRow[]
  readonly facts: KnownFacts
  /** Judges what could be bought in the chosen pairing; null before there is one. */
  readonly judge: PartJudge | null
  readonly dropped: readonly Need[]
  readonly decisions: readonly RowOf<'decision'>[]
}

export interface Planned extends Needed {
  /** Tasks to prove what the plan takes on hearsay: of its lines, and so not part of what it is made from. */
  readonly proofs: readonly Need[]
  readonly locks: readonly RowOf<'sourcingLock'>[]
  readonly gathered: Gathered
  /** Fingerprint of the problem: a plan made from another is out of date. */
  readonly madeFrom: string
  readonly plan: RowOf<'plan'> | null
  /** What was solved after it and found none. */
  readonly broken: RowOf<'plan'> | null
}

const needed = new RevisionMemory<Needed>()
const planned = new RevisionMemory<Planned>()
const gatheredMemory = new Memory<Gathered>(50)
const fingerprints = new WeakMap<Gathered, string>()

/** Fingerprint of the problem of a build's sources and of what judges them, worked out when a plan is held against it. */
function fingerprint(gathered: Gathered): string {
  let found = fingerprints.get(gathered)
  if (!found)
    fingerprints.set(
      gathered,
      (found = createHash('sha256')
        .update(judging())
        .update(JSON.stringify(gathered.problem))
        .digest('hex')
        .slice(0, 32)),
    )
  return found
}

/** Whether the plan kept is of the list and the offers as they are now. */
export const isCurrent = (planned: Planned): boolean =>
  planned.plan !== null && planned.plan.madeFrom === planned.madeFrom

/** Needs of a build, computed once per data revision. */
export const needsOf = (store: Store, buildId: string): Promise<Needed> =>
  needed.recall(store, buildId, async () => computeNeeds(store, await viewBuild(store, buildId)))

/** Needs, candidates and the latest plan of a build, computed once per data revision. */
export const planBuild = (store: Store, buildId: string): Promise<Planned> =>
  planned.recall(store, buildId, async () => addSources(store, await needsOf(store, buildId)))

async function computeNeeds(store: Store, view: BuildView): Promise<Needed> {
  const { build } = view
  const decisions = await store.list('decision', { buildId: build.id })
  const chosen = view.pairings.find((row) => row.chosen === true)
  const run = chosen ? runBuildPairing(view, chosen.engineId, chosen.transmissionId) : null
  const facts = await factsOf(store, view, run)
  const { needs: all, folded, rows } = listFor(view, run, facts)
  const dropped = new Set(
    decisions.flatMap((one) => (one.act === 'drop' && standsStill(one, all) ? one.needId : [])),
  )
  const needs = all.filter(({ id }) => !dropped.has(id))
  const decided = new Set(decisions.flatMap(({ needId, act }) => (SEEKS.has(act) ? needId : [])))
  const sought = needs.filter(
    (need) => GOT.has(need.sort) && (need.outcome === 'yes' || decided.has(need.id)),
  )
  return {
    view,
    run,
    facts,
    needs,
    sought,
    folded,
    rows,
    judge: run ? judgeOf(view, run, sought, decisions) : null,
    dropped: all.filter(({ id }) => dropped.has(id)),
    decisions,
  }
}

/** Where a line of the build comes from, as far as its facts and what people decided say. */
export const supplyIn = (
  { facts, decisions, view }: Pick<Needed, 'facts' | 'decisions' | 'view'>,
  need: Need,
): Supply =>
  supplyOf(need, (key) => facts[key]?.value, [
    ...decisions.flatMap(({ needId, act }) => (needId === need.id ? act : [])),
    ...actsOfOwn(ownLineOf(view, need)?.state),
  ])

/** The line written by hand that a need is; undefined where it is none. */
export const ownLineOf = (view: BuildView, { kind }: Need): RowOf<'ownLine'> | undefined =>
  view.ownLines.find(({ id }) => kind === `own:${id}`)

/** What recipes may be of, by id. */
export const partsIn = ({ train }: PairingRun): ReadonlySet<string> =>
  new Set(
    [train.engine, train.transmission, train.transfer, train.recipient].flatMap(
      (part) => part?.id ?? [],
    ),
  )

/** Decisions that make a line one to be had, though it is not sure. */
const SEEKS: ReadonlySet<string> = new Set(['price', 'estimate', 'keep', 'confirm', 'order'])

const NO_NEEDS: PlannedNeeds = { needs: [], folded: [], rows: LINE_ROWS }
/** Sorts of line that are bought, kept or had. */
const GOT: ReadonlySet<Need['sort']> = new Set(['part', 'service', 'tool', 'paper'])

/** The list of a build with facts as they are, or as they would be; what is written by hand stands without a pairing too. */
export function listFor(view: BuildView, run: PairingRun | null, facts: KnownFacts): PlannedNeeds {
  const { needs, folded, rows } = run
    ? planNeeds({
        facts,
        pairing: pairingFacts(
          run.train,
          run.result,
          (id) => view.catalogue.parts.get(id),
          briefFacts(view),
        ),
        joints: run.result.joints,
        recipes: view.recipes,
        parts: partsIn(run),
      })
    : NO_NEEDS
  return { needs: [...needs, ...view.ownLines.map(needOfOwn)], folded, rows }
}

/** A decision rests on the reasons it was made for: if these change it stands aside and is asked again. */
export const standsStill = (
  { needId, rests }: Pick<RowOf<'decision'>, 'needId' | 'rests'>,
  needs: readonly Need[],
): boolean => {
  const need = needs.find(({ id }) => id === needId)
  return !rests || need === undefined || need.rests === rests
}

/** What is settled beside engine, gearbox, recipient and chosen set: pieces that a person keeps. */
function judgeOf(
  view: BuildView,
  run: PairingRun,
  needs: readonly Need[],
  decisions: readonly RowOf<'decision'>[],
): PartJudge {
  const inserted = run.result.chosen.flatMap((id) => view.catalogue.parts.get(id) ?? [])
  const isKept = (need: Need): boolean =>
    decisions.some(({ needId, act }) => needId === need.id && act === 'keep')
  return new PartJudge(
    { ...run.train, inserted },
    contextOf(view),
    run.result.joints,
    needs.flatMap((need) => (need.wants && isKept(need) ? need.wants : [])),
  )
}

/** The parts that the lines of a plan take, each where it would be used. */
export function placedBy(
  { needs, gathered, view }: Pick<Planned, 'needs' | 'gathered' | 'view'>,
  lines: readonly PlanLine[],
): Map<string, Placed> {
  const ofNeed = new Map(needs.map((need) => [need.id, need]))
  return new Map(
    lines.flatMap((line): [string, Placed][] => {
      const id = gathered.sources.get(takenBy(line))?.partId
      const part = id === undefined ? undefined : view.catalogue.parts.get(id)
      return part ? [[line.need, { part, instead: ofNeed.get(line.need)?.wants }]] : []
    }),
  )
}

/** Judges plans of one problem as wholes: what fails is cut off, on top of what was. */
export function judgePlans(planned: Planned): (lines: readonly PlanLine[]) => Problem | null {
  const { judge, gathered } = planned
  const conflicts: Conflict[] = []
  return (lines) => {
    const found = judge?.conflicts(placedBy(planned, lines), gathered.partsFor) ?? []
    if (found.length === 0) return null
    conflicts.push(...found.map(({ words, sides }) => ({ id: RULE.fails(words), sides })))
    return gathered.withConflicts(conflicts)
  }
}

/** The same of a build as it would be, with more locks than it has: nothing of it is kept. */
export const planAs = async (
  store: Store,
  view: BuildView,
  locks: readonly Lock[],
): Promise<Planned> => addSources(store, await computeNeeds(store, view), locks)

async function addSources(
  store: Store,
  base: Needed,
  more: readonly Lock[] = [],
): Promise<Planned> {
  const { view, sought: needs, decisions, judge } = base
  const { build, catalogue } = view
  const [locks, plans] = await Promise.all([
    store.list('sourcingLock', { buildId: build.id }),
    store.list('plan', { buildId: build.id }),
  ])
  const holding = plans.findLast(({ detail }) => detail.totalMinor !== null)
  const { parts, kinds, trade } = catalogue
  // Only what these needs ask for is read: a shop has a million offers.
  const asNumbered = numbersOf(view, base.run, base.facts, decisions)
  const asked = partsAsked(needs, { ...trade, parts, kinds }, judge)
  for (const need of needs) {
    const numbered = numberedPart(need, asNumbered)
    if (numbered !== null) asked.add(numbered)
  }
  const { changes, offers, numbers } = await offeredOf(store, asked)
  const today = await shopDay(store)
  const coming = new Set(needs.flatMap((need) => (supplyIn(base, need) === 'comes' ? need.id : [])))
  const market: Market = { ...trade, parts, kinds, offers, numbers }
  const gathered = gatheredMemory.recall(
    [parts, trade],
    JSON.stringify([
      changes,
      build,
      needs,
      decisions,
      locks,
      more,
      judge?.key,
      [...coming],
      asNumbered.application,
      today,
    ]),
    () =>
      gatherCandidates(
        needs,
        market,
        build,
        decisions,
        [...locks.map(toLock), ...more],
        judge,
        coming,
        new NumbersAsked(market, asNumbered, today),
      ),
  )
  const plan = holding ?? plans.at(-1) ?? null
  const { stand: proofs, dropped } = proofsOf(base, plan, gathered)
  return {
    ...base,
    needs: [...base.needs, ...proofs],
    dropped: [...base.dropped, ...dropped],
    proofs,
    locks,
    gathered,
    get madeFrom() {
      return fingerprint(gathered)
    },
    plan,
    // What came after the last that had a total, and has none.
    broken: holding && plans.at(-1) !== holding ? (plans.at(-1) ?? null) : null,
  }
}

/** What of a plan is dear and known by hearsay only, each to be proved; and what of that was dropped. */
function proofsOf(
  { needs, decisions }: Needed,
  plan: RowOf<'plan'> | null,
  { sources }: Gathered,
): { stand: readonly Need[]; dropped: readonly Need[] } {
  const ofNeed = new Map(needs.map((need) => [need.id, need]))
  const all = (plan?.detail.lines ?? []).flatMap((line) => {
    const need = ofNeed.get(line.need)
    const source = sources.get(takenBy(line))
    if (!need || !source || source.source === 'comes' || source.source === 'keep') return []
    return proofOf(need, line.costMinor, source) ?? []
  })
  const isDropped = (proof: Need): boolean =>
    decisions.some((one) => one.needId === proof.id && one.act === 'drop' && standsStill(one, all))
  return {
    stand: all.filter((proof) => !isDropped(proof)),
    dropped: all.filter(isDropped),
  }
}

function briefFacts(view: BuildView): Parameters<typeof pairingFacts>[3] {
  const { build, catalogue } = view
  const recipients = new Set(
    (build.recipientId ? catalogue.ownedBy(build.recipientId) : []).map((row) => row.id),
  )
  return { ...contextOf(view), recipients }
}

const toLock = (row: RowOf<'sourcingLock'>): Lock => ({
  id: row.id,
  way: row.way as 'in' | 'out',
  ...(row.candidate ? { candidate: row.candidate } : {}),
  ...(row.bundle ? { bundle: row.bundle } : {}),
  ...(row.item ? { item: row.item } : {}),
  ...(row.supplierId ? { supplier: row.supplierId } : {}),
})

/** The chosen pairing by name; null before there is one. */
export function nameOf(plan: Needed): string | null {
  return plan.run ? `${plan.run.train.engine.name} with ${plan.run.train.transmission.name}` : null
}
