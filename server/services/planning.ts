import { createHash } from 'node:crypto'
import { kindGroup, kindWords } from '../../core/identity/part-kinds.ts'
import { jointNamed } from '../../core/joints/index.ts'
import { type BuildTotals, budget } from '../../core/money/budget.ts'
import { planNeeds } from '../../core/needs/fixpoint.ts'
import type { Need } from '../../core/needs/need.ts'
import { pairingFacts } from '../../core/needs/pairing-facts.ts'
import { effective } from '../../core/pairing/order.ts'
import { type Decision, type Gathered, gatherCandidates, type SourceInfo } from '../../core/sourcing/candidates.ts'
import type { Lock } from '../../core/sourcing/problem.ts'
import type { Plan } from '../../core/sourcing/solve.ts'
import { assumedPrice } from '../../core/templates/first-answer.ts'
import type { Row, Store } from '../database/store.ts'
import { ConflictError, MissingError } from '../errors.ts'
import { Memory, RevisionMemory } from './memory.ts'
import { type BuildView, type PairingRun, runBuildPairing, viewBuild } from './pairings.ts'

export interface Planned {
  readonly view: BuildView
  readonly run: PairingRun | null
  readonly needs: readonly Need[]
  readonly dropped: readonly Need[]
  readonly decisions: readonly Row[]
  readonly locks: readonly Row[]
  readonly gathered: Gathered
  /** Fingerprint of the problem: a plan made from another is out of date. */
  readonly madeFrom: string
  readonly plan: Row | null
}

const memory = new RevisionMemory<Planned>()
const gatheredMemory = new Memory<Gathered>(50)
const fingerprints = new WeakMap<Gathered, string>()

/** Fingerprint of the problem of a build's sources, worked out when a plan is held against it. */
function fingerprint(gathered: Gathered): string {
  let found = fingerprints.get(gathered)
  if (!found) fingerprints.set(gathered, (found = createHash('sha256').update(JSON.stringify(gathered.problem)).digest('hex').slice(0, 32)))
  return found
}

/** Whether the plan kept is of the list and the offers as they are now. */
export const isCurrent = (planned: Planned): boolean => planned.plan !== null && planned.plan.madeFrom === planned.madeFrom

/** Needs, candidates and the latest plan of a build, computed once per data revision. */
export const planBuild = (store: Store, buildId: string): Promise<Planned> => memory.recall(store, buildId, async () => compute(store, await viewBuild(store, buildId)))

async function compute(store: Store, view: BuildView): Promise<Planned> {
  const { build, catalogue } = view
  const [decisions, locks, plans] = await Promise.all([
    store.list('decision', { buildId: build.id }),
    store.list('sourcingLock', { buildId: build.id }),
    store.list('plan', { buildId: build.id }),
  ])
  const chosen = view.pairings.find((row) => row.chosen === true)
  const run = chosen ? runBuildPairing(view, String(chosen.engineId), String(chosen.transmissionId)) : null
  const all = run
    ? planNeeds(
        pairingFacts(run.train, run.result, (id) => catalogue.parts.get(id), briefFacts(view)),
        run.result.joints,
      )
    : []
  const isDropped = (need: Need): boolean => decisions.some((decision) => decision.needId === need.id && decision.act === 'drop')
  const needs = all.filter((need) => !isDropped(need))
  let held: Gathered | null = null
  const gathered = (): Gathered =>
    (held ??= gatheredMemory.recall([catalogue.market], JSON.stringify([build, needs, decisions, locks]), () =>
      gatherCandidates(needs, catalogue.market, build as never, decisions as unknown as Decision[], locks.map(toLock)),
    ))
  return {
    view,
    run,
    needs,
    dropped: all.filter(isDropped),
    decisions,
    locks,
    // Gathered when first asked for: a command that drops a line asks for no source.
    get gathered() {
      return gathered()
    },
    get madeFrom() {
      return fingerprint(gathered())
    },
    plan: plans.at(-1) ?? null,
  }
}

export function briefFacts({ build, catalogue, stoppers }: BuildView): Parameters<typeof pairingFacts>[3] {
  const recipients = new Set((build.recipientId ? catalogue.ownedBy(String(build.recipientId)) : []).map((row) => row.id))
  return { mustWork: (build.mustWork ?? []) as string[], inspection: build.inspection as boolean | null, recipients, stoppers }
}

