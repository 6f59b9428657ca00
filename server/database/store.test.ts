import { afterAll, beforeAll, expect, test } from 'vitest'
import { restoreEntry } from '../services/keeping/history.ts'
import { type Database, openDatabase } from './sqlite/connection.ts'
import { Store } from './store.ts'
import { shapeOf, TABLE_NAMES } from './tables.ts'

let knex: Database
let store: Store

beforeAll(async () => {
  knex = await openDatabase(':memory:')
  store = new Store(knex, 'Ida')
})
afterAll(() => knex.destroy())

test('flags, JSON and empty columns come back as they went in', async () => {
  const build = await store.insert('build', {
    name: 'One',
    currency: 'EUR',
    mustWork: ['heater'],
    inspection: false,
  })
  expect(await store.get('build', build.id)).toMatchObject({
    mustWork: ['heater'],
    inspection: false,
    likeForLikeMinor: null,
    version: 1,
  })
  await store.update('build', build.id, 1, { inspection: null, mustWork: [] })
  expect(await store.get('build', build.id)).toMatchObject({
    mustWork: [],
    inspection: null,
    version: 2,
  })
})

test('JSON columns hold their version beside their data', async () => {
  const row = await knex('build').first('must_work as mustWork')
  expect(JSON.parse(row.mustWork)).toEqual({ v: 1, data: [] })
})

test('the history tells who, what, from what, to what', async () => {
  const supplier = await store.insert('supplier', { name: 'Quay', currency: 'EUR' })
  await store.update('supplier', supplier.id, 1, { name: 'Quayside' })
  await store.remove('supplier', supplier.id, 2)
  const rows = await knex('history').where({ entityId: supplier.id }).orderBy('id')
  expect(rows.map((row) => [row.who, row.act])).toEqual([
    ['Ida', 'insert'],
    ['Ida', 'update'],
    ['Ida', 'remove'],
  ])
  expect(JSON.parse(rows[1].before).data).toEqual({ name: 'Quay' })
  expect(JSON.parse(rows[1].after).data).toEqual({ name: 'Quayside' })
})

test('the history cannot be changed', async () => {
  await expect(knex('history').update({ who: 'Nobody' })).rejects.toThrow(/append-only/)
})

test('a removed part comes back whole: numbers, ports, claims', async () => {
  const part = await store.insert('part', { kind: 'disc', name: 'Disc' })
  const issuer = await store.insert('issuer', { name: 'ABC' })
  await store.insert('partNumber', {
    partId: part.id,
    issuerId: issuer.id,
    number: '1',
    normalised: '1',
  })
  const port = await store.insert('port', {
    id: `${part.id}/disc-hub/main`,
    partId: part.id,
    kind: 'disc-hub',
    slot: 'main',
  })
  await store.insert('claim', { portId: port.id, field: 'startMm', value: -6, grade: 'measured' })
  const whole = async (): Promise<unknown> =>
    [
      await store.list('partNumber', { partId: part.id }),
      await store.list('port', { partId: part.id }),
      await store.list('claim', { portId: port.id }),
    ]
      .flat()
      .map(({ version: _, ...row }) => row)
  const before = await whole()
  const trash = await store.remove('part', part.id)
  expect(await whole()).toEqual([])
  await store.restore(trash)
  expect(await whole()).toEqual(before)
  await expect(store.restore(trash)).rejects.toThrow(/put back already/)
})

test('a transaction that fails leaves nothing, not even history', async () => {
  const revision = await store.revision()
  const failed = store.transaction(async (tx) => {
    await tx.insert('supplier', { name: 'Half', currency: 'EUR' })
    throw new Error('broken off')
  })
  await expect(failed).rejects.toThrow('broken off')
  expect([await store.list('supplier', { name: 'Half' }), await store.revision()]).toEqual([
    [],
    revision,
  ])
})

test('what must hold is held by the database: money is whole, a grade is known, references exist', async () => {
  await expect(
    store.insert('offer', { partId: 'none', supplierId: 'none', currency: 'EUR' }),
  ).rejects.toThrow(/FOREIGN KEY/)
  await expect(
    store.insert('supplier', { name: 'Cents', currency: 'EUR', minimumMinor: 10.5 }),
  ).rejects.toThrow(/CHECK/)
  const part = await store.insert('part', { kind: 'disc', name: 'Other' })
  const port = await store.insert('port', {
    id: `${part.id}/disc-hub/main`,
    partId: part.id,
    kind: 'disc-hub',
    slot: 'main',
  })
  await expect(
    store.insert('claim', { portId: port.id, field: 'startMm', value: 1, grade: 'sure' }),
  ).rejects.toThrow(/CHECK/)
  await expect(store.insert('part', { kind: 'disc', name: '' })).rejects.toThrow(/CHECK/)
})

