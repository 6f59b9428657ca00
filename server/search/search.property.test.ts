import fc from 'fast-check'
import { afterAll, expect, test } from 'vitest'
import { DEFAULT_RULE } from '../../core/identity/number-rule.ts'
import { LEAST, type NumberMatch } from '../../core/identity/number-search.ts'
import { oneEdit } from '../../core/identity/one-edit.ts'
import { demoDocument } from '../../demo/index.ts'
import { demoDatabase } from '../database/demo.seed.ts'
import { openDatabase } from '../database/sqlite/connection.ts'
import { Store } from '../database/store.ts'
import { importDocument } from '../services/builds/build-document.ts'
import { find } from '../services/catalogue/find.ts'
import { createPart } from '../services/catalogue/parts.ts'
import { listParts } from '../services/catalogue/parts-found.ts'
import { addNumber, addSupersession, strikeNumberClaim } from '../services/numbers/number-claims.ts'
import { putNumbers, putWords } from './entries.ts'
import { follow } from './follow.ts'
import { findNumbers } from './numbers.ts'
import { askedWords, findWords } from './words.ts'

const knex = await openDatabase(':memory:')
afterAll(() => knex.destroy())

const letter = fc.constantFrom('0', '1', '4', '7', 'A', 'O', 'I')
const key = fc.string({ unit: letter, minLength: 1, maxLength: 9 })
const issuers = ['i', 'j'].map((id) => ({ id, name: `Issuer${id}`, rule: DEFAULT_RULE }))

/** How a key has to do with what was typed, reckoned one by one. */
function matchOf(typed: string, known: string): NumberMatch | null {
  const folded = (one: string): string => one.replaceAll('O', '0').replaceAll('I', '1')
  if (known === typed) return 'equal'
  if (typed.length >= LEAST.begins && known.startsWith(typed)) return 'begins'
  if (folded(known) === folded(typed)) return 'look-alike'
  const bare = (one: string): string => one.replace(/^0+/, '')
  if (bare(typed) !== '' && bare(known) === bare(typed)) return 'zeros'
  if (known.split('+')[0] === typed.split('+')[0]) return 'suffix'
  if (typed.length >= LEAST.holds && known.includes(typed)) return 'holds'
  if (typed.length >= LEAST['one edit'] && oneEdit(typed).has(known)) return 'one edit'
  return null
}

test('the index finds every number that has to do with what was typed, in the closest way, in the order of the ways', async () => {
  await fc.assert(
    fc.asyncProperty(fc.uniqueArray(key, { maxLength: 24 }), key, async (known, typed) => {
      for (const table of ['search_number']) await knex(table).delete()
      await knex.raw(`INSERT INTO search_gram(search_gram) VALUES ('delete-all')`)
      await putNumbers(
        knex,
        known.map((one, at) => ({ issuerId: at % 2 === 0 ? 'i' : 'j', key: one })),
      )
      const found = await findNumbers(knex, typed, issuers, 1000)
      const ways = found.map(({ match }) => Object.keys(LEAST).indexOf(match))
      expect(ways).toEqual([...ways].sort((p, q) => p - q))
      expect(new Map(found.map((one) => [one.key, one.match]))).toEqual(
        new Map(
          known.flatMap((one): [string, NumberMatch][] => {
            const match = matchOf(typed, one)
            return match === null ? [] : [[one, match]]
          }),
        ),
      )
    }),
    { numRuns: 150 },
  )
})

const word = fc.constantFrom('wick', 'plate', 'disc', 'clutch', 'harbour', 'seal', 'pump')
test('words are found by their beginnings, all of them, each row once, whatever the order they are typed in', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.array(word, { minLength: 1, maxLength: 4 }), { maxLength: 12 }),
      fc.array(word, { minLength: 1, maxLength: 3 }),
      fc.nat(3),
      async (rows, typed, cut) => {
        for (const table of ['search_entry', 'search_term']) await knex(table).delete()
        await knex.raw(`INSERT INTO search_word(search_word) VALUES ('delete-all')`)
        await putWords(
          knex,
          'kit',
          rows.map((words, at) => ({ id: `k${at}`, name: words.join(' ') })),
        )
        const begun = typed.map((one) => one.slice(0, Math.max(2, one.length - cut)))
        const asked = await askedWords(knex, begun.join(' '))
        const found = await findWords(knex, asked, 'kit', 100)
        const holds = (words: readonly string[]): boolean =>
          asked.terms.every((one) => words.some((own) => own.startsWith(one)))
        expect(found.map(({ rowId }) => rowId)).toEqual(
          rows.flatMap((words, at) => (holds(words) ? [`k${at}`] : [])),
        )
      },
    ),
    { numRuns: 100 },
  )
})

test('a number is found in many spellings, with its issuer before or after, within a pasted line; what replaced it is told', async () => {
  const store = new Store(await demoDatabase())
  for (const typed of [
    'MLD 417.18',
    '417-18',
    'mld417 18',
    '41718 MLD',
    '4 1 7 . 1 8',
    'Need one MLD 417.18 clutch disc by Friday, please',
  ]) {
    const [first] = (await find(store, typed)).items
    expect([typed, first]).toMatchObject([
      typed,
      { kind: 'number', id: 'marlund-4-disc', match: 'equal' },
    ])
    expect(first!.detail).toContain('replaced by 417.20')
  }
  // Cast on two parts: both are told.
  const cast = (await find(store, '9001')).items.filter(({ kind }) => kind === 'number')
  expect(cast.map(({ id }) => id).sort()).toEqual(['pump-cast', 'wick-2-water-pump'])
  const [like] = (await find(store, 'KSN 34O.2')).items.filter(
    ({ match }) => match === 'look-alike',
  )
  expect(like).toMatchObject({ id: 'wick-2-thermostat' })
})

