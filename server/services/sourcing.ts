import type { Plan } from '../../core/sourcing/solve.ts'
import type { Row, Store } from '../database/store.ts'
import { ConflictError, UnprocessableError } from '../errors.ts'
import type { JobRunner, JobState } from '../jobs/runner.ts'
import { shopDay } from './day.ts'
import { isCurrent, nameOf, planBuild } from './planning.ts'

/** Longest a build's solve may take before the best plan found is shown with its gap. */
const TIME_LIMIT_MS = 60_000

/** Starts solving a build's sourcing; the plan is saved whole when it ends. */
export async function startSolve(store: Store, jobs: JobRunner, buildId: string): Promise<JobState> {
  const planned = await planBuild(store, buildId)
  if (!planned.run) throw new ConflictError('Choose a pairing first: without it there is no parts list to source.')
  const { gathered, madeFrom } = planned
  return jobs.start('sourcing', buildId, gathered.problem, TIME_LIMIT_MS, (plan) => savePlan(store, buildId, plan, madeFrom, gathered))
}

async function savePlan(
  store: Store,
  buildId: string,
  plan: Plan,
  madeFrom: string,
  gathered: Awaited<ReturnType<typeof planBuild>>['gathered'],
): Promise<{ planId: string; status: string }> {
  const sourceOf = new Map(gathered.sources.map((source) => [source.id, source]))
  return store.transaction(async (tx) => {
    // A plan is replaced, not thrown away: the history has the old one, the trash is for what people remove.
    for (const old of await tx.list('plan', { buildId })) {
      for (const line of await tx.list('planLine', { planId: old.id })) await tx.unmake('planLine', line)
      await tx.unmake('plan', old)
    }
    const row = await tx.insert('plan', {
      buildId,
      status: plan.status,
      totalMinor: plan.totalMinor,
      boundMinor: plan.boundMinor,
      day: await shopDay(tx),
      madeFrom,
      detail: plan,
    })
    for (const line of plan.lines) {
      const source = sourceOf.get(line.candidate ?? `${line.bundle}\u0000${line.item}`)
      await tx.insert('planLine', {
        planId: row.id,
        needId: line.need,
        source: source?.source ?? 'buy',
        candidate: line.candidate ?? null,
        bundle: line.bundle ?? null,
        item: line.item ?? null,
        supplierId: source?.supplierId ?? null,
        partId: source?.partId ?? null,
        packs: line.packs,
        costMinor: line.costMinor,
      })
    }
    return { planId: row.id, status: plan.status }
  })
}

/** The plan as shown: lines and baskets with names, locks, and the reason when locks contradict one another. */
export async function sourcingView(store: Store, buildId: string) {
  const planned = await planBuild(store, buildId)
  const { gathered, view, plan, needs } = planned
  const detail = (plan?.detail as Plan | undefined) ?? null
  const sourceOf = new Map(gathered.sources.map((source) => [source.id, source]))
  const { market } = view.catalogue
  const bundleOf = (id: string): string => market.kits.find((kit) => `kit:${kit.id}` === id)?.name ?? market.donors.find((donor) => `donor:${donor.id}` === id)?.name ?? id
  const supplierOf = view.catalogue.supplierName
  const lockWords = (lock: Row): string =>
    `${lock.way === 'in' ? 'Keep' : 'Leave out'} ${lock.candidate ? (sourceOf.get(String(lock.candidate))?.words ?? 'an offer') : lock.bundle ? bundleOf(String(lock.bundle)) : supplierOf(String(lock.supplierId))}`
  const words = (rule: string): string => {
    const lock = planned.locks.find((one) => one.id === rule)
    if (lock) return `the lock "${lockWords(lock)}"`
    const [kind, id] = rule.split(':')
    if (kind === 'maxSuppliers') return 'the limit on suppliers'
    if (kind === 'maxDonors') return 'the limit on donors'
    return kind === 'minimum' ? `the smallest order of ${supplierOf(id ?? '')}` : kind === 'weight' ? `the parcel weights of ${supplierOf(id ?? '')}` : rule
  }
  return {
    currency: view.build.currency,
    pairing: nameOf(planned),
    status: detail?.status ?? null,
    totalMinor: detail?.totalMinor ?? null,
    boundMinor: detail?.boundMinor ?? null,
    isCurrent: isCurrent(planned),
    day: plan?.day ?? null,
    needs: needs.filter((need) => !need.task).length,
    lines: (detail?.lines ?? []).map((line) => {
      const need = needs.find((one) => one.id === line.need)
      const id = line.candidate ?? `${line.bundle}\u0000${line.item}`
      const rivals = gathered.sources.filter((source) => source.need === line.need && source.id !== id)
      const priceOf = (candidate: string): number | null => {
        const found = gathered.problem.candidates.find((one) => one.id === candidate)
        return found ? found.priceMinor * Math.ceil((need?.quantity ?? 1) / (found.pack ?? 1)) : null
      }
      return {
        ...line,
        words: need?.words ?? line.need,
        quantity: need?.quantity ?? 1,
        source: sourceOf.get(id) ?? null,
        bundleName: line.bundle ? bundleOf(line.bundle) : null,
        rivals: rivals.map((rival) => ({
          id: rival.id,
          words: rival.words,
          source: rival.source,
          number: rival.number,
          confirm: rival.confirm,
          minor: priceOf(rival.id),
          bundle: rival.bundle ?? null,
        })),
      }
    }),
    baskets: (detail?.baskets ?? []).map((basket) => ({
      ...basket,
      name: supplierOf(basket.supplier),
      items: [...basket.candidates.map((id) => sourceOf.get(id)?.words ?? id), ...basket.bundles.map(bundleOf)],
    })),
    bundles: (detail?.bundles ?? []).map((bundle) => ({ ...bundle, name: bundleOf(bundle.bundle) })),
    open: needs.filter((need) => detail?.open.includes(need.id)).map((need) => ({ id: need.id, words: need.words, waits: need.waits })),
    locks: planned.locks.map((lock) => ({ ...lock, words: lockWords(lock) })),
    because: detail?.because?.map(words) ?? null,
    excluded: gathered.excluded,
  }
}

/** Adds a lock; the same target locked again changes its way. */
export async function addLock(
  store: Store,
  buildId: string,
  input: { way: 'in' | 'out'; candidate?: string | null | undefined; bundle?: string | null | undefined; supplierId?: string | null | undefined },
): Promise<Row> {
  const target = { candidate: input.candidate ?? null, bundle: input.bundle ?? null, supplierId: input.supplierId ?? null }
  const { gathered } = await planBuild(store, buildId)
  const known = target.candidate
    ? gathered.problem.candidates.some((one) => one.id === target.candidate)
    : target.bundle
      ? gathered.problem.bundles.some((one) => one.id === target.bundle)
      : gathered.problem.suppliers.some((one) => one.id === target.supplierId)
  if (!known) throw new UnprocessableError('What you want to lock is not among the sources of this build.')
  return store.transaction(async (tx) => {
    await tx.get('build', buildId)
    const held = (await tx.list('sourcingLock', { buildId })).find(
      (lock) => lock.candidate === target.candidate && lock.bundle === target.bundle && lock.supplierId === target.supplierId,
    )
    return held ? tx.update('sourcingLock', held.id, held.version, { way: input.way }) : tx.insert('sourcingLock', { buildId, way: input.way, ...target })
  })
}
