import { afterAll, expect, test } from 'vitest'
import type { Problem } from '../../core/sourcing/problem.ts'
import { JobRunner } from './runner.ts'

const jobs = new JobRunner()
afterAll(() => jobs.close())

const small: Problem = {
  currency: 'EUR',
  needs: [{ id: 'n', quantity: 1 }],
  candidates: [{ id: 'c', need: 'n', source: 'keep', priceMinor: 7 }],
  bundles: [],
  suppliers: [],
}

/** Hard enough that no machine proves it at once: many equal choices under a budget of suppliers. */
const hard: Problem = {
  currency: 'EUR',
  needs: Array.from({ length: 120 }, (_, n) => ({ id: `n${n}`, quantity: 1 })),
  candidates: Array.from({ length: 2400 }, (_, c) => ({
    id: `c${c}`,
    need: `n${c % 120}`,
    source: 'buy' as const,
    supplier: `s${(c * 7) % 23}`,
    priceMinor: 1000 + ((c * 7919) % 997),
    weightG: 200 + ((c * 31) % 900),
  })),
  bundles: [],
  suppliers: Array.from({ length: 23 }, (_, s) => ({
    id: `s${s}`,
    minimumMinor: 3000 + s * 100,
    shipping: [
      { id: 'a', chargeMinor: 500 + s * 13, upToG: 2500 },
      { id: 'b', chargeMinor: 1400 + s * 17 },
      { id: 'f', chargeMinor: 0, fromMinor: 14_000 + s * 500 },
    ],
  })),
  limits: { maxSuppliers: 9 },
}

test('a job runs on a worker, lands its plan, and is told from start to end', async () => {
  const landed: unknown[] = []
  const job = jobs.start(
    'sourcing',
    'build',
    small,
    10_000,
    async ({ plan }) => void landed.push(plan.totalMinor),
  )
  expect(job).toMatchObject({
    kind: 'sourcing',
    subject: 'build',
    status: 'running',
    endedAt: null,
  })
  await jobs.wait(job.id)
  expect([jobs.find(job.id)!.status, landed]).toEqual(['done', [7]])
})

test('a cancelled job ends soon, and what it had is landed, not lost', async () => {
  let landed = 0
  const job = jobs.start('sourcing', 'build', hard, 120_000, async () => void landed++)
  await new Promise((done) => setTimeout(done, 1500))
  const running = jobs.find(job.id)!.status === 'running'
  jobs.cancel(job.id)
  await jobs.wait(job.id)
  const state = jobs.find(job.id)!
  expect(state.status).toBe(running ? 'cancelled' : 'done')
  expect(state.endedAt! - state.startedAt).toBeLessThan(60_000)
  expect(landed).toBeLessThanOrEqual(1)
})

test('the runner works on after a cancel', async () => {
  expect(await jobs.solve(small, 10_000)).toMatchObject({ status: 'proven', totalMinor: 7 })
})

test('a job whose landing fails says why', async () => {
  const job = jobs.start('sourcing', 'build', small, 10_000, async () => {
    throw new Error('the disk is full')
  })
  await jobs.wait(job.id)
  expect(jobs.find(job.id)).toMatchObject({ status: 'failed', error: 'the disk is full' })
})

test('a job nobody started is not known', async () => {
  expect([jobs.find('none'), jobs.cancel('none')]).toEqual([null, null])
  await jobs.wait('none')
})

test('what was begun before a backup took the place of the data does not land in it, and can be begun again', async () => {
  const landed: unknown[] = []
  const start = (problem: Problem, ms: number) =>
    jobs.start('sourcing', 'put back', problem, ms, async ({ plan }) => void landed.push(plan))
  const job = start(hard, 60_000)
  await jobs.gate.alone(async () => undefined)
  expect(jobs.running('sourcing', 'put back')).toBe(null)
  await jobs.wait(job.id)
  expect(jobs.find(job.id)).toMatchObject({
    status: 'failed',
    error: expect.stringContaining('Start it again'),
  })
  expect(landed).toEqual([])
  await jobs.wait(start(small, 10_000).id)
  expect(landed).toHaveLength(1)
})
