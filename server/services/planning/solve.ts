import { MessageChannel } from 'node:worker_threads'
import { LIST_VERSION } from '../../../core/needs/lines/version.ts'
import { takenBy } from '../../../core/sourcing/ids.ts'
import type { Store } from '../../database/store.ts'
import type { JobRunner, JobState } from '../../jobs/runner.ts'
import type { Solved } from '../../jobs/solve-worker.ts'
import { shopDay } from '../shop/day.ts'

/** Longest a build's solve may take before the best plan found is shown with its gap. */
const TIME_LIMIT_MS = 60_000

/** Starts solving a build's sourcing, or finds the job that does; the plan is saved whole when it ends. @throws ConflictError before a pairing is chosen */
export async function startSolve(
  store: Store,
  jobs: JobRunner,
  buildId: string,
): Promise<JobState> {
  const running = jobs.running('sourcing', buildId)
  if (running) return running
  // The sources go from the thread that gathers them straight to the one that solves.
  const { port1, port2 } = new MessageChannel()
  const { madeFrom } = await jobs.readings.hand(store, 'solve', [buildId], port1)
  return jobs.start('sourcing', buildId, port2, TIME_LIMIT_MS, (solved) =>
    savePlan(store, buildId, solved, madeFrom),
  )
}

/** Solves every build that has a chosen pairing and no plan yet, one after another. */
export async function solveBuilds(store: Store, jobs: JobRunner): Promise<void> {
  const chosen = new Set((await store.list('pairing', { chosen: true })).map((row) => row.buildId))
  for (const buildId of chosen)
    if ((await store.list('plan', { buildId })).length === 0)
      await jobs.wait((await startSolve(store, jobs, buildId)).id)
}

async function savePlan(
  store: Store,
  buildId: string,
  { plan, taken }: Solved,
  madeFrom: string,
): Promise<{ planId: string; status: string }> {
  return store.transaction(async (tx) => {
    // A plan is replaced, not thrown away: the history has the old one, the trash is for what people remove. The last that
    // had a total stays until one with a total comes.
    const before = await tx.list('plan', { buildId })
    const kept =
      plan.totalMinor === null ? before.findLast(({ totalMinor }) => totalMinor !== null) : null
    for (const old of before) {
      if (old.id === kept?.id) continue
      for (const line of await tx.list('planLine', { planId: old.id }))
        await tx.unmake('planLine', line)
      await tx.unmake('plan', old)
    }
    const row = await tx.insert('plan', {
      buildId,
      status: plan.status,
      totalMinor: plan.totalMinor,
      boundMinor: plan.boundMinor,
      day: await shopDay(tx),
      madeFrom,
      detail: { ...plan, listVersion: LIST_VERSION },
    })
    for (const line of plan.lines) {
      const source = taken.get(takenBy(line))
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
