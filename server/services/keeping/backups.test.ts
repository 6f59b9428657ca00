import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Sqlite from 'better-sqlite3'
import { expect, test } from 'vitest'
import { demoDocument } from '../../../demo/index.ts'
import { createApp } from '../../app.ts'
import { MIGRATIONS, openDatabase } from '../../database/sqlite/connection.ts'
import { inspectFile } from '../../database/sqlite/inspect.ts'
import { Store } from '../../database/store.ts'
import { JobRunner } from '../../jobs/runner.ts'
import { RestoreGate } from '../../restore-gate.ts'
import { importDocument } from '../builds/build-document.ts'
import { loadCatalogue } from '../catalogue/catalogue.ts'
import { PhotoFiles, photoFolder } from '../catalogue/photo-files.ts'
import { Backups } from './backups.ts'

const fileIn = (): string => join(mkdtempSync(join(tmpdir(), 'junket-backup-')), 'junket.sqlite')

test('a backup put back gives the data as it was, keeps the data as it is, and nothing remembered answers for it', async () => {
  const file = fileIn()
  const knex = await openDatabase(file)
  const store = new Store(knex)
  const backups = new Backups(file)
  const made = await store.transaction((tx) => tx.insert('part', { kind: 'disc', name: 'Before' }))
  const kept = await backups.make('asked')
  await store.transaction((tx) => tx.update('part', made.id, 1, { name: 'After' }))
  expect((await loadCatalogue(store, null)).parts.get(made.id)!.name).toBe('After')
  const { kept: undo } = await backups.restore(store, kept.name, new RestoreGate())
  expect((await loadCatalogue(store, null)).parts.get(made.id)!.name).toBe('Before')
  await backups.restore(store, undo, new RestoreGate())
  expect((await store.get('part', made.id)).name).toBe('After')
  await store.transaction((tx) =>
    tx.update('part', made.id, 2, { name: 'Written after two restores' }),
  )
  expect(backups.list().map((one) => one.why)).toEqual([
    'before-restore',
    'before-restore',
    'asked',
  ])
  await knex.destroy()
})

test('a backup holds the pictures too: one that is lost comes back with it', async () => {
  const file = fileIn()
  const knex = await openDatabase(file)
  const store = new Store(knex)
  const backups = new Backups(file)
  const photos = new PhotoFiles(photoFolder(join(file, '..')))
  const hash = 'a'.repeat(64)
  await photos.put(hash, Buffer.from('picture'), Buffer.from('small'))
  const kept = await backups.make('asked')
  rmSync(photos.folder, { recursive: true })
  await expect(photos.read(hash, 'jpg')).rejects.toThrow(/not here/)
  await backups.restore(store, kept.name, new RestoreGate())
  expect((await photos.read(hash, 'jpg')).toString()).toBe('picture')
  expect((await photos.read(hash, 'webp')).toString()).toBe('small')
  await Promise.all([backups.close(), knex.destroy()])
})

test('the first start of a day makes one backup, the second none; a damaged one is refused and nothing is changed', async () => {
  const file = fileIn()
  const knex = await openDatabase(file)
  const store = new Store(knex)
  const backups = new Backups(file)
  await store.insert('supplier', { name: 'Kept', currency: 'EUR' })
  const day = await backups.makeOfDay(new Date('2026-03-01T07:00:00Z'))
  expect(day).toMatchObject({ why: 'day', at: '2026-03-01T07:00:00.000Z' })
  expect(await backups.makeOfDay(new Date('2026-03-01T19:00:00Z'))).toBeNull()
  expect(await backups.makeOfDay(new Date('2026-03-02T07:00:00Z'))).not.toBeNull()
  const folder = join(file, '..', 'backups')
  writeFileSync(join(folder, day!.name), 'not a database at all')
  await expect(backups.restore(store, day!.name, new RestoreGate())).rejects.toThrow(
    /no data file of Junket/,
  )
  await expect(backups.restore(store, '../junket.sqlite', new RestoreGate())).rejects.toThrow(
    /no backup called/,
  )
  expect((await store.list('supplier')).map((row) => row.name)).toEqual(['Kept'])
  expect(readdirSync(folder).filter((name) => name.endsWith('.partial'))).toEqual([])
  await knex.destroy()
})