const toLock = (row: Row): Lock => ({
  id: row.id,
  way: row.way as 'in' | 'out',
  ...(row.candidate ? { candidate: String(row.candidate) } : {}),
  ...(row.bundle ? { bundle: String(row.bundle) } : {}),
  ...(row.supplierId ? { supplier: String(row.supplierId) } : {}),
})

/** Sources of a line that are sent with it; the rest are counted. */
const CANDIDATES_SHOWN = 40

export type LineState = 'open' | 'planned' | 'kept' | 'work' | 'dropped' | 'estimated' | 'to solve'

/** The parts list: each need with its source in the plan, number verdict, evidence, why and state. */
export async function partsList(store: Store, buildId: string) {
  const plan = await planBuild(store, buildId)
  const lines = (plan.plan?.detail as Plan | undefined)?.lines ?? []
  const current = isCurrent(plan)
  const sourceOf = new Map(plan.gathered.sources.map((source) => [source.id, source]))
  const candidatesOf = new Map<string, SourceInfo[]>()
  for (const one of plan.gathered.sources) {
    const group = candidatesOf.get(one.need)
    if (group) group.push(one)
    else candidatesOf.set(one.need, [one])
  }
  const list = plan.needs.map((need) => {
    const line = current ? lines.find((one) => one.need === need.id) : undefined
    const source = line ? sourceOf.get(line.candidate ?? `${line.bundle}\u0000${line.item}`) : undefined
    const candidates = candidatesOf.get(need.id) ?? []
    const estimate = plan.decisions.find((one) => one.needId === need.id && one.act === 'estimate')
    return {
      ...lineOf(need, plan.view),
      source: source ?? null,
      costMinor: line?.costMinor ?? null,
      packs: line?.packs ?? null,
      candidates: candidates.slice(0, CANDIDATES_SHOWN),
      candidateCount: candidates.length,
      range: need.task || source || estimate ? null : assumedPrice(need.kind, String(plan.view.build.currency), plan.view.catalogue.market.rates),
      estimateMinor: (estimate?.priceMinor as number | null | undefined) ?? null,
      decisions: plan.decisions.filter((one) => one.needId === need.id),
      state: stateOf(need, source, candidates, estimate),
    }
  })
  return {
    pairing: nameOf(plan),
    currency: plan.view.build.currency,
    planIsCurrent: current,
    planStatus: (plan.plan?.status as string | undefined) ?? null,
    lines: list,
    dropped: plan.dropped.map((need) => ({ ...lineOf(need, plan.view), decisionId: plan.decisions.find((one) => one.needId === need.id && one.act === 'drop')!.id })),
    excluded: plan.gathered.excluded,
  }
}

function lineOf(need: Need, view: BuildView) {
  const wants = need.wants ? view.catalogue.parts.get(need.wants) : undefined
  return { ...need, group: kindGroup(need.kind), kindWords: kindWords(need.kind), wantsName: wants?.name ?? null, joint: need.why.find((reason) => reason.joint)?.joint ?? null }
}

function stateOf(need: Need, source: SourceInfo | undefined, candidates: readonly SourceInfo[], estimate: Row | undefined): LineState {
  if (need.task) return 'work'
  if (source) return source.source === 'keep' ? 'kept' : 'planned'
  if (candidates.length > 0) return 'to solve'
  return estimate ? 'estimated' : 'open'
}

export function nameOf(plan: Planned): string | null {
  return plan.run ? `${plan.run.train.engine.name} with ${plan.run.train.transmission.name}` : null
}

/** Drops a need, puts a price and a source on it, keeps the recipient's, or estimates it; one decision of each kind a need. */
export async function decide(
  store: Store,
  buildId: string,
  input: { needId: string; act: Decision['act']; priceMinor?: number | null | undefined; source?: string | null | undefined; note?: string | null | undefined },
): Promise<Row> {
  // Planned before, not inside: a transaction only checks and writes.
  const plan = await planBuild(store, buildId)
  if (![...plan.needs, ...plan.dropped].some((need) => need.id === input.needId)) throw new MissingError(`There is no line "${input.needId}" in this build's parts list.`)
  return store.transaction(async (tx) => {
    await tx.get('build', buildId)
    if ((input.act === 'price' || input.act === 'estimate') && input.priceMinor == null) throw new ConflictError('Type the price.')
    const held = (await tx.list('decision', { buildId, needId: input.needId, act: input.act }))[0]
    const values = { priceMinor: input.priceMinor ?? null, source: input.source ?? null, note: input.note ?? null }
    return held ? tx.update('decision', held.id, held.version, values) : tx.insert('decision', { buildId, needId: input.needId, act: input.act, ...values })
  })
}

