import { afterAll, beforeEach, expect, test } from 'vitest'
import type { Decimal } from '../../core/quantity/units.ts'
import { type Database, openDatabase } from '../database/connection.ts'
import { Store } from '../database/store.ts'
import { type OffersRead, readOffersCsv } from '../documents/offers-csv.ts'
import * as offers from './offers.ts'
import { addNumber, createPart } from './parts.ts'

const HEAD = 'supplier,issuer,number,description,price,currency,taxIncluded,pack,stock,leadDays,condition'
const chunks = (csv: string, decimal?: Decimal) => readOffersCsv(Buffer.from(csv), decimal)
const previewOffers = (into: Store, csv: string) => offers.previewOffers(into, chunks(csv))
const importOffers = (into: Store, csv: string) => offers.importOffers(into, chunks(csv))
async function readWhole(bytes: string | Uint8Array, decimal?: Decimal): Promise<OffersRead> {
  const rows: OffersRead['rows'][number][] = []
  const bad: OffersRead['bad'][number][] = []
  for await (const chunk of readOffersCsv(typeof bytes === 'string' ? Buffer.from(bytes) : bytes, decimal)) {
    rows.push(...chunk.rows)
    bad.push(...chunk.bad)
  }
  return { rows, bad, spoilt: [] }
}
let knex: Database
let store: Store

beforeEach(async () => {
  await knex?.destroy()
  knex = await openDatabase(':memory:')
  store = new Store(knex)
  await store.insert('supplier', { name: 'Harbour Parts', currency: 'EUR' })
  const part = await createPart(store, { kind: 'disc', name: 'Disc' })
  await addNumber(store, part.id, 'MLD', '417.20')
})
afterAll(() => knex.destroy())

test('a known number joins its part in any spelling; an unknown one makes an unsorted part; an unknown issuer is made', async () => {
  const csv = `${HEAD}\nHarbour Parts,MLD,417 20,Disc,92.00,EUR,yes,,,,\nharbour parts,NEW,A-1,"Bolt, long",1.5,EUR,no,10,4,3,new\n`
  const preview = await previewOffers(store, csv)
  expect(preview).toMatchObject({ added: 2, updated: 0, newIssuers: ['NEW'], bad: [] })
  expect(preview.newParts).toEqual([{ issuer: 'NEW', number: 'A-1', description: 'Bolt, long' }])
  expect(await store.list('offer')).toEqual([])
  await importOffers(store, csv)
  const offers = await store.list('offer')
  expect(offers.map((offer) => [offer.priceMinor, offer.pack, offer.stock, offer.leadDays, offer.taxIncluded])).toEqual(
    expect.arrayContaining([
      [9200, 1, null, null, true],
      [150, 10, 4, 3, false],
    ]),
  )
  expect((await store.list('part', { kind: 'unsorted' })).map((part) => part.name)).toEqual(['Bolt, long'])
})

test('the same supplier, issuer, number, condition and pack updates; twice in one file is a bad row', async () => {
  const row = 'Harbour Parts,MLD,417.20,Disc,92.00,EUR,yes,1,,,new'
  await importOffers(store, `${HEAD}\n${row}`)
  expect(await importOffers(store, `${HEAD}\n${row.replace('92.00', '95.50')}`)).toMatchObject({ added: 0, updated: 1 })
  expect((await store.list('offer')).map((offer) => [offer.priceMinor, offer.version])).toEqual([[9550, 2]])
  const twice = await previewOffers(store, `${HEAD}\n${row}\n${row.replace('417.20', '417-20')}`)
  expect(twice.bad).toEqual([{ line: 3, column: 'number', message: expect.stringContaining('line 2') }])
})

test('semicolons with decimal commas, quotes with line breaks, a byte order mark', async () => {
  const { rows, bad } = await readWhole(`\ufeff${HEAD.replaceAll(',', ';')}\r\nA;B;1;"two\nlines";1286,50;EUR;no;;;;\r\nA;B;2;x;3;JPY;yes;;;;\r\n`)
  expect(bad).toEqual([])
  expect(rows.map((row) => [row.line, row.priceMinor, row.currency])).toEqual([
    [2, 128650, 'EUR'],
    [4, 3, 'JPY'],
  ])
})

test('every bad cell is listed by line and column, and nothing is imported', async () => {
  const csv = [
    HEAD,
    'Harbour Parts,MLD,1,good,10,EUR,yes,,,,',
    'Nobody,MLD,2,x,1O,EUR,yes,,,,',
    'Harbour Parts,MLD,,x,ten,EUR,perhaps,0,-1,,',
    'Harbour Parts,MLD,4,x,10,EURO,yes,,,,',
    'Harbour Parts,MLD,5,x,1.234,EUR,yes,,,,',
    'Harbour Parts,MLD,6,x,1,EUR',
  ].join('\n')
  const { bad } = await previewOffers(store, csv)
  expect(bad.map((cell) => [cell.line, cell.column])).toEqual(
    expect.arrayContaining([
      [3, 'supplier'],
      [3, 'price'],
      [4, 'number'],
      [4, 'price'],
      [4, 'taxIncluded'],
      [4, 'pack'],
      [4, 'stock'],
      [5, 'currency'],
      [6, 'price'],
      [7, ''],
    ]),
  )
  await expect(importOffers(store, csv)).rejects.toThrow(/nothing was imported/)
  expect([await store.list('offer'), await store.list('part', { kind: 'unsorted' })]).toEqual([[], []])
})

test('a file without its columns says which are missing', async () => {
  expect((await readWhole('supplier,price\nA,1')).bad[0]).toMatchObject({ line: 1, message: expect.stringContaining('lacks issuer, number') })
})

test.each<['ask' | 'point' | 'comma', string, number | null]>([
  ['ask', '1,500', null],
  ['ask', '1.500', null],
  ['ask', '286,50', 28650],
  ['ask', '1500', 150000],
  ['comma', '1,500', 150],
  ['comma', '1.500', 150000],
  ['comma', '1.286,50', 128650],
  ['point', '1,500', 150000],
  ['point', '1.500', 150],
  ['point', '1,286.50', 128650],
])('where a comma means %s in this file, a price of %s is %s minor units', async (decimal, typed, minor) => {
  const { rows, bad } = await readWhole(`${HEAD.replaceAll(',', ';')}\nA;B;1;x;${typed};EUR;yes;;;;`, decimal)
  expect(rows[0]?.priceMinor ?? null).toBe(minor)
  if (minor === null) expect(bad[0]).toMatchObject({ column: 'price', message: expect.stringContaining('could be') })
})
