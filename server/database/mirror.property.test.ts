import fc from 'fast-check'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { type Database, openDatabase } from './sqlite/connection.ts'
import { Store } from './store.ts'

let knex: Database
let store: Store
beforeAll(async () => {
  knex = await openDatabase(':memory:')
  store = new Store(knex)
})
afterAll(() => knex.destroy())

const act = fc.record({
  how: fc.constantFrom('insert', 'update', 'remove', 'fail', 'many'),
  which: fc.nat({ max: 9 }),
  name: fc.string({ minLength: 1, maxLength: 4 }),
})

test('what is kept in memory is what the database holds, after any commands, those that failed among them', async () => {
  let made = 0
  await fc.assert(
    fc.asyncProperty(fc.array(act, { maxLength: 12 }), async (acts) => {
      for (const { how, which, name } of acts) {
        const rows = await store.list('supplier')
        const row = rows[which % Math.max(1, rows.length)]
        const fresh = () => ({ name: `${name} ${++made}`, currency: 'EUR' })
        if (how === 'insert') await store.transaction((tx) => tx.insert('supplier', fresh()))
        if (how === 'many')
          await store.transaction((tx) =>
            tx.insertMany('supplier', [{ id: `m${++made}`, ...fresh() }]),
          )
        if (how === 'update' && row)
          await store.transaction((tx) =>
            tx.update('supplier', row.id, row.version, { place: name }),
          )
        if (how === 'remove' && row) await store.transaction((tx) => tx.remove('supplier', row.id))
        if (how === 'fail')
          await store
            .transaction(async (tx) => {
              await tx.insert('supplier', fresh())
              throw new Error('not after all')
            })
            .catch(() => undefined)
        expect(await store.list('supplier')).toEqual(await store.read('supplier'))
        if (row)
          expect(await store.find('supplier', row.id)).toEqual(
            (await store.read('supplier', { id: row.id }))[0] ?? null,
          )
      }
    }),
    { numRuns: 40, seed: 7 },
  )
})

test('rows nobody wrote stay the same objects; inside a transaction its own writes are seen', async () => {
  const [first, second] = await Promise.all(
    ['One', 'Two'].map((name) => store.transaction((tx) => tx.insert('person', { name }))),
  )
  const before = await store.find('person', first!.id)
  await store.transaction(async (tx) => {
    await tx.update('person', second!.id, second!.version, { name: 'Third' })
    expect((await tx.list('person')).map((row) => row.name)).toContain('Third')
    expect((await store.find('person', first!.id)) === before).toBe(true)
  })
  expect((await store.find('person', first!.id)) === before).toBe(true)
  expect((await store.find('person', second!.id))?.name).toBe('Third')
})