/** Totals of a build: the header's and the budget's. Nothing is shown before it is computed: without a plan, no total. */
export function totals(plan: Planned): BuildTotals | null {
  if (!plan.run || !plan.plan) return null
  const { build } = plan.view
  const solved = plan.plan.detail as Plan
  const open = plan.needs.filter((need) => solved.open.includes(need.id))
  const estimates = open.flatMap((need) => {
    const found = plan.decisions.find((decision) => decision.needId === need.id && decision.act === 'estimate')
    return found ? [Number(found.priceMinor)] : []
  })
  const taskHours = plan.needs.reduce((sum, need) => sum + (need.task?.hours ?? 0), 0)
  const likeForLikeMinor = build.likeForLikeMinor as number | null
  const sourced = plan.needs.filter((need) => !need.task).length
  if (solved.totalMinor === null) return null
  return {
    ...budget({
      planMinor: solved.totalMinor,
      taskHours,
      labourRateMinor: Number(build.labourRateMinor),
      estimatesMinor: estimates,
      unpriced: open.length - estimates.length,
      contingency: Number(build.contingency),
      likeForLikeMinor,
    }),
    currency: String(build.currency),
    contingency: Number(build.contingency),
    likeForLikeMinor,
    planMinor: solved.totalMinor,
    planStatus: String(plan.plan.status),
    planIsCurrent: isCurrent(plan),
    proven: `${solved.status === 'proven' ? 'Proven' : 'Best found'} for ${sourced - open.length} of ${sourced} lines`,
    taskHours,
    pairing: nameOf(plan),
    open: open.length,
  }
}

/** The header of a build: pairing, totals, what is open by stage, one next action. */
export async function buildHeader(store: Store, buildId: string) {
  const plan = await planBuild(store, buildId)
  const { build, catalogue } = plan.view
  const recipient = build.recipientId ? (catalogue.parts.get(String(build.recipientId))?.name ?? null) : null
  const sums = totals(plan)
  const sourcedKinds = new Set(plan.gathered.sources.map((source) => source.need))
  const openParts = plan.needs.filter((need) => !need.task && !sourcedKinds.has(need.id) && !plan.decisions.some((d) => d.needId === need.id && d.act === 'estimate')).length
  const unmeasured = plan.run?.result.joints.filter(({ bare, closed }) => effective({ bare, closed }).code === 'unmeasured') ?? []
  const open = { brief: briefGaps(build), pairing: unmeasured.length + (plan.run ? 0 : 1), parts: openParts, sourcing: plan.run && !isCurrent(plan) ? 1 : 0 }
  return {
    build,
    recipient,
    pairing: nameOf(plan),
    engineId: plan.run?.train.engine.id ?? null,
    transmissionId: plan.run?.train.transmission.id ?? null,
    totals: sums,
    open,
    next: nextAction(plan, unmeasured, openParts),
  }
}

/** A build's header; where it cannot be computed, the build by its name and why, so that one never hides the others. */
export async function headerOrFault(store: Store, build: Row, log?: { error: (context: object, words: string) => void }): Promise<Awaited<ReturnType<typeof buildHeader>>> {
  try {
    return await buildHeader(store, build.id)
  } catch (error) {
    log?.error({ err: error, build: build.id }, 'a build cannot be read')
    return {
      build,
      recipient: null,
      pairing: null,
      engineId: null,
      transmissionId: null,
      totals: null,
      open: { brief: 0, pairing: 0, parts: 0, sourcing: 0 },
      next: { words: 'It cannot be computed: look at its history', stage: 'brief' },
    }
  }
}

const briefGaps = (build: Row): number => [build.recipientId, build.likeForLikeMinor, build.use].filter((value) => value === null).length