test('only the newest sixty of the days are kept; those asked for stay', async () => {
  const file = fileIn()
  const knex = await openDatabase(file)
  const backups = new Backups(file)
  await backups.make('asked', new Date('2025-01-01T00:00:00Z'))
  for (let day = 0; day < 63; day++) await backups.make('day', new Date(Date.UTC(2026, 0, 1 + day)))
  const all = backups.list()
  expect([
    all.filter((one) => one.why === 'day').length,
    all.filter((one) => one.why === 'asked').length,
    all[0]!.at,
  ]).toEqual([60, 1, '2026-03-04T00:00:00.000Z'])
  await knex.destroy()
})

test('requests wait while a backup is put back, and none of them fails', async () => {
  const file = fileIn()
  const knex = await openDatabase(file)
  const store = new Store(knex)
  await importDocument(store, demoDocument())
  const jobs = new JobRunner()
  const backups = new Backups(file)
  const app = createApp({ store, jobs, backups })
  const { name } = (await (await app.request('/api/backups', { method: 'POST' })).json()) as {
    name: string
  }
  const answers = await Promise.all([
    app.request('/api/suppliers'),
    app.request(`/api/backups/${name}/restore`, { method: 'POST' }),
    ...Array.from({ length: 20 }, () => app.request('/api/parts?limit=5')),
    app.request('/api/suppliers', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'Written meanwhile', currency: 'EUR' }),
    }),
  ])
  expect(answers.map((answer) => answer.status)).toEqual(answers.map(() => 200))
  await jobs.close()
  await knex.destroy()
})

test('what was written while a backup was checked is in what is kept, said so, and nothing is left beside either file', async () => {
  const file = fileIn()
  const knex = await openDatabase(file)
  const store = new Store(knex)
  await importDocument(store, demoDocument())
  const backups = new Backups(file)
  const gate = new RestoreGate()
  const { name } = await backups.make('asked')
  const restoring = backups.restore(store, name, gate)
  let written = 0
  let isDone = false
  void restoring.finally(() => (isDone = true))
  while (!isDone) {
    await gate.enter(async () => {
      if (!isDone)
        await store.insert('supplier', {
          id: `meanwhile-${written++}`,
          name: `Meanwhile ${written}`,
          currency: 'EUR',
        })
    })
    await new Promise((done) => setTimeout(done, 2))
  }
  const { kept, changesMeanwhile } = await restoring
  const inKept = new Sqlite(join(file, '..', 'backups', kept), { readonly: true })
  const found = (
    inKept.prepare("SELECT count(*) AS n FROM supplier WHERE id LIKE 'meanwhile-%'").get() as {
      n: number
    }
  ).n
  inKept.close()
  expect(changesMeanwhile).toBe(found)
  expect(found).toBeGreaterThan(0)
  expect(found).toBeLessThanOrEqual(written)
  expect(
    readdirSync(join(file, '..', 'backups')).filter((one) => !one.endsWith('.sqlite')),
  ).toEqual([])
  await backups.close()
  await knex.destroy()
  expect(readdirSync(join(file, '..')).sort()).toEqual(['backups', 'junket.sqlite'])
})

test('a backup is of one moment and ends, however much is written meanwhile', async () => {
  const file = fileIn()
  const knex = await openDatabase(file)
  const store = new Store(knex)
  await importDocument(store, demoDocument())
  const backups = new Backups(file)
  let isDone = false
  const making = backups.make('asked').finally(() => (isDone = true))
  let written = 0
  for (; !isDone; written++) {
    await store.insert('supplier', { name: `Unbroken ${written}`, currency: 'EUR' })
    await new Promise((turn) => setImmediate(turn))
  }
  expect(inspectFile(join(file, '..', 'backups', (await making).name), true)).toEqual({
    isSound: true,
  })
  expect(written).toBeGreaterThan(0)
  await backups.close()
  await knex.destroy()
})

