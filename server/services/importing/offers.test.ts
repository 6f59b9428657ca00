import fc from 'fast-check'
import { afterAll, beforeEach, expect, test } from 'vitest'
import type { Decimal } from '../../../core/quantity/units.ts'
import { type Database, openDatabase } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { FileFault } from '../../documents/file-fault.ts'
import { type OffersRead, readOffersCsv } from '../../documents/offers-csv.ts'
import { createPart } from '../catalogue/parts.ts'
import { addNumber, strikeNumberClaim } from '../numbers/number-claims.ts'
import * as offers from './offers.ts'

const listed = (issuer: string, number: string) =>
  ({ issuer, number, mark: 'catalogue', grade: 'catalogue' }) as const

const TERMS = { day: '2026-11-30', isWhole: false, leavesBadOut: false }
const HEAD =
  'supplier,issuer,number,description,price,currency,taxIncluded,pack,stock,leadDays,condition'
const chunks = (csv: string, decimal?: Decimal) => readOffersCsv(Buffer.from(csv), decimal)
const previewOffers = (into: Store, csv: string) => offers.previewOffers(into, chunks(csv), TERMS)
const importOffers = (into: Store, csv: string) => offers.importOffers(into, chunks(csv), TERMS)
async function readWhole(bytes: string | Uint8Array, decimal?: Decimal): Promise<OffersRead> {
  const rows: OffersRead['rows'][number][] = []
  const bad: OffersRead['bad'][number][] = []
  for await (const chunk of readOffersCsv(
    typeof bytes === 'string' ? Buffer.from(bytes) : bytes,
    decimal,
  )) {
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
  await addNumber(store, part.id, listed('MLD', '417.20'))
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
  expect(
    offers.map((offer) => [
      offer.priceMinor,
      offer.pack,
      offer.stock,
      offer.leadDays,
      offer.taxIncluded,
    ]),
  ).toEqual(
    expect.arrayContaining([
      [9200, 1, null, null, true],
      [150, 10, 4, 3, false],
    ]),
  )
  expect((await store.list('part', { kind: 'unsorted' })).map((part) => part.name)).toEqual([
    'Bolt, long',
  ])
})

test('the same supplier, issuer, number, condition and pack updates; twice in one file is a bad row', async () => {
  const row = 'Harbour Parts,MLD,417.20,Disc,92.00,EUR,yes,1,,,new'
  await importOffers(store, `${HEAD}\n${row}`)
  expect(await importOffers(store, `${HEAD}\n${row.replace('92.00', '95.50')}`)).toMatchObject({
    added: 0,
    updated: 1,
  })
  expect((await store.list('offer')).map((offer) => [offer.priceMinor, offer.version])).toEqual([
    [9550, 2],
  ])
  const twice = await previewOffers(store, `${HEAD}\n${row}\n${row.replace('417.20', '417-20')}`)
  expect(twice.bad).toEqual([
    { line: 3, column: 'number', message: expect.stringContaining('line 2') },
  ])
})

test('semicolons with decimal commas, quotes with line breaks, a byte order mark', async () => {
  const { rows, bad } = await readWhole(
    `\ufeff${HEAD.replaceAll(',', ';')}\r\nA;B;1;"two\nlines";1286,50;EUR;no;;;;\r\nA;B;2;x;3;JPY;yes;;;;\r\n`,
  )
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
  expect([await store.list('offer'), await store.list('part', { kind: 'unsorted' })]).toEqual([
    [],
    [],
  ])
})

test('a file without its columns says which are missing', async () => {
  expect((await readWhole('supplier,price\nA,1')).bad[0]).toMatchObject({
    line: 1,
    message: expect.stringContaining('Nothing says issuer, number'),
  })
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
])(
  'where a comma means %s in this file, a price of %s is %s minor units',
  async (decimal, typed, minor) => {
    const { rows, bad } = await readWhole(
      `${HEAD.replaceAll(',', ';')}\nA;B;1;x;${typed};EUR;yes;;;;`,
      decimal,
    )
    expect(rows[0]?.priceMinor ?? null).toBe(minor)
    if (minor === null)
      expect(bad[0]).toMatchObject({
        column: 'price',
        message: expect.stringContaining('could be'),
      })
  },
)

test.each([',', ';', '\t'])('columns may be parted by %j, in UTF-8 or UTF-16', async (mark) => {
  const csv = [HEAD, 'A,B,1,x,1500,EUR,yes,,,,'].join('\n').replaceAll(',', mark)
  for (const bytes of [
    Buffer.from(csv),
    Buffer.from(`\ufeff${csv}`, 'utf16le'),
    Buffer.from(`\ufeff${csv}`, 'utf16le').swap16(),
  ])
    expect((await readWhole(bytes)).rows).toMatchObject([{ line: 2, priceMinor: 150000 }])
})

test.each([
  [
    'a column named twice',
    HEAD.replace('condition', 'condition,price'),
    'A,B,1,x,1,EUR,yes,,,,,2',
    1,
    'price',
    /twice/,
  ],
  ['a lone NUL', HEAD, 'A,B,1\u00002,x,1,EUR,yes,,,,', 2, 'number', /control character 0000/],
  [
    'a price beyond range',
    HEAD,
    'A,B,1,x,99999999999999999999,EUR,yes,,,,',
    2,
    'price',
    /beyond any price/,
  ],
  ['a stock beyond range', HEAD, 'A,B,1,x,1,EUR,yes,,9999999999,,', 2, 'stock', /from 0 to/],
  [
    'a number of five million characters',
    HEAD,
    `A,B,${'9'.repeat(5_000_000)},x,1,EUR,yes,,,,`,
    2,
    'number',
    /5000000 characters/,
  ],
  ['a quote that never ends', HEAD, 'A,B,"1,x,1,EUR,yes,,,,', 2, '', /Check the quotes/],
])('%s is a bad row with its line', async (_, head, row, line, column, words) => {
  const { rows, bad } = await readWhole(`${head}\n${row}`)
  expect(rows).toEqual([])
  expect(bad[0]).toMatchObject({ line, column, message: expect.stringMatching(words) })
})

