import fc from 'fast-check'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { demoDocument } from '../../../demo/index.ts'
import { createApp } from '../../app.ts'
import { type Database, openDatabase } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { JobRunner } from '../../jobs/runner.ts'

type Tables = Record<string, Record<string, unknown>[]>
let knex: Database
let store: Store
let app: ReturnType<typeof createApp>
const jobs = new JobRunner()

beforeAll(async () => {
  knex = await openDatabase(':memory:')
  store = new Store(knex)
  app = createApp({ store, jobs })
})
afterAll(async () => {
  await jobs.close()
  await knex.destroy()
})

const send = async (
  tables: unknown,
): Promise<{ status: number; paths: string[]; detail: string }> => {
  const answer = await app.request('/api/builds/import', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ format: 'junket-build', version: 1, tables }),
  })
  const { errors = [], detail = '' } = (await answer.json()) as {
    errors?: { path: string }[]
    detail?: string
  }
  return { status: answer.status, paths: errors.map(({ path }) => path), detail }
}

const PART = { id: 'p', kind: 'engine', name: 'P', isDefault: true }
const PORT = { id: 'p/pilot-bore/crank', partId: 'p', kind: 'pilot-bore', slot: 'crank' }
const CLAIM = { id: 'c', portId: PORT.id, field: 'boreMm', value: 25, grade: 'maker' }
const SUPPLIER = { id: 's', name: 'S', currency: 'EUR', minimumMinor: 0, shippingMinor: 0 }

test.each<[string, Tables, string]>([
  ['a kind of part that is none', { part: [{ ...PART, kind: 'banana' }] }, 'part/p/kind'],
  ['a part that owns itself', { part: [{ ...PART, ownerId: 'p' }] }, 'part/p/ownerId'],
  [
    'a circle of owners',
    {
      part: [
        { ...PART, ownerId: 'q' },
        { ...PART, id: 'q', ownerId: 'p' },
      ],
    },
    'part/p/ownerId',
  ],
  ['an owner that is nowhere', { part: [{ ...PART, ownerId: 'none' }] }, 'part/p/ownerId'],
  [
    'a claim on a field there is not',
    { part: [PART], port: [PORT], claim: [{ ...CLAIM, field: '__proto__' }] },
    'claim/c/field',
  ],
  [
    'a claim that is no value',
    { part: [PART], port: [PORT], claim: [{ ...CLAIM, value: 'wide' }] },
    'claim/c/value',
  ],
  [
    'a grade there is not',
    { part: [PART], port: [PORT], claim: [{ ...CLAIM, grade: 'certain' }] },
    'claim/c/grade',
  ],
  [
    'a port called otherwise than it is',
    { part: [PART], port: [{ ...PORT, id: 'x/y/z' }] },
    'port/x/y/z/id',
  ],
  [
    'a hole ten metres off',
    {
      part: [PART],
      port: [{ ...PORT, id: 'p/face/rear', kind: 'face', slot: 'rear' }],
      claim: [
        { ...CLAIM, portId: 'p/face/rear', field: 'holes', value: [{ x: 10_000, y: 0, d: 10 }] },
      ],
    },
    'claim/c/value',
  ],
  [
    'a currency there is not',
    { supplier: [{ ...SUPPLIER, currency: 'ZZZ' }] },
    'supplier/s/currency',
  ],
  [
    'money that is no whole number',
    { supplier: [{ ...SUPPLIER, minimumMinor: 0.5 }] },
    'supplier/s/minimumMinor',
  ],
  [
    'a rate that is text',
    {
      rate: [{ id: 'r', fromCurrency: 'EUR', toCurrency: 'GBP', rate: '0.86', day: '2026-01-01' }],
    },
    'rate/r/rate',
  ],
  [
    'a rate to itself',
    { rate: [{ id: 'r', fromCurrency: 'EUR', toCurrency: 'EUR', rate: 1, day: '2026-01-01' }] },
    'rate/r/toCurrency',
  ],
  [
    'none of a kit’s parts',
    {
      part: [PART],
      supplier: [SUPPLIER],
      kit: [{ id: 'k', name: 'K', priceMinor: 1, currency: 'EUR', taxIncluded: true }],
      kitItem: [{ id: 'i', kitId: 'k', partId: 'p', quantity: 0 }],
    },
    'kitItem/i/quantity',
  ],
  ['an id with a path in it', { part: [{ ...PART, id: '../p' }] }, 'part/../p/id'],
  ['an id twice', { part: [PART, PART] }, 'part/p/id'],
  ['a field that is not known', { part: [{ ...PART, colour: 'red' }] }, 'part/p/colour'],
  ['a table that is not known', { banana: [] }, 'banana'],
  ['a table that is no list', { part: {} as never }, 'part'],
  ['a row that is no row', { part: [7 as never] }, 'part/row 1'],
  [
    'two suppliers of one name',
    { supplier: [SUPPLIER, { ...SUPPLIER, id: 't' }] },
    'supplier/t/name',
  ],
  [
    'a setting that is none',
    { setting: [{ id: 'tolerances', value: { banana: 1 } }] },
    'setting/tolerances/value',
  ],
])('%s is refused by table, id and field, and nothing is read', async (_, tables, path) => {
  const before = await store.revision()
  const { status, paths, detail } = await send(tables)
  expect([status, paths]).toEqual([422, expect.arrayContaining([path])])
  expect(detail).not.toMatch(/SQLITE|CHECK|UNIQUE|constraint/)
  expect([await store.revision(), (await knex('part')).length]).toEqual([before, 0])
})

test('what came with a part that comes with another, to any depth and in any order, is read', async () => {
  const chain = Array.from({ length: 40 }, (_, i) => ({
    ...PART,
    id: `deep-${i}`,
    ...(i > 0 ? { ownerId: `deep-${i - 1}` } : {}),
  }))
  expect((await send({ part: chain.reverse() })).status).toBe(200)
  for (let i = 39; i >= 0; i--) await store.transaction((tx) => tx.remove('part', `deep-${i}`))
})

const VALUES: readonly unknown[] = [
  null,
  '',
  'x',
  '__proto__',
  -1,
  0,
  1.5,
  1e300,
  true,
  [],
  {},
  [null],
  { a: 1 },
  'x'.repeat(6000),
  'EUR',
  '\u0000',
]

test('a real document with one value out of place is read whole or not at all, each fault by table, id and field', async () => {
  const whole = demoDocument().tables as Tables
  const names = Object.keys(whole)
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom(...names),
      fc.nat(),
      fc.nat(),
      fc.constantFrom(...VALUES),
      async (table, at, which, value) => {
        const rows = whole[table]!
        const row = rows[at % rows.length]!
        const keys = Object.keys(row)
        const key = keys[which % keys.length]!
        const before = await store.revision()
        const { status, paths, detail } = await send({
          ...whole,
          [table]: rows.map((one) => (one === row ? { ...one, [key]: value } : one)),
        })
        expect([table, key, value, status === 200 || status === 422 || status === 409]).toEqual([
          table,
          key,
          value,
          true,
        ])
        expect(detail).not.toMatch(/SQLITE|constraint/)
        if (status === 422) {
          expect(paths.length).toBeGreaterThan(0)
          expect(await store.revision()).toBe(before)
        }
        if (status === 200) {
          await knex.destroy()
          knex = await openDatabase(':memory:')
          store = new Store(knex)
          app = createApp({ store, jobs })
        }
      },
    ),
    { numRuns: Number(process.env.JUNKET_FUZZ ?? 25), seed: 5 },
  )
})
