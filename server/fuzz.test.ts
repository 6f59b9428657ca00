import fc from 'fast-check'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { demoDocument } from '../demo/index.ts'
import { createApp } from './app.ts'
import { type Database, openDatabase } from './database/sqlite/connection.ts'
import { Store } from './database/store.ts'
import { JobRunner } from './jobs/runner.ts'
import { importDocument } from './services/builds/build-document.ts'

let knex: Database
let app: ReturnType<typeof createApp>
let store: Store
const jobs = new JobRunner()

beforeAll(async () => {
  knex = await openDatabase(':memory:')
  store = new Store(knex)
  await importDocument(store, demoDocument())
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
  ['PATCH', '/rates/rate-gbp'],
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
  ['POST', '/plan/sourcing'],
  ['PATCH', '/issuers/issuer-MLD'],
  ['POST', '/people'],
  ['PATCH', '/people/person-ida'],
  ['POST', '/undo'],
  ['POST', '/history/1/restore'],
  ['POST', '/trash/nothing/restore'],
  ['POST', '/builds/start'],
  ['POST', '/builds/lantern/stoppers'],
  ['POST', '/joint-claims'],
  ['PATCH', '/builds/lantern/donors/donor-1/sheet'],
  ['PATCH', '/builds/lantern/mating'],
  ['PATCH', '/builds/lantern/sheets/brief'],
  ['PATCH', '/builds/lantern/sheets/cautions'],
  ['PATCH', '/builds/lantern/recipient'],
  ['POST', '/patterns/trace'],
  ['POST', '/backups'],
  ['POST', '/patterns/chords'],
  ['POST', '/patterns/dxf'],
  ['POST', '/backups/nothing/restore'],
  ['POST', '/session'],
  ['PUT', '/passcode'],
]

/** Bodies that are right, to be spoilt in one place: they come nearer than chance does. */
const RIGHT: Readonly<Record<string, object>> = {
  '/builds/start': {
    name: 'F',
    currency: 'EUR',
    recipient: { template: 'panel-van' },
    engine: { template: 'iron-eight', family: 'housing-no-3' },
    transmission: { partId: 'marlund-4' },
    massKg: 1400,
    tyre: '185/80R14',
    stoppers: { papers: 'no', 'pilot-bore': 'yes' },
  },
  '/builds/lantern/stoppers': { question: 'papers', says: 'no' },
  '/joint-claims': {
    subject: 'joint',
    joint: 'depth',
    engineId: 'wick-2',
    transmissionId: 'marlund-4',
    says: 'yes',
    grade: 'heard',
  },
  '/builds/lantern/donors/donor-1/sheet': {
    answers: { 'gear-1': { value: 'yes', at: '2026-01-01T00:00:00Z', by: null } },
  },
  '/builds/lantern/sheets/brief': {
    answers: { 'bolt-in': { value: 'yes', at: '2026-01-01T00:00:00Z', by: null } },
  },
  '/builds/lantern/recipient': {
    answers: {
      'bay/main.widthMm@2026-01-01T00:00:00Z': {
        value: '640 mm',
        at: '2026-01-01T00:00:00Z',
        by: null,
        method: 'rule',
      },
    },
  },
  '/patterns/trace': {
    axis: { x: 400, y: 300 },
    holes: [{ centre: { x: 700, y: 300 }, edge: { x: 716, y: 300 } }],
    dowels: [],
    known: [{ from: { x: 100, y: 580 }, to: { x: 400, y: 580 }, mm: 100 }],
    view: 'mirrored',
    looks: 'rearward',
  },
  '/builds/lantern/mating': {
    answers: { 'bore:0': { value: '0.1', at: '2026-01-01T00:00:00Z', by: null } },
  },
  '/patterns/chords': {
    count: 3,
    sense: 'clockwise',
    looks: 'rearward',
    firstDeg: 0,
    chords: [
      { from: 1, to: 2, mm: 3 },
      { from: 2, to: 3, mm: 4 },
      { from: 1, to: 3, mm: 5 },
    ],
  },
  '/patterns/dxf': { dxf: '0\nEOF' },
  '/people': { name: 'P', decimal: 'ask' },
  '/claims': { portId: 'wick-2/pilot-bore/crank', field: 'boreMm', typed: '25', grade: 'heard' },
  '/builds': { name: 'B', currency: 'EUR' },
  '/parts': {
    kind: 'plate',
    name: 'P',
    ports: [{ kind: 'plate', fields: { thicknessMm: { value: 3 } } }],
  },
  '/donors': { name: 'D', currency: 'EUR', items: [{ partId: 'wick-2' }] },
  '/kits': { name: 'K', currency: 'EUR', priceMinor: 1, items: [{ partId: 'wick-2' }] },
}

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
  fc.constantFrom<unknown>(
    null,
    '',
    'EUR',
    'wick-2',
    'marlund-4',
    'disc',
    'drop',
    'in',
    'junket-build',
    'wick-2/pilot-bore/crank',
    -1,
    0,
    1,
    1.5,
    1e300,
    true,
  ),
  fc.string(),
  fc.double(),
)
const anything = fc.letrec((tie) => ({
  node: fc.oneof(
    { maxDepth: 4 },
    leaf,
    fc.array(tie('node'), { maxLength: 4 }),
    fc.dictionary(fc.constantFrom(...KEYS), tie('node'), { maxKeys: 6 }),
  ),
})).node

/** A right body with one value, at any depth, put out of place. */
const spoilt = (path: string) =>
  fc.tuple(anything, fc.nat()).map(([value, at]) => {
    const whole = structuredClone(RIGHT[path]) as Record<string, unknown>
    const places: [Record<string, unknown>, string][] = []
    const walk = (node: Record<string, unknown>): void => {
      for (const [key, child] of Object.entries(node)) {
        places.push([node, key])
        if (typeof child === 'object' && child !== null) walk(child as Record<string, unknown>)
      }
    }
    walk(whole)
    const [owner, key] = places[at % places.length]!
    owner[key] = value
    return whole
  })

/** 60 in every run of the checks; `npm run faults` sends more. */
const RUNS = Number(process.env.JUNKET_FUZZ ?? 60)

test.each(ROUTES)(
  '%s %s answers any body with 2xx or problem details, and half-writes nothing',
  async (method, path) => {
    await fc.assert(
      fc.asyncProperty(
        path in RIGHT ? fc.oneof(anything, spoilt(path)) : anything,
        async (sent) => {
          const before = await store.revision()
          const answer = await app.request(`/api${path}`, {
            method,
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify(sent ?? null),
          })
          const text = await answer.text()
          expect([sent, answer.status < 500]).toEqual([sent, true])
          if (answer.status < 400) return
          expect(answer.headers.get('content-type')).toBe('application/problem+json')
          expect(JSON.parse(text).detail.length).toBeGreaterThan(10)
          expect(await store.revision()).toBe(before)
        },
      ),
      { numRuns: RUNS, seed: 23 },
    )
  },
)

test.each(['', '{', '[1,', 'null', '"x"', '{"a":1}{'])(
  'a body that is "%s" is refused, not crashed on',
  async (text) => {
    const answer = await app.request('/api/suppliers', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: text,
    })
    expect([400, 415, 422]).toContain(answer.status)
    expect(answer.headers.get('content-type')).toBe('application/problem+json')
  },
)
