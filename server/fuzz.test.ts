import fc from 'fast-check'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { demoDocument } from '../demo/index.ts'
import { createApp } from './app.ts'
import { type Database, openDatabase } from './database/connection.ts'
import { Store } from './database/store.ts'
import { JobRunner } from './jobs/runner.ts'
import { importBuild } from './services/build-document.ts'

let knex: Database
let app: ReturnType<typeof createApp>
let store: Store
const jobs = new JobRunner()

beforeAll(async () => {
  knex = await openDatabase(':memory:')
  store = new Store(knex)
  await importBuild(store, demoDocument())
  app = createApp({ store, jobs })
})
afterAll(async () => {
  await jobs.close()
  await knex.destroy()
})

const ROUTES: readonly [method: string, path: string][] = [
  ['POST', '/check/joint'],
  ['POST', '/check/pairing'],
  ['POST', '/plan/needs'],
  ['POST', '/parts'],
  ['PATCH', '/parts/wick-2'],
  ['POST', '/parts/wick-2/numbers'],
  ['POST', '/parts/wick-2/supersessions'],
  ['POST', '/claims'],
  ['POST', '/kits'],
  ['PATCH', '/kits/kit-1'],
  ['POST', '/donors'],
  ['PATCH', '/donors/donor-1'],
  ['POST', '/suppliers'],
  ['PATCH', '/suppliers/harbour'],
  ['POST', '/issuers'],
  ['POST', '/rates'],
  ['POST', '/offers'],
  ['POST', '/offers/preview'],
  ['POST', '/offers/import'],
  ['POST', '/builds'],
  ['PATCH', '/builds/lantern'],
  ['POST', '/builds/lantern/pairing'],
  ['POST', '/builds/lantern/coupling'],
  ['POST', '/builds/lantern/coupling-kit'],
  ['POST', '/builds/lantern/decisions'],
  ['POST', '/builds/lantern/locks'],
  ['POST', '/builds/import'],
  ['PATCH', '/settings'],
]

/** Names that occur in the contract, so that some bodies come close. */
const KEYS = [
  'id',
  'name',
  'kind',
  'version',
  'currency',
  'partId',
  'supplierId',
  'priceMinor',
  'items',
  'joint',
  'a',
  'b',
  'ports',
  'fields',
  'facts',
  'needId',
  'act',
  'way',
  'candidate',
  'engineId',
  'transmissionId',
  'portId',
  'field',
  'typed',
  'value',
  'csv',
  'tables',
  'format',
  'tolerances',
  'rate',
  'day',
  'quantity',
  'ownerId',
]
const leaf = fc.oneof(
  fc.constantFrom<unknown>(null, '', 'EUR', 'wick-2', 'marlund-4', 'disc', 'drop', 'in', 'junket-build', 'wick-2/pilot-bore/crank', -1, 0, 1, 1.5, 1e300, true),
  fc.string(),
  fc.double(),
)
const body = fc.letrec((tie) => ({
  node: fc.oneof({ maxDepth: 4 }, leaf, fc.array(tie('node'), { maxLength: 4 }), fc.dictionary(fc.constantFrom(...KEYS), tie('node'), { maxKeys: 6 })),
})).node

test.each(ROUTES)('%s %s answers any body with 2xx or problem details, and half-writes nothing', async (method, path) => {
  await fc.assert(
    fc.asyncProperty(body, async (sent) => {
      const before = await store.revision()
      const answer = await app.request(`/api${path}`, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(sent ?? null) })
      const text = await answer.text()
      expect([sent, answer.status < 500]).toEqual([sent, true])
      if (answer.status < 400) return
      expect(answer.headers.get('content-type')).toBe('application/problem+json')
      expect(JSON.parse(text).detail.length).toBeGreaterThan(10)
      expect(await store.revision()).toBe(before)
    }),
    { numRuns: 60, seed: 23 },
  )
})

test.each(['', '{', '[1,', 'null', '"x"', '{"a":1}{'])('a body that is "%s" is refused, not crashed on', async (text) => {
  const answer = await app.request('/api/suppliers', { method: 'POST', headers: { 'content-type': 'application/json' }, body: text })
  expect([400, 415, 422]).toContain(answer.status)
  expect(answer.headers.get('content-type')).toBe('application/problem+json')
})
