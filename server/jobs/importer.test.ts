import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { type Database, openDatabase } from '../database/sqlite/connection.ts'
import { ChangedMeanwhile, Staging } from '../database/sqlite/stage.ts'
import { Store } from '../database/store.ts'
import { readOffersCsv } from '../documents/offers-csv.ts'
import { UnprocessableError } from '../errors.ts'
import { Importer } from './importer.ts'

const HEAD =
  'supplier,issuer,number,description,price,currency,taxIncluded,pack,stock,leadDays,condition'
const csv = (count: number, price = 5): string =>
  [
    HEAD,
    ...Array.from(
      { length: count },
      (_, i) => `Harbour Parts,MLD,A-${i},Bolt ${i},${price}.${i % 90},EUR,no,1,${i},3,new`,
    ),
  ].join('\n')
const WANTED = {
  kind: 'offers',
  terms: { day: '2026-11-30', isWhole: false, leavesBadOut: false },
} as const
const chunks = (text: string) => readOffersCsv(Buffer.from(text))

const folder = mkdtempSync(join(tmpdir(), 'junket-import-'))
const importer = new Importer()
let knex: Database
let store: Store
beforeAll(async () => {
  knex = await openDatabase(join(folder, 'junket.sqlite'))
  store = new Store(knex)
  await store.insert('supplier', { name: 'Harbour Parts', currency: 'EUR' })
})
afterAll(async () => {
  await importer.close()
  await knex.destroy()
  rmSync(folder, { recursive: true, force: true })
})

test('on its own thread and connection: preview writes nothing, import lands all with its history, the same list again nothing', async () => {
  expect(await importer.preview(store, chunks(csv(450)), WANTED)).toMatchObject({
    rows: 450,
    added: 450,
    newIssuers: ['MLD'],
  })
  expect(await store.list('offer')).toEqual([])
  const told = store.told
  expect(await importer.import(store, chunks(csv(450)), WANTED)).toMatchObject({ added: 450 })
  expect(store.told).not.toBe(told)
  const offers = await store.list('offer')
  expect(offers.length).toBe(450)
  expect((await store.list('part', { kind: 'unsorted' })).length).toBe(450)
  expect(await knex('history').where({ entity: 'offer', act: 'insert' })).toHaveLength(450)
  const { count } = (await knex('history').count({ count: '*' }).first())!
  expect(await importer.import(store, chunks(csv(450)), WANTED)).toMatchObject({
    added: 0,
    updated: 0,
    unchanged: 450,
  })
  expect((await knex('history').count({ count: '*' }).first())!.count).toBe(count)
  expect(await importer.import(store, chunks(csv(450, 6)), WANTED)).toMatchObject({ updated: 450 })
  expect(new Set((await store.list('offer')).map(({ version }) => version))).toEqual(new Set([2]))
})

test('a bad row leaves nothing behind, and others are answered while an import runs', async () => {
  const before = await store.list('offer')
  await expect(
    importer.import(store, chunks(`${csv(30)}\nNobody,MLD,X-1,Bolt,1.00,EUR,no,1,1,1,new`), WANTED),
  ).rejects.toThrow(UnprocessableError)
  expect(await store.list('offer')).toEqual(before)
  const running = importer.import(store, chunks(csv(900)), WANTED)
  const supplier = await store.insert('supplier', { name: 'Quay Spares', currency: 'EUR' })
  expect(await store.get('supplier', supplier.id)).toMatchObject({ name: 'Quay Spares' })
  expect(await running).toMatchObject({ added: 450, updated: 450 })
})

test('what was changed, or is there by now, is not written over: the merge gives up whole', async () => {
  const [offer, other] = await store.list('offer')
  const staging = new Staging(knex, { who: 'x', command: null })
  await staging.add({
    updates: [offer!, other!].map((before) => ({
      table: 'offer' as const,
      before,
      patch: { priceMinor: 1 },
    })),
  })
  await store.update('offer', other!.id, other!.version, { priceMinor: 777 })
  await expect(staging.land()).rejects.toThrow(ChangedMeanwhile)
  await staging.close()
  expect((await store.get('offer', offer!.id)).priceMinor).toBe(offer!.priceMinor)
  const { id: _, version: __, ...twin } = offer!
  const other2 = new Staging(knex, { who: 'x', command: null })
  await other2.add({ inserts: [['offer', [{ ...twin, id: 'twin' }]]] })
  await expect(other2.land()).rejects.toThrow(ChangedMeanwhile)
  await other2.close()
})
