import type { Plan } from '../../core/sourcing/solve.ts'
import type { Store } from '../database/store.ts'
import { ConflictError } from '../errors.ts'
import type { JobRunner, JobState } from '../jobs/runner.ts'
import { shopDay } from './day.ts'
import { planBuild } from './planning.ts'

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