test('what was struck out is not told of a number: neither what replaced it nor who bore what did; ways on beside one another are all told', async () => {
  const store = new Store(await demoDatabase())
  const written = (number: string) => ({ issuer: 'MLD', number, quantity: 1 })
  const replace = (old: string, next: string) =>
    addSupersession(store, {
      old: [written(old)],
      new: [written(next)],
      back: 'unsaid',
      grade: 'heard',
    })
  const detail = async () => (await find(store, 'MLD 417.18')).items[0]!.detail
  const other = await replace('417.18', '417.20 A')
  expect(await detail()).toMatch(/replaced by (417\.20 or 417\.20 A|417\.20 A or 417\.20)/)
  const strike = (table: 'supersession' | 'partNumber', id: string, version: number) =>
    strikeNumberClaim(store, table, id, { version, why: 'read wrong' })
  await strike('supersession', other.id, other.version)
  expect(await detail()).toMatch(/replaced by 417\.20$/)
  const own = await store.get('supersession', 'supersession-disc')
  await strike('supersession', own.id, own.version)
  expect(await detail()).not.toContain('replaced')
  // A number no part bears is found by the part of its heir, unless that does not bear it any more.
  await replace('77.1', '77.2')
  const part = await createPart(store, { kind: 'disc', name: 'Heir' })
  const heir = await addNumber(store, part.id, {
    ...written('77.2'),
    mark: 'catalogue',
    grade: 'heard',
  })
  expect((await find(store, 'MLD 77.1')).items[0]).toMatchObject({ id: part.id })
  await strike('partNumber', heir.id, heir.version)
  expect((await find(store, 'MLD 77.1')).items.filter(({ id }) => id === part.id)).toEqual([])
})

test('misspelt words are mended; what is renamed, added and removed is found as it is now', async () => {
  const store = new Store(await demoDatabase())
  const names = async (typed: string) => (await find(store, typed)).items.map(({ words }) => words)
  expect((await find(store, 'flywheal wick')).mended).toEqual([
    { typed: 'flywheal', as: 'flywheel' },
  ])
  expect(await names('flywheal wick')).toContain('Kessarn Wick, 2nd flywheel')
  const kit = await store.get('kit', 'kit-1')
  await store.update('kit', kit.id, kit.version, { name: 'Zorilla adapter set' })
  expect(await names('zorilla')).toEqual(['Zorilla adapter set'])
  await store.transaction((tx) => tx.remove('kit', 'kit-1'))
  expect(await names('zorilla')).toEqual([])
  for (const odd of ['"', '* OR', 'NEAR(', '-', '…', 'a\'b"c', '%_', 'NOT AND OR'])
    await expect(find(store, odd)).resolves.toBeDefined()
})

test('a list of parts is narrowed by size, place, what it fits, stock, price and evidence; pages join up', async () => {
  const store = new Store(await demoDatabase())
  const ids = async (asked: Parameters<typeof listParts>[1]) =>
    (await listParts(store, { limit: 1000, ...asked })).items.map(({ id }) => id)
  const bores = await store
    .knex('portValue')
    .where('portId', 'like', '%/pilot-bore/%')
    .where({ field: 'boreMm' })
    .whereBetween('number', [20, 22])
  expect((await ids({ size: 'pilot-bore.boreMm', sizeFrom: 20, sizeTo: 22 })).sort()).toEqual(
    [...new Set(bores.map(({ portId }) => String(portId).split('/')[0]!))].sort(),
  )
  expect(await ids({ fits: 'kessarn wick', kind: 'thermostat' })).not.toContain('thermostat-o')
  expect((await ids({ fits: 'Kessarn Wick' })).length).toBeGreaterThan(20)
  const cheap = await ids({ priceTo: 500, currency: 'EUR', isInStock: 'true' })
  const dear = await ids({ priceTo: 5000, currency: 'EUR', isInStock: 'true' })
  expect(cheap.length).toBeGreaterThan(0)
  expect(dear).toEqual(expect.arrayContaining(cheap))
  expect(await ids({ evidence: 'fitted' })).toEqual([])
  expect((await ids({ place: 'front' })).length).toBeGreaterThan(3)
  const pages: string[] = []
  for (let after: string | undefined; ; ) {
    const page = await listParts(store, { q: 'wick', limit: 7, ...(after ? { after } : {}) })
    pages.push(...page.items.map(({ id }) => id))
    if (page.next === null) break
    after = page.next
  }
  expect(new Set(pages).size).toBe(pages.length)
  expect(pages).toEqual(await ids({ q: 'wick' }))
})

test('an index that is being made when another file takes the place of its own goes no further, and is made of that one', async () => {
  const knex = await openDatabase(':memory:')
  const store = new Store(knex)
  await importDocument(store, demoDocument())
  const making = follow(store)
  // Asked in turn with its pages: it is not done when the first of them is there.
  while ((await knex('search_entry').first('id')) === undefined);
  store.replaced()
  await expect(making).rejects.toThrow('replaced')
  expect(await knex('search_state').first('historyId')).toEqual({ historyId: -1 })
  await follow(store)
  expect((await find(store, 'MLD 417.18')).items[0]).toMatchObject({ id: 'marlund-4-disc' })
})
