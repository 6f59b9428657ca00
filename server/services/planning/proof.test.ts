import loadHighs from 'highs'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { solveSourcing } from '../../../core/sourcing/solve.ts'
import { demoDatabase } from '../../database/demo.seed.ts'
import type { Database } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { highsSolve } from '../../jobs/highs.ts'
import { decide } from './decisions.ts'
import { partsList } from './parts-list.ts'
import { planBuild } from './planning.ts'

let knex: Database
let store: Store

beforeAll(async () => {
  knex = await demoDatabase()
  store = new Store(knex)
})
afterAll(() => knex.destroy())

test('what a plan takes on hearsay though it is dear is a task that follows from its line, and can be dropped', async () => {
  const buildId = 'lantern'
  const { gathered, madeFrom } = await planBuild(store, buildId)
  const solver = highsSolve(await loadHighs())
  const plan = solveSourcing(gathered.problem, solver, 30_000)
  await store.insert('plan', {
    buildId,
    status: plan.status,
    totalMinor: plan.totalMinor,
    boundMinor: plan.boundMinor,
    day: '2026-01-01',
    madeFrom,
    detail: plan,
  })
  const held = await planBuild(store, buildId)
  const [proof] = held.proofs
  const line = (await partsList(store, buildId)).lines.find(({ id }) => id === proof!.id)!
  expect([line.sort, line.state]).toEqual(['task', 'work'])
  const parent = line.why[0]?.parent
  expect(held.needs.some(({ kind }) => kind === parent)).toBe(true)
  // It is no part of what the plan was made from: the plan stays current.
  expect(held.plan?.madeFrom).toBe(held.madeFrom)
  await decide(store, buildId, { needId: line.id, act: 'drop' })
  const after = await partsList(store, buildId)
  expect(after.lines.some(({ id }) => id === line.id)).toBe(false)
  expect(after.dropped.some(({ id }) => id === line.id)).toBe(true)
})
