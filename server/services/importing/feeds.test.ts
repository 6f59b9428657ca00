import { serve } from '@hono/node-server'
import { afterAll, beforeEach, expect, test } from 'vitest'
import { type Database, openDatabase } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { readDue } from '../../jobs/feed-schedule.ts'
import { RestoreGate } from '../../restore-gate.ts'
import { priceOn, type SoldItem } from '../../stand-ins/feed-prices.ts'
import { type Feeding, priceFeed } from '../../stand-ins/price-feed.ts'
import { feedReadings, feedsDue, readFeed } from './feeds.ts'
import type { OfferTerms } from './offer-reading.ts'
import { type Chunks, changeOffer, importOffers, pricesOf } from './offers.ts'

const DAY = 86_400_000
const item = (i: number): SoldItem => ({
  issuer: 'OTC',
  number: `OTC ${1000 + i}`,
  description: `Clip ${i}`,
  priceMinor: 500 + 10 * i,
  pack: 1,
  stock: 4,
  leadDays: 2,
  condition: 'new',
})
let sold: SoldItem[]
let now = 0
const suppliers = new Map<string, Feeding>()
const app = priceFeed(suppliers, () => now)
let answers = 0
const listening = await new Promise<{ port: number; close: () => void }>((ready) => {
  const server = serve(
    {
      fetch: (request) => {
        answers++
        return app.fetch(request)
      },
      port: 0,
      hostname: '127.0.0.1',
    },
    ({ port }) => ready({ port, close: () => server.close() }),
  )
})
const address = (query = ''): string => `http://127.0.0.1:${listening.port}/counter${query}`

let knex: Database
let store: Store
const offers = {
  import: (into: Store, chunks: Chunks, { terms }: { terms: OfferTerms }) =>
    importOffers(into, chunks, terms),
}
const QUICK = { answerMs: 1000, waitMs: 1, mostWaitMs: 2 }
const read = () => readFeed(store, offers, 'counter', QUICK)
const point = async (at: string): Promise<void> => {
  const { version } = await store.get('supplier', 'counter')
  await store.transaction((tx) =>
    tx.update('supplier', 'counter', version, { feed: { address: at, everyHours: 12 } }),
  )
}

beforeEach(async () => {
  await knex?.destroy()
  knex = await openDatabase(':memory:')
  store = new Store(knex)
  sold = Array.from({ length: 230 }, (_, i) => item(i))
  suppliers.set('counter', { currency: 'EUR', taxIncluded: true, items: sold })
  now = 20_000 * DAY
  await store.insert('supplier', { id: 'counter', name: 'Trade Counter', currency: 'EUR' })
  await point(address())
})
afterAll(async () => {
  listening.close()
  await knex.destroy()
})

test('all pages are read; the same again writes nothing; a day on, what moved is kept with what it was', async () => {
  expect(await read()).toMatchObject({ isRead: true, rows: 230, added: 230, again: 0, why: null })
  const { newest } = (await knex('history').max({ newest: 'id' }).first())!
  expect(await read()).toMatchObject({ isRead: true, added: 0, updated: 0, moved: 0 })
  expect((await knex('history').max({ newest: 'id' }).first())!.newest).toBe(newest)
  // Heard of long ago: the next reading is of another day.
  await knex('offer').update({ seenOn: '2024-01-02' })
  store.replaced()
  now += 21 * DAY
  const { moved } = await read()
  expect(moved).toBeGreaterThan(20)
  const [first] = await store.read('pastPrice', {})
  const prices = await pricesOf(store, first!.offerId)
  expect(prices.map(({ day }) => day)).toEqual([...prices.map(({ day }) => day)].sort())
  const offer = await store.get('offer', first!.offerId)
  expect(prices).toHaveLength(2)
  expect(prices[0]).toMatchObject({ day: '2024-01-02', priceMinor: first!.priceMinor })
  expect(prices[1]!.priceMinor).toBe(offer.priceMinor)
  expect(offer.priceMinor).toBe(
    priceOn(sold.find(({ number }) => number === offer.number)!, now / DAY),
  )
})