function nextAction(plan: Planned, unmeasured: PairingRun['result']['joints'], openParts: number): { words: string; stage: string } {
  if (!plan.view.build.recipientId) return { words: 'Name the recipient', stage: 'brief' }
  if (!plan.run) return { words: 'Choose a pairing', stage: 'pairing' }
  const joint = unmeasured[0]
  const missing = joint ? effective(joint).missing[0] : undefined
  if (joint && missing && !missing.port.startsWith('?'))
    return { words: `Measure ${missing.label.charAt(0).toLowerCase()}${missing.label.slice(1)}`, stage: `pairing?joint=${joint.joint}` }
  if (!isCurrent(plan)) return { words: 'Solve the sourcing', stage: 'sourcing' }
  if (joint) return { words: `Look at ${jointNamed(joint.joint)?.title.toLowerCase() ?? joint.joint}`, stage: `pairing?joint=${joint.joint}` }
  return openParts > 0 ? { words: `Price ${openParts} open ${openParts === 1 ? 'line' : 'lines'}`, stage: 'parts' } : { words: 'Look at the budget', stage: 'budget' }
}

/** Budget lines with totals by group and by source. */
export async function budgetView(store: Store, buildId: string) {
  const plan = await planBuild(store, buildId)
  const solved = plan.plan?.detail as Plan | undefined
  const sums = totals(plan)
  const sourceOf = new Map(plan.gathered.sources.map((source) => [source.id, source]))
  const { market } = plan.view.catalogue
  const bundleName = (id: string): string => market.kits.find((kit) => `kit:${kit.id}` === id)?.name ?? market.donors.find((donor) => `donor:${donor.id}` === id)?.name ?? id
  const { supplierName } = plan.view.catalogue
  const lines = [
    ...(solved?.lines ?? []).map((line) => {
      const need = plan.needs.find((one) => one.id === line.need)
      const source = sourceOf.get(line.candidate ?? `${line.bundle}\u0000${line.item}`)
      return { words: need?.words ?? line.need, group: kindGroup(need?.kind ?? ''), source: source?.source ?? 'planned', from: source?.words ?? '', minor: line.costMinor }
    }),
    ...(solved?.bundles ?? []).flatMap((bundle) => [
      {
        words: bundleName(bundle.bundle),
        group: 'Kits and donors',
        source: bundle.bundle.startsWith('kit:') ? 'kit' : 'donor',
        from: bundle.bundle.startsWith('kit:') ? 'Price of the kit' : 'Price, fetch and disposal',
        minor: bundle.priceMinor,
      },
      ...(bundle.resaleMinor + bundle.scrapMinor > 0
        ? [
            {
              words: `${bundleName(bundle.bundle)}, sold and scrapped`,
              group: 'Kits and donors',
              source: 'donor',
              from: 'Expected resale and scrap',
              minor: -(bundle.resaleMinor + bundle.scrapMinor),
            },
          ]
        : []),
    ]),
    ...(solved?.baskets ?? [])
      .filter((basket) => basket.shippingMinor > 0)
      .map((basket) => ({
        words: `Shipping, ${supplierName(basket.supplier)}`,
        group: 'Shipping',
        source: 'buy',
        from: supplierName(basket.supplier),
        minor: basket.shippingMinor,
      })),
    ...plan.needs
      .filter((need) => need.task)
      .map((need) => ({
        words: need.words,
        group: 'Work',
        source: 'work',
        from: `${need.task!.hours} h`,
        minor: budget({
          planMinor: 0,
          taskHours: need.task!.hours,
          labourRateMinor: Number(plan.view.build.labourRateMinor),
          estimatesMinor: [],
          unpriced: 0,
          contingency: 0,
          likeForLikeMinor: null,
        }).labourMinor,
      })),
    ...plan.decisions
      .filter((decision) => decision.act === 'estimate' && solved?.open.includes(String(decision.needId)))
      .map((decision) => ({
        words: plan.needs.find((need) => need.id === decision.needId)?.words ?? String(decision.needId),
        group: kindGroup(plan.needs.find((need) => need.id === decision.needId)?.kind ?? ''),
        source: 'estimate',
        from: String(decision.source ?? 'Typed estimate'),
        minor: Number(decision.priceMinor),
      })),
  ]
  const sumBy = (key: 'group' | 'source') => {
    const sums = new Map<string, number>()
    for (const line of lines) sums.set(line[key], (sums.get(line[key]) ?? 0) + line.minor)
    return [...sums].map(([name, minor]) => ({ name, minor })).sort((p, q) => q.minor - p.minor)
  }
  return {
    totals: sums,
    lines,
    byGroup: sumBy('group'),
    bySource: sumBy('source'),
    open: plan.needs.filter((need) => solved?.open.includes(need.id)).map((need) => ({ id: need.id, words: need.words, waits: need.waits })),
  }
}