test('others are answered while a long file is previewed', async () => {
  const csv = `${HEAD}\n${Array.from({ length: 6000 }, (_, i) => `Harbour Parts,MLD,${i},x,1,EUR,yes,,,,`).join('\n')}`
  let turns = 0
  const counter = setInterval(() => turns++, 1)
  expect(await previewOffers(store, csv)).toMatchObject({
    rows: 6000,
    newPartCount: 6000,
    badCount: 0,
  })
  clearInterval(counter)
  // Not how long, which depends on the machine: that it was many small pieces, not one.
  expect(turns).toBeGreaterThan(5)
})

test('rows that stand as they are write nothing', async () => {
  const csv = `${HEAD}\nHarbour Parts,MLD,417.20,Disc,92.00,EUR,yes,1,,,new`
  await importOffers(store, csv)
  const before = await store.revision()
  expect(await importOffers(store, csv)).toMatchObject({ added: 0, updated: 0, unchanged: 1 })
  expect(await store.revision()).toBe(before)
})

test('any bytes end in rows and bad cells, or in words', async () => {
  const text = fc
    .array(
      fc.oneof(
        fc.constantFrom(HEAD, '\n', '"', ';', '\t', ',', 'Harbour Parts', '\u0000', '1.5', 'EUR'),
        fc.string(),
      ),
      { maxLength: 30 },
    )
    .map((parts) => Buffer.from(parts.join('')))
  await fc.assert(
    fc.asyncProperty(fc.oneof(text, fc.uint8Array({ maxLength: 400 })), async (bytes) => {
      const read = await readWhole(new Uint8Array(bytes)).catch((error: unknown) => error)
      if (read instanceof FileFault) expect(read.message.length).toBeGreaterThan(20)
      else
        for (const { line, message } of (read as OffersRead).bad)
          expect([line >= 1, message.length > 10]).toEqual([true, true])
    }),
    { numRuns: 200 },
  )
})

test('a list with odd heads is read by its columns, what no column says counts for all rows, and a price may bear its sign', async () => {
  const read = async (csv: string, mapping: object, decimal: Decimal = 'comma') => {
    const rows: unknown[] = []
    const bad: string[] = []
    let columns: unknown
    for await (const chunk of readOffersCsv(Buffer.from(csv), decimal, mapping)) {
      columns ??= chunk.columns
      rows.push(...chunk.rows)
      bad.push(...chunk.bad.map(({ line, column, message }) => `${line} ${column}: ${message}`))
    }
    return { rows, bad, columns }
  }
  const instead = { supplier: 'Harbour Parts', issuer: 'HBP', currency: 'EUR', taxIncluded: 'yes' }
  const csv = 'Article;Item text;Net price;Shelf\nA-1;Belt;€ 1.250,50;3\nA-2;;9,80 EUR;x\n'
  const found = await read(csv, { instead })
  expect(found.bad).toEqual([])
  expect(found.columns).toEqual({
    number: 'Article',
    description: 'Item text',
    price: 'Net price',
  })
  expect(found.rows).toMatchObject([
    { ...instead, taxIncluded: true, number: 'A-1', priceMinor: 125_050, pack: 1, stock: null },
    { number: 'A-2', priceMinor: 980, line: 3 },
  ])
  expect(
    (
      await read(csv, {
        instead,
        columns: { number: 'Article', price: 'Net price', stock: 'Shelf' },
      })
    ).bad,
  ).toEqual([expect.stringContaining('3 stock: "x" should be a whole number')])
  expect((await read(csv, {})).bad).toEqual([
    expect.stringMatching(/^1 supplier: Nothing says supplier, issuer, currency, taxIncluded/),
  ])
  for (const odd of ['ten', 'abc 12', '12 pcs', '€', ''])
    expect([odd, (await read(csv.replace('€ 1.250,50', odd), { instead })).bad]).toEqual([
      odd,
      [
        expect.stringMatching(
          odd === '' ? /^2 price: Fill in the price/ : /^2 price: "[^"]+" is not a price/,
        ),
      ],
    ])
  expect((await read(csv.replace('€', '£'), { instead })).bad).toEqual([
    expect.stringContaining('2 price: "£ 1.250,50" names another currency than EUR'),
  ])
})

test('an offer does not join a part by a number that was struck out; where one is only cast, it joins what bears it', async () => {
  const struck = await createPart(store, { kind: 'disc', name: 'Disc' })
  const cast = await createPart(store, { kind: 'flywheel', name: 'Flywheel' })
  const number = await addNumber(store, struck.id, listed('MLD', '931.20'))
  await strikeNumberClaim(store, 'partNumber', number.id, { version: 1, why: 'read wrong' })
  await addNumber(store, cast.id, { ...listed('MLD', '88 C'), mark: 'cast' })
  const csv = `${HEAD}\nHarbour Parts,MLD,931-20,Other,5.00,EUR,no,1,1,1,new\nHarbour Parts,MLD,88C,Wheel,9.00,EUR,no,1,1,1,new`
  expect(await importOffers(store, csv)).toMatchObject({ added: 2, newPartCount: 1 })
  const bought = await store.list('offer')
  expect(bought.some(({ partId }) => partId === struck.id)).toBe(false)
  expect(bought.filter(({ partId }) => partId === cast.id)).toHaveLength(1)
})