test('late, busy and broken answers are asked for again; the address that is none fails at once', async () => {
  await point(address('?busy=2&late=5'))
  expect(await read()).toMatchObject({ isRead: true, rows: 230, again: 6 })
  await point(address('?busy=9'))
  const gaveUp = await read()
  expect(gaveUp).toMatchObject({ isRead: false, again: 4 })
  expect(gaveUp.why).toBe(
    'Page 1 was refused with 429, 5 times over. Look at the address, or try later.',
  )
  await point(`http://127.0.0.1:${listening.port}/nobody`)
  answers = 0
  expect(await read()).toMatchObject({ isRead: false, again: 0 })
  expect(answers).toBe(1)
  await point(address('?late=3000'))
  expect((await readFeed(store, offers, 'counter', { ...QUICK, answerMs: 20 })).why).toContain(
    'did not come within 0.02 s',
  )
  expect((await feedReadings(store, 'counter')).map(({ isRead }) => isRead)).toEqual([
    false,
    false,
    false,
    true,
  ])
})

test('items that are wrong are left out and told, and end nothing; more than a tenth and nothing is taken', async () => {
  await read()
  sold.splice(0, 3)
  await point(address('?malformed=40'))
  const reading = await read()
  expect(reading).toMatchObject({ isRead: true, badCount: 5, gone: 0 })
  expect(reading.bad[0]).toMatchObject({ line: 40, column: 'price' })
  const { newest } = (await knex('history').max({ newest: 'id' }).first())!
  await point(address('?malformed=4'))
  expect((await read()).why).toContain('More than a tenth of it is wrong')
  expect(await knex('history').where('id', '>', newest).whereNot({ entity: 'supplier' })).toEqual(
    [],
  )
  await point(address())
  expect(await read()).toMatchObject({ isRead: true, gone: 3 })
  expect(
    (await store.list('offer', { standing: 'ended' })).map(({ number }) => number).sort(),
  ).toEqual(['OTC 1000', 'OTC 1001', 'OTC 1002'])
  // Named again, they are sold again.
  suppliers.set('counter', { currency: 'EUR', taxIncluded: true, items: [item(0), ...sold] })
  expect(await read()).toMatchObject({ updated: 1, gone: 0 })
  expect(await store.list('offer', { standing: 'ended' })).toHaveLength(2)
})

test('a feed that names nothing ends nothing, and makes no price look fresh', async () => {
  await read()
  suppliers.set('counter', { currency: 'EUR', taxIncluded: true, items: [] })
  await knex('supplier').update({ feedReadOn: null })
  store.replaced()
  expect(await read()).toMatchObject({ isRead: false, gone: 0 })
  expect(await store.list('offer', { standing: 'ended' })).toEqual([])
  expect((await store.get('supplier', 'counter')).feedReadOn).toBeNull()
})

test('what has a schedule is read when it is due, and not before', async () => {
  expect((await feedsDue(store, Date.now())).map(({ id }) => id)).toEqual(['counter'])
  await readDue(store, offers, new RestoreGate(), Date.now())
  expect(await feedReadings(store, 'counter')).toHaveLength(1)
  expect(await feedsDue(store, Date.now())).toEqual([])
  expect(await feedsDue(store, Date.now() + 13 * 3_600_000)).toHaveLength(1)
  const { who } = (await knex('history').where({ entity: 'offer' }).first())!
  expect(who).toBe('Prices of Trade Counter')
})

test('a backup is not put back amid prices that are read unasked: it waits for the last of them', async () => {
  await point(address('?late=20'))
  const gate = new RestoreGate(undefined, 60_000)
  answers = 0
  const reading = readDue(store, offers, gate, Date.now())
  await expect.poll(() => answers).toBeGreaterThan(0)
  const there = await gate.alone(async () => (await store.read('offer', {})).length)
  expect(there).toBe(230)
  await reading
})

test('a price changed by hand keeps what it was, once a day', async () => {
  await read()
  const [offer] = await store.list('offer')
  await knex('offer').where({ id: offer!.id }).update({ seenOn: '2026-01-05' })
  store.replaced()
  const changed = await changeOffer(store, offer!.id, { version: offer!.version, priceMinor: 1234 })
  await changeOffer(store, offer!.id, { version: changed.version, priceMinor: 1240 })
  expect((await pricesOf(store, offer!.id)).map(({ priceMinor }) => priceMinor)).toEqual([
    offer!.priceMinor,
    1240,
  ])
})
