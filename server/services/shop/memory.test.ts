import { afterAll, beforeEach, describe, expect, test, vi } from 'vitest'
import { demoDocument } from '../../../demo/index.ts'
import { copyOf } from '../../database/demo.seed.ts'
import { type Database, openDatabase } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { importDocument } from '../builds/build-document.ts'
import { viewBuild } from '../builds/build-view.ts'
import { loadCatalogue } from '../catalogue/catalogue.ts'
import { addClaim } from '../catalogue/parts.ts'
import { listPairings, pairingRows } from '../choosing/pairings.ts'
import { Memory, RevisionMemory } from './memory.ts'

let knex: Database
let store: Store
beforeEach(async () => {
  await knex?.destroy()
  knex = await openDatabase(':memory:')
  store = new Store(knex)
})
afterAll(() => knex.destroy())

const measure = (field: string, value: number) =>
  addClaim(store, {
    portId: 'quill-late/pilot-bore/crank',
    field,
    value,
    grade: 'measured',
    method: 'micrometer',
    decimal: 'ask',
    thisVeryPart: false,
  })

describe('memory by what it leans on', () => {
  test('the same objects and words are not worked twice; another object, or other words, are', () => {
    const memory = new Memory<number>(10)
    const work = vi.fn(() => 7)
    const [a, b] = [{}, {}]
    memory.recall([a, b], 'x', work)
    memory.recall([a, b], 'x', work)
    expect(work).toHaveBeenCalledTimes(1)
    for (const [objects, words] of [
      [[b, a], 'x'],
      [[a, { ...b }], 'x'],
      [[a, null], 'x'],
      [[a], 'x'],
      [[a, b], 'y'],
    ] as const)
      memory.recall(objects, words, work)
    expect(work).toHaveBeenCalledTimes(6)
  })

  test('the longest unused is forgotten first', () => {
    const memory = new Memory<number>(2)
    const work = vi.fn(() => 1)
    for (const words of ['a', 'b', 'a', 'c', 'a']) memory.recall([], words, work)
    expect(work).toHaveBeenCalledTimes(3)
    memory.recall([], 'b', work)
    expect(work).toHaveBeenCalledTimes(4)
  })

  test('what was worked out as nothing is remembered too', () => {
    const memory = new Memory<undefined>(2)
    const work = vi.fn(() => undefined)
    memory.recall([], 'a', work)
    memory.recall([], 'a', work)
    expect(work).toHaveBeenCalledTimes(1)
  })
})

describe('memory by revision', () => {
  test('until the data changes, once; asked by many at once, once; inside a transaction, always', async () => {
    const memory = new RevisionMemory<number>()
    const work = vi.fn(async () => 1)
    await Promise.all([1, 2, 3].map(() => memory.recall(store, 'k', work)))
    expect(work).toHaveBeenCalledTimes(1)
    await memory.recall(store, 'k', work)
    expect(work).toHaveBeenCalledTimes(1)
    await store.transaction((tx) => tx.insert('person', { name: 'Ida' }))
    await memory.recall(store, 'k', work)
    expect(work).toHaveBeenCalledTimes(1)
    await store.transaction((tx) => tx.insert('supplier', { name: 'Quay', currency: 'EUR' }))
    await memory.recall(store, 'k', work)
    expect(work).toHaveBeenCalledTimes(2)
    await store.transaction((tx) => memory.recall(tx, 'k', work))
    expect(work).toHaveBeenCalledTimes(3)
  })

  test('what failed is not remembered', async () => {
    const memory = new RevisionMemory<number>()
    await expect(memory.recall(store, 'k', () => Promise.reject(new Error('no')))).rejects.toThrow(
      'no',
    )
    expect(await memory.recall(store, 'k', async () => 4)).toBe(4)
  })
})

describe('what is remembered is what a fresh reading gives', () => {
  beforeEach(() => importDocument(store, demoDocument()))

  test('pairing rows after a measurement are those of a new start', async () => {
    const rows = async (from: Store) => [
      await listPairings(from, 'lantern'),
      await pairingRows(from, await viewBuild(from, 'lantern')),
    ]
    await rows(store)
    await measure('bottomMm', -14)
    await measure('boreMm', 25.002)
    const copy = await copyOf(knex)
    expect(await rows(store)).toEqual(await rows(new Store(copy)))
    await copy.destroy()
  })

  test('a measurement changes the part it is of, and no other: the rest stay the same objects', async () => {
    const before = await loadCatalogue(store, 'lantern')
    await measure('bottomMm', -13.5)
    const after = await loadCatalogue(store, 'lantern')
    const changed = [...after.parts]
      .filter(([id, part]) => before.parts.get(id) !== part)
      .map(([id]) => id)
    expect(changed).toEqual(['quill-late'])
    expect(after.trade).toBe(before.trade)
  })

  test('what has nothing to do with parts or market leaves both as they were', async () => {
    const before = await loadCatalogue(store, 'lantern')
    await store.transaction((tx) => tx.insert('person', { name: 'Somebody' }))
    const after = await loadCatalogue(store, 'lantern')
    expect([
      after.trade === before.trade,
      after.parts === before.parts,
      after.tolerances === before.tolerances,
    ]).toEqual([true, true, true])
  })
})