test('one default per kind and owner', async () => {
  const engine = await store.insert('part', { kind: 'engine', name: 'Engine' })
  await store.insert('part', { kind: 'flywheel', name: 'A', ownerId: engine.id })
  await expect(
    store.insert('part', { kind: 'flywheel', name: 'B', ownerId: engine.id }),
  ).rejects.toThrow(/UNIQUE/)
  await store.insert('part', { kind: 'flywheel', name: 'C', ownerId: engine.id, isDefault: false })
})

test('many rows in batches, each with its history', async () => {
  const rows = Array.from({ length: 730 }, (_, i) => ({
    id: `bulk-${i}`,
    name: `Bulk ${i}`,
    currency: 'EUR',
    place: null,
    minimumMinor: 0,
    shippingMinor: i,
    freeOverMinor: null,
  }))
  const before = await store.revision()
  await store.insertMany('supplier', rows)
  expect(await store.revision()).toBe(before + 730)
  expect(
    await store.listIn(
      'supplier',
      'id',
      rows.map((row) => row.id),
    ),
  ).toHaveLength(730)
  await store.insertMany('supplier', [])
})

test('every table named is there, with a version, and refers only to tables named', async () => {
  for (const table of TABLE_NAMES) {
    const columns = Object.keys(await knex(table).columnInfo())
    expect([table, columns.includes('version')]).toEqual([table, true])
    for (const target of Object.values(shapeOf(table).refs ?? {}))
      expect(TABLE_NAMES).toContain(target)
  }
})

test('a database that is up to date has no migration left to run', async () => {
  const [, run] = await knex.migrate.latest()
  expect(run).toEqual([])
})

test('a part never comes to own itself, whichever way it is written; what goes round already still ends', async () => {
  const add = (id: string, ownerId: string | null) =>
    store.transaction((tx) =>
      tx.insert('part', { id, kind: 'engine', name: id, isDefault: true, ownerId }),
    )
  await add('a', null)
  await add('b', 'a')
  await add('c', 'b')
  await expect(
    store.transaction((tx) =>
      tx.insert('part', { id: 'd', kind: 'engine', name: 'd', isDefault: true, ownerId: 'd' }),
    ),
  ).rejects.toThrow(/come with itself/)
  for (const owner of ['a', 'b', 'c'])
    await expect(
      store.transaction((tx) => tx.update('part', 'a', 1, { ownerId: owner })),
    ).rejects.toThrow(/come with itself/)
  await store.transaction((tx) => tx.update('part', 'c', 1, { ownerId: null }))
  await store.transaction((tx) => tx.update('part', 'a', 1, { ownerId: 'c' }))
  // An undo is a write like any other: c back under b would close the circle.
  const entry = await knex('history')
    .where({ entity: 'part', entityId: 'c', act: 'update' })
    .first('id')
  await expect(restoreEntry(store, entry.id)).rejects.toThrow(/come with itself/)
  await knex('part').where({ id: 'c' }).update({ ownerId: 'b' })
  const trash = await store
    .transaction((tx) => tx.remove('part', 'a'))
    .catch((error: Error) => error)
  expect(typeof trash === 'string' || trash instanceof Error).toBe(true)
})

test('nothing is written that could not be read again', async () => {
  await expect(
    store.transaction((tx) => tx.insert('supplier', { name: 'S', currency: 'ZZZ' })),
  ).rejects.toMatchObject({ status: 422, extra: { errors: [{ path: 'currency' }] } })
  expect((await store.list('supplier')).map((row) => row.name)).not.toContain('S')
})

test('JSON is read in the version it was written in: another one is set aside with the reason, not read as if', async () => {
  const setting = await store.insert('setting', { id: 'units', value: { mm: 'in' } })
  await knex('setting')
    .where({ id: setting.id })
    .update({ value: JSON.stringify({ v: 2, data: { mm: 'in' } }) })
  const fresh = new Store(knex)
  fresh.replaced()
  expect(await fresh.list('setting')).toEqual([])
  await expect(fresh.get('setting', 'units')).rejects.toThrow(/version 2; version 1 is read/)
})
