import { afterAll, expect, test } from 'vitest'
import { HARD } from '../../core/sourcing/hard-problem.property.ts'
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
  const job = jobs.start('sourcing', 'build', HARD, 120_000, async () => void landed++)
  await new Promise((done) => setTimeout(done, 1500))
  const running = jobs.find(job.id)!.status === 'running'
  jobs.cancel(job.id)
  await jobs.wait(job.id)
  const state = jobs.find(job.id)!
  expect(state.status).toBe(running ? 'cancelled' : 'done')
  expect(state.endedAt! - state.startedAt).toBeLessThan(60_000)
  expect(landed).toBeLessThanOrEqual(1)
})

test('a job that is stopped while it waits for a thread ends at once and tells of no plan', async () => {
  const left = new AbortController()
  const busy = [1, 2].map(() => jobs.solve(HARD, 120_000, left.signal))
  const landed: unknown[] = []
  const job = jobs.start(
    'sourcing',
    'waits',
    small,
    10_000,
    async ({ plan, taken }) => void landed.push(plan.status, plan.totalMinor, taken.size),
  )
  jobs.cancel(job.id)
  await jobs.wait(job.id)
  expect([jobs.find(job.id)!.status, ...landed]).toEqual(['cancelled', 'none', null, 0])
  left.abort()
  await Promise.all(busy)
})

test('the runner works on after a cancel', async () => {
  expect(await jobs.solve(small, 10_000)).toMatchObject({ status: 'proven', totalMinor: 7 })
})

test('what is under way when all is closed does not land', async () => {
  const closing = new JobRunner()
  let landed = 0
  const job = closing.start('sourcing', 'closes', small, 10_000, async () => void landed++)
  await closing.close()
  await closing.wait(job.id)
  expect([closing.find(job.id)!.status, landed]).toEqual(['cancelled', 0])
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
  const job = start(HARD, 60_000)
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
