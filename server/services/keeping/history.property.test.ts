import fc from 'fast-check'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { actAs } from '../../database/actor.ts'
import { type Database, openDatabase } from '../../database/sqlite/connection.ts'
import { type Row, Store } from '../../database/store.ts'
import type { TableName } from '../../database/tables.ts'
import { ConflictError } from '../../errors.ts'
import { addClaim, createPart } from '../catalogue/parts.ts'
import { listHistory, listTrash, restoreEntry, undoCommand } from './history.ts'

let knex: Database
let store: Store
beforeAll(async () => {
  knex = await openDatabase(':memory:')
  store = new Store(knex)
})
afterAll(() => knex.destroy())

const TABLES = [
  'supplier',
  'part',
  'partNumber',
  'port',
  'claim',
  'kit',
  'kitItem',
  'portValue',
] as const
/** Everything there is, without versions: what must come back. */
const snapshot = async (): Promise<string> => {
  const all = await Promise.all(
    TABLES.map(async (table) => (await knex(table)).map(({ version: _, ...row }) => row)),
  )
  return JSON.stringify(all.map((rows) => rows.map((row) => JSON.stringify(row)).sort()))
}

let commands = 0
/** Runs work as one command; returns its name. */
const as = async (work: () => Promise<unknown>, who = 'Ida'): Promise<string> => {
  const command = `command-${++commands}`
  await actAs({ who, command }, work)
  return command
}
const pick = async (table: TableName, index: number): Promise<Row | undefined> => {
  const rows = await store.list(table)
  return rows[index % Math.max(1, rows.length)]
}

type Step = readonly [
  what: 'supplier' | 'part' | 'rename' | 'claim' | 'kit' | 'drop part' | 'drop supplier' | 'undo',
  index: number,
]
const step: fc.Arbitrary<Step> = fc.tuple(
  fc.constantFrom(
    'supplier',
    'part',
    'rename',
    'claim',
    'kit',
    'drop part',
    'drop supplier',
    'undo',
  ),
  fc.nat(40),
)

/** Does one step; null where there was nothing to do it to, or something else still uses it. */
async function perform([what, index]: Step, done: readonly string[]): Promise<string | null> {
  const name = `${what} ${++commands}`
  const part = await pick('part', index)
  const supplier = await pick('supplier', index)
  try {
    switch (what) {
      case 'supplier':
        return await as(() =>
          store.transaction((tx) => tx.insert('supplier', { name, currency: 'EUR' })),
        )
      case 'part':
        return await as(() =>
          createPart(store, {
            kind: 'disc',
            name,
            ports: [{ kind: 'disc-hub', slot: 'main', fields: { startMm: { value: index } } }],
            numbers: [{ issuer: 'QRY', number: name, mark: 'catalogue' }],
          }),
        )
      case 'rename':
        return part
          ? await as(() =>
              store.transaction((tx) => tx.update('part', part.id, part.version, { name })),
            )
          : null
      case 'claim':
        return part
          ? await as(() =>
              addClaim(store, {
                portId: `${part.id}/disc-hub/main`,
                field: 'endMm',
                value: 100 + index,
                decimal: 'ask',
                grade: 'measured',
                thisVeryPart: false,
              }),
            )
          : null
      case 'kit':
        return part && supplier
          ? await as(() =>
              store.transaction(async (tx) => {
                const kit = await tx.insert('kit', {
                  name,
                  supplierId: supplier.id,
                  priceMinor: 100,
                  currency: 'EUR',
                })
                await tx.insert('kitItem', { kitId: kit.id, partId: part.id, quantity: 1 })
              }),
            )
          : null
      case 'drop part':
        return part ? await as(() => store.transaction((tx) => tx.remove('part', part.id))) : null
      case 'drop supplier':
        return supplier
          ? await as(() => store.transaction((tx) => tx.remove('supplier', supplier.id)))
          : null
      default: {
        const command = done[index % Math.max(1, done.length)]
        return command ? await as(() => undoCommand(store, command)) : null
      }
    }
  } catch (error) {
    if (error instanceof ConflictError || /FOREIGN KEY/.test((error as Error).message)) return null
    throw error
  }
}