test('where the change of files fails, the data is back as it was, and said so', async () => {
  const file = fileIn()
  const knex = await openDatabase(file)
  const store = new Store(knex)
  await store.insert('supplier', { name: 'Kept', currency: 'EUR' })
  const backups = new Backups(file)
  const { name } = await backups.make('asked')
  await store.insert('supplier', { name: 'Since', currency: 'EUR' })
  const own = Object.getOwnPropertyDescriptor(knex, 'migrate')!
  const failing = async (): Promise<never> => {
    Object.defineProperty(knex, 'migrate', own)
    throw new Error('the disk went away')
  }
  Object.defineProperty(knex, 'migrate', { configurable: true, get: () => ({ latest: failing }) })
  await expect(backups.restore(store, name, new RestoreGate())).rejects.toThrow(
    /could not be put in place \(the disk went away\).*back as it was/,
  )
  expect((await store.list('supplier')).map((row) => row.name)).toEqual(['Kept', 'Since'])
  await store.insert('supplier', { name: 'After', currency: 'EUR' })
  await backups.close()
  await knex.destroy()
})

test('a restore gives up on work that does not end, and nobody waits long for a restore', async () => {
  const gate = new RestoreGate(undefined, 50)
  let end = (): void => {}
  const long = gate.enter(() => new Promise<void>((done) => (end = done)))
  await expect(gate.alone(async () => 'done')).rejects.toMatchObject({ status: 503 })
  end()
  await long
  expect(await gate.alone(async () => 'done')).toBe('done')
  const held = gate.alone(() => new Promise<void>((done) => (end = done)))
  await expect(gate.enter(async () => 'read')).rejects.toMatchObject({
    status: 503,
    message: expect.stringContaining('being put back'),
  })
  end()
  await held
  expect(await gate.enter(async () => 'read')).toBe('read')
})

// Each migration upgrades a file of the version before it.
test('a file of the first version is brought up to date: its rows stay, inches become the unit of length', async () => {
  const file = fileIn()
  const old = await openDatabase(file, MIGRATIONS.slice(0, 1))
  await old('supplier').insert({ id: 's', name: 'Old quay', currency: 'EUR' })
  await old('setting').insert({ id: 'lengthUnit', value: '{"v":1,"data":"in"}' })
  await old('history').insert({
    at: '2026-01-01',
    who: 'bench',
    entity: 'supplier',
    entityId: 's',
    act: 'insert',
    after: '{"v":1,"data":{"name":"Old quay"}}',
  })
  await old.destroy()
  const knex = await openDatabase(file)
  const store = new Store(knex)
  expect((await store.get('supplier', 's')).name).toBe('Old quay')
  expect((await store.list('setting')).map((row) => [row.id, row.value])).toEqual([
    ['units', { mm: 'in' }],
  ])
  expect(await store.revision()).toBe(1)
  expect(await store.insert('person', { name: 'Ida' })).toMatchObject({ decimal: 'ask' })
  await knex.destroy()
})

test('a file of the fourth version is brought up to date: its rows stay, what is asked for by value has its index', async () => {
  const file = fileIn()
  const old = await openDatabase(file, MIGRATIONS.slice(0, 4))
  await old('supplier').insert({ id: 's', name: 'Old quay', currency: 'EUR' })
  await old('job').insert({
    id: 'j',
    kind: 'sourcing',
    subjectId: 'b',
    status: 'done',
    started: '2026-01-01',
  })
  await old.destroy()
  const knex = await openDatabase(file)
  expect((await new Store(knex).get('supplier', 's')).name).toBe('Old quay')
  const names = ((await knex('sqlite_master').select('name')) as { name: string }[]).map(
    ({ name }) => name,
  )
  expect([
    names.includes('job'),
    names.includes('part_by_owner_id'),
    names.includes('donor_item_by_donor_id'),
  ]).toEqual([false, true, true])
  await knex.destroy()
})
