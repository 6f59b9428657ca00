import { buffer } from 'node:stream/consumers'
import fc from 'fast-check'
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest'
import {
  LIST_KINDS,
  LISTS,
  type ListKind,
  type ListMapping,
} from '../../../../core/tables/lists.ts'
import { LIST_SAMPLES } from '../../../../core/tables/samples.ts'
import { demoDatabase } from '../../../database/demo.seed.ts'
import { type Database, openDatabase } from '../../../database/sqlite/connection.ts'
import { Store } from '../../../database/store.ts'
import { FileFault } from '../../../documents/file-fault.ts'
import { listCsv, listXlsx } from '../../../documents/list-files.ts'
import { readList } from '../../../documents/list-rows.ts'
import { Importer } from '../../../jobs/importer.ts'
import { follow } from '../../../search/follow.ts'
import { numberConflicts } from '../../catalogue/number-conflicts.ts'
import { createPart } from '../../catalogue/parts.ts'
import { listParts } from '../../catalogue/parts-found.ts'
import { addNumber } from '../../numbers/number-claims.ts'
import { writtenRows } from './written.ts'

const TERMS = { day: '2026-11-30', dates: 'ask', decimal: 'ask' } as const
const importer = new Importer()
const read = (kind: ListKind, bytes: string | Uint8Array, mapping: ListMapping = {}) =>
  readList(kind, typeof bytes === 'string' ? Buffer.from(bytes) : bytes, mapping)
const take = (store: Store, kind: ListKind, bytes: string | Uint8Array, terms = {}) =>
  importer.import(store, read(kind, bytes), { kind, terms: { ...TERMS, ...terms } })
const look = (store: Store, kind: ListKind, bytes: string | Uint8Array, terms = {}) =>
  importer.preview(store, read(kind, bytes), { kind, terms: { ...TERMS, ...terms } })
const bytesOf = async (stream: ReadableStream<Uint8Array>): Promise<Buffer> =>
  buffer(stream as never)

describe('of the demo', () => {
  let knex: Database
  let store: Store
  beforeAll(async () => {
    knex = await demoDatabase()
    store = new Store(knex)
  })
  afterAll(() => knex.destroy())

  test.each(LIST_KINDS)(
    '%s written out and read in again change nothing, as CSV and as a workbook',
    async (kind) => {
      const csv = await bytesOf(listCsv(kind, writtenRows(store, kind)))
      const xlsx = await bytesOf(listXlsx(kind, writtenRows(store, kind)))
      for (const bytes of [csv, xlsx]) {
        const preview = await look(store, kind, bytes)
        // Two parts alike in name and kind cannot be told apart by a list: each such row says so.
        const isAlike = preview.bad.every(({ message }) =>
          message.includes('The same part stands on line'),
        )
        expect(isAlike ? [] : preview.bad.slice(0, 3)).toEqual([])
        expect({ added: preview.added, updated: preview.updated }).toEqual({ added: 0, updated: 0 })
        expect(preview.unchanged).toBeGreaterThan(0)
      }
    },
  )

  test('parts go out as they are narrowed', async () => {
    const rows = []
    for await (const row of writtenRows(store, 'parts', { kind: 'pilot' })) rows.push(row)
    expect(rows.length).toBeGreaterThan(1)
    expect(new Set(rows.map(({ kind }) => kind))).toEqual(new Set(['pilot']))
  })
})

