import {
  appendFileSync,
  copyFileSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  truncateSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Sqlite from 'better-sqlite3'
import { afterEach, beforeAll, expect, test, vi } from 'vitest'
import { openDatabase } from './database/sqlite/connection.ts'
import { inspectFile } from './database/sqlite/inspect.ts'
import { Store } from './database/store.ts'
import { checkPasscode, openData, StartFault } from './opening.ts'
import { Backups } from './services/keeping/backups.ts'

let sound = ''
beforeAll(async () => {
  const data = mkdtempSync(join(tmpdir(), 'junket-sound-'))
  sound = join(data, 'junket.sqlite')
  const knex = await openDatabase(sound)
  const store = new Store(knex)
  await store.transaction(async (tx) => {
    for (let i = 0; i < 400; i++)
      await tx.insert('supplier', { name: `Quay ${i} ${'x'.repeat(90)}`, currency: 'EUR' })
  })
  const backups = new Backups(sound)
  await backups.make('asked', new Date('2026-02-03T04:05:06Z'))
  await backups.close()
  await knex.destroy()
})
afterEach(() => void vi.unstubAllEnvs())

const BACKUP = 'junket-2026-02-03T04-05-06-000-asked.sqlite'

/** A data folder with a sound file and a sound backup, spoilt by what is given. */
function folder(spoil: (file: string, data: string) => void): string {
  const data = mkdtempSync(join(tmpdir(), 'junket-open-'))
  const file = join(data, 'junket.sqlite')
  mkdirSync(join(data, 'backups'))
  copyFileSync(join(sound, '..', 'backups', BACKUP), join(data, 'backups', BACKUP))
  copyFileSync(join(sound, '..', 'backups', BACKUP), file)
  spoil(file, data)
  return data
}
const within = (file: string, statement: string): void => {
  const open = new Sqlite(file)
  open.exec(statement)
  open.close()
}

test.each<[string, (file: string) => void, RegExp]>([
  [
    'garbage',
    (file) =>
      writeFileSync(file, 'nothing like it at all, but long enough to have a header '.repeat(20)),
    /begins with something else/,
  ],
  ['a file cut short', (file) => truncateSync(file, 20_000), /is cut short/],
  [
    'damaged pages',
    (file) => {
      const bytes = readFileSync(file)
      bytes.fill(0xa5, 12_000, bytes.length - 8192)
      writeFileSync(file, bytes)
    },
    /is damaged/,
  ],
  [
    'a newer version',
    (file) =>
      within(
        file,
        "INSERT INTO knex_migrations (name, batch, migration_time) VALUES ('20991231_0001_from_tomorrow', 9, 0)",
      ),
    /newer Junket.*20991231_0001_from_tomorrow/,
  ],
  [
    'another program',
    (file) => {
      writeFileSync(file, '')
      within(file, 'CREATE TABLE recipes (id INTEGER)')
    },
    /another program/,
  ],
  [
    'an empty file beside backups',
    (file) => writeFileSync(file, ''),
    /is empty, but there are backups/,
  ],
  ['a missing file beside backups', (file) => writeFileSync(`${file}-gone`, ''), /./],
])(
  '%s is told with the file, what is wrong, and the command that restores a sound backup',
  async (name, spoil, words) => {
    const data = folder(spoil)
    if (name === 'a missing file beside backups')
      (await import('node:fs')).rmSync(join(data, 'junket.sqlite'))
    const fault = await openData({ data, command: 'npm start' }).catch((error: unknown) => error)
    expect(fault).toBeInstanceOf(StartFault)
    const { message } = fault as StartFault
    expect(message).toContain(join(data, 'junket.sqlite'))
    expect(message).toMatch(words)
    expect(message).toContain(`npm start -- --restore ${BACKUP}`)
    // The command does what it says, and what stood there is kept.
    vi.spyOn(console, 'log').mockImplementation(() => undefined)
    const file = await openData({ data, command: 'npm start', restore: BACKUP })
    expect(inspectFile(file, true)).toEqual({ isSound: true })
    const knex = await openDatabase(file)
    expect((await new Store(knex).list('supplier')).length).toBe(400)
    await knex.destroy()
  },
)

test.each<[string, () => string, RegExp]>([
  [
    'a data folder that is a file',
    () => {
      const path = join(mkdtempSync(join(tmpdir(), 'junket-open-')), 'data')
      writeFileSync(path, '')
      return path
    },
    /is not a folder/,
  ],
  [
    'a data file that is a folder',
    () => {
      const data = mkdtempSync(join(tmpdir(), 'junket-open-'))
      mkdirSync(join(data, 'junket.sqlite'))
      return data
    },
    /is a folder, not a file.*no backup beside it/s,
  ],
  ['a folder nobody may write to', () => '/proc/junket', /cannot be written to/],
])('%s is told too', async (_, made, words) => {
  await expect(openData({ data: made(), command: 'npm start' })).rejects.toThrow(words)
})

test('backups that are not sound are not offered; where none is, it says so', async () => {
  const data = folder((file, into) => {
    writeFileSync(file, 'x'.repeat(500))
    writeFileSync(join(into, 'backups', BACKUP), 'y'.repeat(500))
  })
  await expect(openData({ data, command: 'npm start' })).rejects.toThrow(
    /None of the 1 newest backups .* is sound/,
  )
  await expect(openData({ data, command: 'npm start', restore: BACKUP })).rejects.toThrow(
    /begins with something else\. Nothing was changed/,
  )
  await expect(openData({ data, command: 'npm start', restore: 'none' })).rejects.toThrow(
    /There is no backup none/,
  )
})

test('an empty folder is a new shop; so is an empty file when that is what is wanted', async () => {
  const data = mkdtempSync(join(tmpdir(), 'junket-open-'))
  expect(await openData({ data, command: 'npm start' })).toBe(join(data, 'junket.sqlite'))
  const emptied = folder((file) => writeFileSync(file, ''))
  expect(await openData({ data: emptied, command: 'npm start', isEmptyWanted: true })).toBe(
    join(emptied, 'junket.sqlite'),
  )
})

test('a passcode file that holds none is told at the start', () => {
  const file = join(mkdtempSync(join(tmpdir(), 'junket-open-')), 'passcode')
  checkPasscode(file)
  writeFileSync(file, 'hunter2')
  expect(() => checkPasscode(file)).toThrow(/no passcode that can be read/)
})

test('looking at a file leaves it and its folder as they were', async () => {
  const data = folder((file) => appendFileSync(file, ''))
  const file = join(data, 'junket.sqlite')
  const before = readFileSync(file)
  expect(inspectFile(file, true)).toEqual({ isSound: true })
  expect(readFileSync(file).equals(before)).toBe(true)
  expect((await import('node:fs')).readdirSync(data).sort()).toEqual(['backups', 'junket.sqlite'])
})
