import fc from 'fast-check'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { actAs } from '../../database/actor.ts'
import { type Database, openDatabase } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import type { TableName } from '../../database/tables.ts'
import { readOffersCsv } from '../../documents/offers-csv.ts'
import { Importer } from '../../jobs/importer.ts'
import { createPart } from '../catalogue/parts.ts'
import { undoCommand } from './history.ts'
import { isMany } from './undo-many.ts'

const WANTED = {
  kind: 'offers',
  terms: { day: '2026-11-30', isWhole: false, leavesBadOut: false },
} as const
const HEAD = 'supplier,issuer,number,description,price,currency,taxIncluded'
const list = (rows: readonly (readonly [number: number, price: number])[]) =>
  readOffersCsv(
    Buffer.from(
      [HEAD, ...rows.map(([n, price]) => `Quay,MLD,A-${n},Bolt ${n},${price}.00,EUR,no`)].join(
        '\n',
      ),
    ),
  )

const importer = new Importer()
let knex: Database
let store: Store
beforeEach(async () => {
  knex = await openDatabase(':memory:')
  store = new Store(knex)
  await store.insert('supplier', { name: 'Quay', currency: 'EUR' })
})
afterEach(() => knex.destroy())

const TABLES = ['issuer', 'part', 'partNumber', 'offer', 'pastPrice'] as const
/** Everything there is, without versions. */
const snapshot = async () =>
  Promise.all(
    TABLES.map(async (table: TableName) =>
      (await knex(table).orderBy('id')).map(({ version: _, ...row }) => row),
    ),
  )
const as = <T>(command: string, work: () => Promise<T>): Promise<T> =>
  actAs({ who: 'Ida', command }, work)

test('an import undone leaves what was there; that undone brings it back; row by row comes to the same', async () => {
  const row = fc.tuple(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 4 }))
  const rows = fc.uniqueArray(row, { minLength: 1, maxLength: 9, selector: ([n]) => n })
  let turn = 0
  await fc.assert(
    fc.asyncProperty(rows, rows, async (first, second) => {
      const run = ++turn
      await as(`first ${run}`, () => importer.import(store, list(first), WANTED))
      const before = await snapshot()
      await as(`second ${run}`, () => importer.import(store, list(second), WANTED))
      const after = await snapshot()
      const wrote = await knex('history').where({ command: `second ${run}` })
      if (wrote.length === 0) return
      const undone = await as(`undo ${run}`, () => importer.undo(store, `second ${run}`))
      expect(undone).toBe(wrote.length)
      expect(await snapshot()).toEqual(before)
      expect(await as(`again ${run}`, () => importer.undo(store, `undo ${run}`))).toBe(undone)
      expect(await snapshot()).toEqual(after)
      await as(`one by one ${run}`, () => undoCommand(store, `again ${run}`))
      expect(await snapshot()).toEqual(before)
    }),
    { numRuns: 20 },
  )
})

test('what was changed since, or is used since, is left to be gone through one by one', async () => {
  const rows = Array.from({ length: 200 }, (_, i) => [i, 5] as const)
  await as('import', () => importer.import(store, list(rows), WANTED))
  expect(await isMany(store, 'import')).toBe(true)
  expect(await isMany(store, 'nothing')).toBe(false)
  const [offer] = await store.list('offer')
  const kit = await store.insert('kit', { name: 'Kit', priceMinor: 1, currency: 'EUR' })
  const item = await store.insert('kitItem', { kitId: kit.id, partId: offer!.partId, quantity: 1 })
  const before = await snapshot()
  expect(await importer.undo(store, 'import')).toBeNull()
  expect(await snapshot()).toEqual(before)
  await store.remove('kitItem', item.id)
  await store.update('offer', offer!.id, offer!.version, { priceMinor: 7 })
  expect(await importer.undo(store, 'import')).toBeNull()
  await expect(undoCommand(store, 'import')).rejects.toThrow('It was changed since (priceMinor)')
  const part = await as('port', () => createPart(store, { kind: 'disc', name: 'Disc' }))
  expect(await importer.undo(store, 'port')).toBe(1)
  expect(await store.find('part', part.id)).toBeNull()
})