describe('of an empty shop', () => {
  let knex: Database
  let store: Store
  beforeEach(async () => {
    await knex?.destroy()
    knex = await openDatabase(':memory:')
    store = new Store(knex)
    const part = await createPart(store, { kind: 'disc', name: 'Clutch disc' })
    await addNumber(store, part.id, {
      issuer: 'MLD',
      number: '417.20',
      mark: 'catalogue',
      grade: 'maker',
    })
  })
  afterAll(() => knex.destroy())

  test.each(LIST_KINDS)(
    'the sample of %s is read in as it stands, and nothing the second time',
    async (kind) => {
      async function* rows() {
        yield* LIST_SAMPLES[kind]
      }
      const csv = await bytesOf(listCsv(kind, rows()))
      const first = await take(store, kind, csv)
      expect(first).toMatchObject({ badCount: 0 })
      expect(first.added).toBeGreaterThan(0)
      const { newest } = (await knex('history').max({ newest: 'id' }).first())!
      expect(await take(store, kind, csv)).toMatchObject({ added: 0, updated: 0 })
      expect((await knex('history').max({ newest: 'id' }).first())!.newest).toBe(newest)
    },
  )

  test('any heads, semicolons and units: a part is found again by its number in another spelling and gains what it lacked', async () => {
    const csv =
      'Brand;Article no;Description;Weight;Type\nmld;417 20;Clutch disc 225;2,5 lb;Clutch disc\nHBP;44-10;Thermostat;;\n'
    const preview = await look(store, 'parts', csv)
    expect(preview.columns).toMatchObject({ issuer: 'Brand', number: 'Article no', mass: 'Weight' })
    expect(preview).toMatchObject({ added: 1, updated: 1, bad: [] })
    await take(store, 'parts', csv)
    const parts = await store.list('part')
    expect(parts.map(({ name, massG }) => [name, massG]).sort()).toEqual([
      // 2.5 lb of 453.592 37 g.
      ['Clutch disc 225', 1134],
      ['Thermostat', null],
    ])
    expect(await look(store, 'parts', 'name,mass\nClip,12\n')).toMatchObject({
      bad: [{ line: 2, column: 'mass', message: '"12" has no unit. Write 12 kg, 12 g or 12 lb.' }],
    })
  })

  test('a part with several numbers: each is kept, found again by any of them, and gains the one it lacked', async () => {
    const head = 'name;issuer;number;Other numbers\n'
    const csv = `${head}Clutch disc;MLD;417-20;417.21\nThermostat;HBP;4410;4411; HBP: 44 10\n`
    expect(await look(store, 'parts', csv)).toMatchObject({
      bad: [{ line: 3, column: '', message: expect.stringContaining('has 5 cells') }],
    })
    expect(
      (await look(store, 'parts', 'name,name,mass\nClip,Clasp,1 g\n')).bad.map(
        ({ message }) => message,
      ),
    ).toEqual(['The first line names name twice. Take one of the two columns out.'])
    const quoted = `${head}Clutch disc;MLD;417-20;417.21\nThermostat;HBP;4410;"4411; MLD: 88; HBP: 44 10"\n`
    expect(await take(store, 'parts', quoted)).toMatchObject({ added: 1, updated: 1, bad: [] })
    const borne = (await store.list('partNumber')).map(({ number }) => number)
    expect(borne.filter((number) => number === '417.21')).toHaveLength(1)
    expect(borne.toSorted().slice(-3)).toEqual(['4410', '4411', '88'])
    const again = `${head}Thermostat;MLD;88;\nClutch disc;;;MLD: 41721\n`
    expect(await take(store, 'parts', again)).toMatchObject({ unchanged: 2, updated: 0, bad: [] })
    const wrong = `${head}Two in one;MLD;88;41721\nNobody's;;;12\nThermostat;HBP;4410;\nThermostat;HBP;4411;\n`
    expect((await look(store, 'parts', wrong)).bad).toEqual([
      {
        line: 2,
        column: 'otherNumbers',
        message: expect.stringContaining('"Thermostat" and "Clutch'),
      },
      { line: 3, column: 'otherNumbers', message: expect.stringContaining('Nobody says whose') },
      { line: 5, column: 'number', message: expect.stringContaining('stands on line 4') },
    ])
    // A maker without a number, and one written close to it: never taken for a number of the row's own maker.
    const close = `${head}Clip;MLD;90.1;HBP:\nRing;MLD;90.2;HBP:3191\n`
    expect((await look(store, 'parts', close)).bad).toMatchObject([
      { line: 2, column: 'otherNumbers', message: expect.stringContaining('nothing left') },
    ])
    const rows = []
    for await (const row of writtenRows(store, 'parts')) rows.push(row)
    expect(rows.find(({ name }) => name === 'Thermostat')).toMatchObject({
      issuer: 'HBP',
      number: '4410',
      otherNumbers: 'HBP: 4411; MLD: 88',
    })
  })

  test('a number that another part bears is told, and is a conflict; a part named by a number of it is found', async () => {
    const csv =
      'part,issuer,number,mark\nMLD 417.20,HBP,3120,\nClutch disc,MLD,417 C,cast\nDisc of another,MLD,417-20,\n'
    expect(await look(store, 'numbers', csv)).toMatchObject({
      badCount: 1,
      bad: [{ line: 4, column: 'part' }],
    })
    await createPart(store, { kind: 'disc', name: 'Disc of another' })
    const done = await take(store, 'numbers', csv)
    expect(done.notes[0]).toContain('1 number stands on another part already')
    expect((await numberConflicts(store)).items.length).toBeGreaterThan(0)
  })

  test('one set is one split; several by several is refused with its line; a date that can be two days is asked about', async () => {
    const split =
      'set,issuer,old,new,newQuantity,since\na,MLD,1.1,1.2,1,3/4/2021\na,MLD,1.1,1.3,2,\n'
    expect((await look(store, 'supersessions', split)).bad[0]).toMatchObject({
      line: 2,
      column: 'since',
      message:
        '"3/4/2021" could be 2021-04-03 or 2021-03-04. Say above which comes first, day or month.',
    })
    await take(store, 'supersessions', split, { dates: 'dmy' })
    const [row, ...others] = await store.list('supersession')
    expect(others).toEqual([])
    expect(row).toMatchObject({ since: '2021-04-03', back: 'unsaid' })
    expect(await store.list('supersessionNumber')).toHaveLength(3)
    const both = 'set,issuer,old,new\na,MLD,1,3\na,MLD,2,4\n'
    expect((await look(store, 'supersessions', both)).bad[0]).toMatchObject({
      line: 2,
      column: 'set',
    })
  })

  test('what a list leaves out stays: a supplier keeps its charge, a kit its other pieces', async () => {
    await take(store, 'suppliers', 'name,currency,shipping,minimum\nGannet Row,EUR,6.50,20\n')
    await take(store, 'suppliers', 'name,currency,return days\ngannet row,EUR,14\n')
    expect((await store.list('supplier'))[0]).toMatchObject({
      name: 'Gannet Row',
      shippingMinor: 650,
      minimumMinor: 2000,
      returnDays: 14,
    })
    const kit = (piece: string, price: string) =>
      `kit,price,currency,kind,issuer,number,words\nPilot kit,${price},EUR,pilot,GNR,${piece},Pilot bush\n`
    expect((await look(store, 'kits', kit('P 15', ''))).bad[0]).toMatchObject({ column: 'price' })
    await take(store, 'kits', kit('P 15', '39'))
    expect(await take(store, 'kits', kit('P 17', '41'))).toMatchObject({ updated: 1, added: 0 })
    expect((await store.list('kit')).map(({ priceMinor }) => priceMinor)).toEqual([4100])
    expect(await store.list('kitItem')).toHaveLength(2)
    expect(await store.list('part', { kind: 'pilot' })).toHaveLength(2)
  })

  test('a new number that looks like one that is known, or like another of the list, is told; the same one in another spelling is not', async () => {
    await follow(store)
    const csv =
      'name,issuer,number\nDisc,MLD,417-20\nOther,MLD,4I7.20\nPump,MLD,0417.20\nSeal,MLD,5O1\nSeal of oil,MLD,501\nRing,MLD,417.21\n'
    const { notes } = await look(store, 'parts', csv)
    expect(notes.filter((one) => one.startsWith('Line'))).toEqual([
      'Line 3: 4I7.20 is new, and easily mistaken for 417.20. Is it the same?',
      'Line 4: 0417.20 is new, and easily mistaken for 4I7.20. Is it the same?',
      'Line 6: 501 is new, and easily mistaken for 5O1. Is it the same?',
    ])
  })

  test('a new part is of the kind and family of the part whose number it replaces; words tell where no number does', async () => {
    const [disc] = await store.list('part')
    await store.update('part', disc!.id, disc!.version, { family: 'Kessarn Wick' })
    await take(store, 'supersessions', 'issuer,old,new\nMLD,417.20,417.44\nMLD,417.44,417.45\n')
    const csv =
      'name,issuer,number\nFriction plate,MLD,417.44\nThermostat 82,MLD,9.1\nThing,MLD,417.45\n'
    const done = await take(store, 'parts', csv)
    expect(done.notes).toEqual([
      '1 kind is that of a part whose number its own replaces or serves for: look it over in Catalogue.',
      '1 kind is told by its words: look it over in Catalogue.',
      '1 waits as unsorted until its kind is set in Catalogue.',
    ])
    const parts = new Map((await store.list('part')).map((part) => [part.name, part]))
    expect(parts.get('Friction plate')).toMatchObject({ kind: 'disc', family: 'Kessarn Wick' })
    expect(parts.get('Thermostat 82')).toMatchObject({ kind: 'thermostat', family: null })
    // By now its neighbour has a kind: it is suggested where kinds are set in bulk.
    const { items } = await listParts(store, { kind: 'unsorted' })
    expect(items.map(({ name, suggested }) => [name, suggested])).toEqual([
      ['Thing', { kind: 'disc', family: 'Kessarn Wick', because: 'by 417.44 of Friction plate' }],
    ])
  })

  test('a piece of a kit without a number is known by its kind and its words; twice in a kit is told', async () => {
    const csv =
      'kit,price,currency,kind,words,quantity\nPilot kit,39,EUR,pilot,Pilot bush 15,2\nPilot kit,,,disc,Clutch disc,1\n'
    await take(store, 'kits', csv)
    expect(await take(store, 'kits', csv)).toMatchObject({ added: 0, updated: 0, unchanged: 1 })
    expect(await store.list('kitItem')).toHaveLength(2)
    expect(await store.list('part', { kind: 'disc' })).toHaveLength(1)
    expect(
      (await look(store, 'kits', `${csv}Pilot kit,,,pilot,Pilot bush 15,1\n`)).bad,
    ).toMatchObject([{ line: 4, column: 'words' }])
    expect(
      (await look(store, 'kits', 'kit,price,currency,number\nX,1,EUR,\nX,1,EUR,12\n')).bad,
    ).toMatchObject([
      { line: 2, column: 'number' },
      { line: 3, column: 'issuer' },
    ])
  })

  test('three thousand broken files: each is told with line and column or refused whole, and nothing is written', async () => {
    const samples = await Promise.all(
      LIST_KINDS.map(async (kind) => {
        async function* rows() {
          yield* LIST_SAMPLES[kind]
        }
        return {
          kind,
          csv: await bytesOf(listCsv(kind, rows())),
          xlsx: await bytesOf(listXlsx(kind, rows())),
        }
      }),
    )
    const { newest } = (await knex('history').max({ newest: 'id' }).first())!
    const spoil = fc.record({
      sample: fc.constantFrom(...samples),
      // A workbook takes far longer to open: one in twenty is one.
      isWorkbook: fc.integer({ min: 0, max: 19 }).map((one) => one === 0),
      at: fc.nat(),
      how: fc.constantFrom('cut', 'flip', 'insert', 'swap', 'double'),
      noise: fc.uint8Array({ minLength: 1, maxLength: 12 }),
    })
    let told = 0
    await fc.assert(
      fc.asyncProperty(spoil, async ({ sample, isWorkbook, at, how, noise }) => {
        const whole = isWorkbook ? sample.xlsx : sample.csv
        const place = at % whole.length
        const [head, tail] = [whole.subarray(0, place), whole.subarray(place)]
        const bytes = {
          cut: () => head,
          flip: () => Buffer.concat([head, Buffer.from(noise), tail.subarray(noise.length)]),
          insert: () => Buffer.concat([head, Buffer.from(noise), tail]),
          swap: () => Buffer.concat([tail, head]),
          double: () => Buffer.concat([whole, tail]),
        }[how]()
        try {
          const { bad } = await look(store, sample.kind, bytes)
          told++
          for (const { line, message } of bad) {
            expect(line).toBeGreaterThan(0)
            expect(message).toMatch(/[.?]$/)
          }
        } catch (error) {
          // Refused whole, with a sentence that says what to do.
          expect(error).toBeInstanceOf(FileFault)
          expect((error as Error).message).toMatch(/\.$/)
        }
      }),
      { numRuns: 3000 },
    )
    expect(told).toBeGreaterThan(500)
    expect((await knex('history').max({ newest: 'id' }).first())!.newest).toBe(newest)
  })

  test('cells of a workbook that look like formulas are words on their way out, and themselves on their way in', async () => {
    async function* rows() {
      yield { name: '=HYPERLINK("x")', note: '-12 below' }
    }
    const csv = (await bytesOf(listCsv('parts', rows()))).toString()
    expect(csv).toContain("'=HYPERLINK")
    await take(store, 'parts', csv)
    expect((await store.list('part')).map(({ name, note }) => [name, note])).toContainEqual([
      '=HYPERLINK("x")',
      '-12 below',
    ])
  })
})

test('every list says what it holds, and names each column once', () => {
  for (const kind of LIST_KINDS) {
    const names = LISTS[kind].fields.map(({ name }) => name)
    expect(new Set(names).size).toBe(names.length)
    expect(LISTS[kind].says).not.toBe('')
    for (const row of LIST_SAMPLES[kind])
      for (const name of Object.keys(row)) expect(names).toContain(name)
  }
})