test('after any history, undoing the last command gives back what was before it, and undoing the undo what was after', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 2, maxLength: 14 }), async (steps) => {
      const done: string[] = []
      for (const one of steps) {
        const before = await snapshot()
        const command = await perform(one, done)
        const after = await snapshot()
        if (command === null) {
          expect(after).toBe(before)
          continue
        }
        const undo = await as(() => undoCommand(store, command))
        expect(await snapshot()).toBe(before)
        await as(() => undoCommand(store, undo))
        expect(await snapshot()).toBe(after)
        done.push(command)
      }
    }),
    { numRuns: 30, seed: 61 },
  )
})

test('a whole session undone from its last command to its first leaves what was there at its start', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 3, maxLength: 12 }), async (steps) => {
      const before = await snapshot()
      const done: string[] = []
      for (const one of steps) {
        const command = await perform(one, done)
        if (command !== null) done.push(command)
      }
      for (const command of done.reverse()) await as(() => undoCommand(store, command))
      expect(await snapshot()).toBe(before)
    }),
    { numRuns: 25, seed: 67 },
  )
})

test('what was changed since is not undone over: both are told and nothing moves', async () => {
  const made = await store.transaction((tx) =>
    tx.insert('supplier', { name: 'Quay', currency: 'EUR' }),
  )
  const rename = await as(() =>
    store.transaction((tx) => tx.update('supplier', made.id, 1, { name: 'Quayside' })),
  )
  await as(
    () => store.transaction((tx) => tx.update('supplier', made.id, 2, { name: 'Quay head' })),
    'Bram',
  )
  const before = await snapshot()
  await expect(as(() => undoCommand(store, rename))).rejects.toThrow(/changed since \(name\)/)
  expect(await snapshot()).toBe(before)
  await expect(as(() => undoCommand(store, 'nobody'))).rejects.toThrow(/nothing to undo/)
})

test('the history of a part tells of its claims too, by person, newest first, and any entry can be put back', async () => {
  let part: Row | undefined
  await as(async () => {
    part = await createPart(store, { kind: 'disc', name: 'Disc of Ida' })
  })
  await as(
    () =>
      store.transaction((tx) =>
        tx.update('part', part!.id, 1, { name: 'Disc of Bram', note: 'worn' }),
      ),
    'Bram',
  )
  await as(
    () =>
      addClaim(store, {
        portId: `${part!.id}/disc-hub/main`,
        field: 'endMm',
        value: 18,
        decimal: 'ask',
        grade: 'measured',
        thisVeryPart: false,
      }),
    'Tove',
  )
  const { items } = await listHistory(store, { entity: 'part', id: part!.id })
  expect(items.map((entry) => [entry.who, entry.entity, entry.act])).toEqual([
    ['Tove', 'claim', 'insert'],
    ['Tove', 'port', 'insert'],
    ['Bram', 'part', 'update'],
    ['Ida', 'part', 'insert'],
  ])
  await restoreEntry(store, items[2]!.id)
  expect(await store.get('part', part!.id)).toMatchObject({ name: 'Disc of Ida', note: null })
  expect((await listHistory(store, { who: 'Tove', limit: 1 })).next).not.toBeNull()

  const claims = await store.list('claim', { portId: `${part!.id}/disc-hub/main` })
  await as(() => store.transaction((tx) => tx.remove('part', part!.id)))
  expect((await listTrash(store))[0]).toMatchObject({
    entity: 'part',
    entityId: part!.id,
    name: 'Disc of Ida',
    rows: 3,
  })
  const removed = (await listHistory(store, { entity: 'part', id: part!.id })).items[0]!
  await restoreEntry(store, removed.id)
  expect(
    (await store.list('claim', { portId: `${part!.id}/disc-hub/main` })).map(
      (claim) => claim.value,
    ),
  ).toEqual(claims.map((claim) => claim.value))
  expect(await listTrash(store)).not.toContainEqual(expect.objectContaining({ entityId: part!.id }))
})
