import { createHash } from 'node:crypto'
import { planNeeds } from '../../core/needs/fixpoint.ts'
import type { Need } from '../../core/needs/need.ts'
import { pairingFacts } from '../../core/needs/pairing-facts.ts'
import { PartJudge, type Placed } from '../../core/pairing/judged-parts.ts'
import type { PlanLine } from '../../core/sourcing/account.ts'
import { type Gathered, gatherCandidates } from '../../core/sourcing/candidates.ts'
import { RULE } from '../../core/sourcing/filters.ts'
import { takenBy } from '../../core/sourcing/ids.ts'
import type { Market } from '../../core/sourcing/market.ts'
import { partsAsked } from '../../core/sourcing/offer-matches.ts'
import type { Conflict, Lock, Problem } from '../../core/sourcing/problem.ts'
import type { RowOf, Store } from '../database/store.ts'
import { type BuildView, contextOf, viewBuild } from './build-view.ts'
import { judging } from './judging.ts'
import { Memory, RevisionMemory } from './memory.ts'
import { offeredOf } from './offered.ts'
import { type PairingRun, runBuildPairing } from './pairing-run.ts'

/** What a build needs by its chosen pairing and brief; no source is looked for yet. */
export interface Needed {
  readonly view: BuildView
  readonly run: PairingRun | null
  readonly needs: readonly Need[]
  /** Judges what could be bought in the chosen pairing; null before there is one. */
  readonly judge: PartJudge | null
  readonly dropped: readonly Need[]
  readonly decisions: readonly RowOf<'decision'>[]
}

export interface Planned extends Needed {
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
  const { build, catalogue } = view
  const decisions = await store.list('decision', { buildId: build.id })
  const chosen = view.pairings.find((row) => row.chosen === true)
  const run = chosen ? runBuildPairing(view, chosen.engineId, chosen.transmissionId) : null
  const all = run
    ? planNeeds(
        pairingFacts(run.train, run.result, (id) => catalogue.parts.get(id), briefFacts(view)),
        run.result.joints,
      )
    : []
  const isDropped = (need: Need): boolean =>
    decisions.some((decision) => decision.needId === need.id && decision.act === 'drop')
  const needs = all.filter((need) => !isDropped(need))
  return {
    view,
    run,
    needs,
    judge: run ? judgeOf(view, run, needs, decisions) : null,
    dropped: all.filter(isDropped),
    decisions,
  }
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

async function addSources(store: Store, base: Needed): Promise<Planned> {
  const { view, needs, decisions, judge } = base
  const { build, catalogue } = view
  const [locks, plans] = await Promise.all([
    store.list('sourcingLock', { buildId: build.id }),
    store.list('plan', { buildId: build.id }),
  ])
  const holding = plans.findLast(({ detail }) => detail.totalMinor !== null)
  const { parts, kinds, trade } = catalogue
  // Only what these needs ask for is read: a shop has a million offers.
  const { changes, offers, numbers } = await offeredOf(
    store,
    partsAsked(needs, { ...trade, parts, kinds }, judge),
  )
  const market: Market = { ...trade, parts, kinds, offers, numbers }
  const gathered = gatheredMemory.recall(
    [parts, trade],
    JSON.stringify([changes, build, needs, decisions, locks, judge?.key]),
    () => gatherCandidates(needs, market, build, decisions, locks.map(toLock), judge),
  )
  return {
    ...base,
    locks,
    gathered,
    get madeFrom() {
      return fingerprint(gathered)
    },
    plan: holding ?? plans.at(-1) ?? null,
    // What came after the last that had a total, and has none.
    broken: holding && plans.at(-1) !== holding ? (plans.at(-1) ?? null) : null,
  }
}

export function briefFacts({
  build,
  catalogue,
  stoppers,
}: BuildView): Parameters<typeof pairingFacts>[3] {
  const recipients = new Set(
    (build.recipientId ? catalogue.ownedBy(build.recipientId) : []).map((row) => row.id),
  )
  return {
    mustWork: build.mustWork,
    tolerances: catalogue.tolerances,
    inspection: build.inspection,
    recipients,
    stoppers,
  }
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
