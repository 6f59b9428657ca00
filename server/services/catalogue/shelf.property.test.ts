import fc from 'fast-check'
import { afterAll, beforeAll, expect, test, vi } from 'vitest'
import { type Database, openDatabase } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { loadCatalogue } from './catalogue.ts'
import { onePart } from './one-part.ts'
import { addClaim, createPart } from './parts.ts'
import { compiledShelf } from './shelf.ts'

let knex: Database
let store: Store
beforeAll(async () => {
  knex = await openDatabase(':memory:')
  store = new Store(knex)
  await store.insert('build', { id: 'b', name: 'B', currency: 'EUR' })
})
afterAll(() => knex.destroy())

const KINDS = ['disc', 'flywheel', 'pilot'] as const
const act = fc.record({
  how: fc.constantFrom('add', 'claim', 'own claim', 'kind', 'owner', 'remove', 'restore', 'many'),
  which: fc.nat(20),
  kind: fc.constantFrom(...KINDS),
  value: fc.integer({ min: 1, max: 90 }),
})

test('what follows the changes is what a fresh reading gives: parts, kinds, owners, for the shop and for a build', async () => {
  const trash: string[] = []
  let made = 0
  await fc.assert(
    fc.asyncProperty(fc.array(act, { maxLength: 14 }), async (acts) => {
      for (const { how, which, kind, value } of acts) {
        const parts = await store.list('part')
        const part = parts[which % Math.max(1, parts.length)]
        if (how === 'add')
          await createPart(store, {
            kind,
            name: `P ${++made}`,
            ports: [{ kind: 'plate', slot: 'main', fields: { thicknessMm: { value } } }],
          })
        if (how === 'many')
          await store.transaction((tx) =>
            tx.insertMany(
              'part',
              Array.from({ length: 310 }, () => ({ id: `m-${++made}`, kind, name: `M ${made}` })),
            ),
          )
        if (how === 'claim' && part)
          await addClaim(store, {
            portId: `${part.id}/plate/main`,
            field: 'thicknessMm',
            typed: String(value),
            decimal: 'ask',
            grade: 'measured',
            thisVeryPart: false,
          })
        if (how === 'own claim' && part)
          await addClaim(store, {
            portId: `${part.id}/plate/main`,
            field: 'thicknessMm',
            typed: String(value),
            decimal: 'ask',
            grade: 'measured',
            thisVeryPart: true,
            build: 'b',
          })
        if (how === 'kind' && part)
          await store.transaction((tx) =>
            tx.update('part', part.id, part.version, { kind, ownerId: null }),
          )
        if (how === 'owner' && part && parts[0])
          await store
            .transaction((tx) =>
              tx.update('part', part.id, part.version, { ownerId: parts[0]!.id, isDefault: false }),
            )
            .catch(() => undefined)
        if (how === 'remove' && part && !(await store.list('specimen', { partId: part.id })).length)
          await store.transaction((tx) => tx.remove('part', part.id)).then((id) => trash.push(id))
        if (how === 'restore' && trash.length > 0)
          await store.transaction((tx) => tx.restore(trash.pop()!)).catch(() => undefined)
        for (const build of [null, 'b']) {
          const shelf = await compiledShelf(store, build)
          const rows = await store.read('part')
          expect([...shelf.parts.keys()].sort()).toEqual(rows.map((row) => row.id).sort())
          for (const one of KINDS)
            expect((shelf.kinds.get(one) ?? []).map(({ id }) => id)).toEqual(
              rows.filter((row) => row.kind === one).map((row) => row.id),
            )
          if (part && shelf.parts.has(part.id) && build === null)
            expect(shelf.parts.get(part.id)).toEqual(await onePart(store, part.id))
          if (rows[0])
            expect(shelf.ownedBy(rows[0].id).map(({ id }) => id)).toEqual(
              rows.filter((row) => row.ownerId === rows[0]!.id).map((row) => row.id),
            )
        }
      }
    }),
    { numRuns: 25, seed: 3 },
  )
})

test('the catalogue is the same object while nothing in it changed, and is never read inside a transaction', async () => {
  const before = await loadCatalogue(store, 'b')
  await store.insert('person', { name: 'Somebody' })
  expect(await loadCatalogue(store, 'b')).toBe(before)
  await store.insert('supplier', { name: 'Seller of nothing', currency: 'EUR' })
  expect(await loadCatalogue(store, 'b')).toBe(before)
  await expect(store.transaction((tx) => loadCatalogue(tx, 'b'))).rejects.toThrow(/plan before it/)
})

test('however many parts change at once, each kind is listed anew once, not once a part', async () => {
  await compiledShelf(store, null)
  const rows = Array.from({ length: 900 }, (_, i) => ({
    id: `flood-${String(i).padStart(4, '0')}`,
    kind: KINDS[i % 3]!,
    name: `Flood ${i}`,
  }))
  await store.transaction((tx) => tx.insertMany('part', rows))
  const sort = vi.spyOn(Array.prototype, 'sort')
  try {
    const shelf = await compiledShelf(store, null)
    expect(sort.mock.calls.length).toBeLessThan(30)
    expect(rows.every(({ id }) => shelf.parts.has(id))).toBe(true)
  } finally {
    sort.mockRestore()
  }
})
