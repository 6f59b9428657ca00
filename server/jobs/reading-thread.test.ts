import { mkdtempSync, renameSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { MessageChannel } from 'node:worker_threads'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { demoDocument } from '../../demo/index.ts'
import { type Database, openDatabase } from '../database/sqlite/connection.ts'
import { Store } from '../database/store.ts'
import { importDocument } from '../services/builds/build-document.ts'
import { addClaim } from '../services/catalogue/parts.ts'
import { decide } from '../services/planning/decisions.ts'
import { ReadingThread } from './reading-thread.ts'
import { readAs } from './readings.ts'

let knex: Database
let store: Store
const readings = new ReadingThread()
beforeAll(async () => {
  knex = await openDatabase(join(mkdtempSync(join(tmpdir(), 'junket-reading-')), 'junket.sqlite'))
  store = new Store(knex)
  await importDocument(store, demoDocument())
})
afterAll(async () => {
  await readings.close()
  await knex.destroy()
})
const here = async (...args: Parameters<typeof readAs>) =>
  JSON.parse(new TextDecoder().decode(await readAs(...args)))

test('what the thread answers is what would be answered here, before and right after a change', async () => {
  const pairing = ['lantern', 'wick-2', 'marlund-4', null, undefined] as const
  expect(await readings.ask(store, 'builds')).toEqual(await here(store, 'builds', []))
  expect(await readings.ask(store, 'header', 'lantern')).toEqual(
    await here(store, 'header', ['lantern']),
  )
  expect(await readings.ask(store, 'pairing', ...pairing)).toEqual(
    await here(store, 'pairing', pairing),
  )
  expect(await readings.ask(store, 'setAside')).toEqual({ items: [] })
  const before = await readings.ask(store, 'parts', 'lantern')
  for (const line of before.lines.slice(0, 4)) {
    await decide(store, 'lantern', { needId: line.id, act: 'drop' }, () =>
      readings.ask(store, 'lineStanding', 'lantern', line.id),
    )
    const after = (await (await readings.json(store, 'parts', 'lantern')).json()) as typeof before
    expect([
      after.lines.some(({ id }) => id === line.id),
      after.dropped.some(({ id }) => id === line.id),
    ]).toEqual([false, true])
  }
  await addClaim(store, {
    portId: 'quill-late/pilot-bore/crank',
    field: 'bottomMm',
    value: -14,
    grade: 'measured',
    decimal: 'ask',
    thisVeryPart: false,
  })
  expect(await readings.ask(store, 'pairings', 'lantern')).toEqual(
    await here(store, 'pairings', ['lantern']),
  )
})

test('what cannot be done is told as it would be here, and what is handed on arrives', async () => {
  await expect(readings.ask(store, 'header', 'nowhere')).rejects.toMatchObject({
    status: 404,
    message: expect.stringContaining('nowhere'),
  })
  await expect(readings.file(store, 'facePdf', 'wick-2', 'left', 'A4')).rejects.toMatchObject({
    status: 422,
  })
  expect(
    new TextDecoder().decode(
      (await readings.file(store, 'platePdf', 'lantern', 'wick-2', 'marlund-4', 'A4')).slice(0, 5),
    ),
  ).toBe('%PDF-')
  const { port1, port2 } = new MessageChannel()
  const arrived = new Promise<{ needs: unknown[] }>((done) => port2.once('message', done))
  expect((await readings.hand(store, 'solve', ['lantern'], port1)).madeFrom).toMatch(
    /^[0-9a-f]{32}$/,
  )
  expect((await arrived).needs.length).toBeGreaterThan(10)
  port2.close()
})

test('many who ask the same at once are answered by one reading; after it is closed the next to ask opens another', async () => {
  const answers = await Promise.all(
    Array.from({ length: 30 }, () =>
      readings.json(store, 'budget', 'lantern').then((answer) => answer.text()),
    ),
  )
  expect(new Set(answers).size).toBe(1)
  await readings.close()
  // A file that somebody else holds could not be left so.
  await knex.raw('PRAGMA journal_mode = DELETE')
  await knex.raw('PRAGMA journal_mode = WAL')
  await store.transaction((tx) => tx.insert('person', { name: 'Reader' }))
  expect(await (await readings.json(store, 'budget', 'lantern')).text()).toBe(answers[0])
})

test('another file may take the place of one it let go of: the same thread reads that, and hears of its changes', async () => {
  const file = store.file!
  const names = async () =>
    (await readings.ask(store, 'builds')).items.map(({ build }) => build.name)
  const rename = (name: string) =>
    store.transaction(async (tx) => {
      const { version } = await tx.get('build', 'lantern')
      return tx.update('build', 'lantern', version, { name })
    })
  const before = await names()
  await rename('Renamed')
  expect(await names()).toContain('Renamed')
  await knex.raw('VACUUM INTO ?', [`${file}.later`])
  await rename('Lantern')
  expect(await names()).toEqual(before)

  await readings.letGo()
  await knex.destroy()
  for (const ending of ['-wal', '-shm']) rmSync(`${file}${ending}`, { force: true })
  renameSync(`${file}.later`, file)
  knex.initialize()
  store.replaced()
  expect(await names()).toContain('Renamed')
  await rename('Renamed again')
  expect(await names()).toContain('Renamed again')
})
