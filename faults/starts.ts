import { spawnSync } from 'node:child_process'
import {
  copyFileSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Sqlite from 'better-sqlite3'
import { post, serve } from '../bench/served.ts'
import { mounted } from './mount.ts'
import { type Outcome, Trial } from './outcome.ts'

interface Broken {
  readonly name: string
  readonly spoil: (data: string, file: string) => void
  readonly env?: Record<string, string>
  readonly says: RegExp
  /** Whether a sound backup is offered with the command that restores it. */
  readonly offers: boolean
}

const sql = (file: string, statement: string): void => {
  const open = new Sqlite(file)
  open.exec(statement)
  open.close()
}

const BROKEN: readonly Broken[] = [
  {
    name: 'garbage',
    spoil: (_, file) => writeFileSync(file, 'no data at all '.repeat(500)),
    says: /begins with something else/,
    offers: true,
  },
  {
    name: 'cut short',
    spoil: (_, file) => truncateSync(file, 30_000),
    says: /is cut short/,
    offers: true,
  },
  {
    name: 'damaged pages',
    spoil: (_, file) => writeFileSync(file, readFileSync(file).fill(0xa5, 12_000, 120_000)),
    says: /is damaged/,
    offers: true,
  },
  {
    name: 'a newer version',
    spoil: (_, file) =>
      sql(
        file,
        "INSERT INTO knex_migrations (name, batch, migration_time) VALUES ('20991231_0001_from_tomorrow', 9, 0)",
      ),
    says: /newer Junket/,
    offers: true,
  },
  {
    name: 'another program’s database',
    spoil: (_, file) => {
      rmSync(file)
      sql(file, 'CREATE TABLE recipes (id INTEGER)')
    },
    says: /another program/,
    offers: true,
  },
  {
    name: 'an empty file beside backups',
    spoil: (_, file) => writeFileSync(file, ''),
    says: /is empty, but there are backups/,
    offers: true,
  },
  {
    name: 'no file beside backups',
    spoil: (_, file) => rmSync(file),
    says: /is not there, but there are backups/,
    offers: true,
  },
  {
    name: 'a folder in place of the file',
    spoil: (_, file) => {
      rmSync(file)
      mkdirSync(file)
    },
    says: /is a folder, not a file/,
    offers: true,
  },
  {
    name: 'a file in place of the folder',
    spoil: (data) => {
      rmSync(data, { recursive: true })
      writeFileSync(data, '')
    },
    says: /is not a folder/,
    offers: false,
  },
  {
    name: 'a passcode too short',
    spoil: () => undefined,
    env: { JUNKET_PASSCODE: 'short' },
    says: /JUNKET_PASSCODE is refused: A passcode has at least 8/,
    offers: false,
  },
  {
    name: 'a passcode file that holds none',
    spoil: (data) => writeFileSync(join(data, 'passcode'), 'x'),
    says: /no passcode that can be read/,
    offers: false,
  },
  {
    name: 'an address this machine has not',
    spoil: () => undefined,
    env: { JUNKET_HOST: '203.0.113.7', JUNKET_PASSCODE: 'gannet-and-gull' },
    says: /no address 203\.0\.113\.7/,
    offers: false,
  },
]

/** Starts that cannot go on: each ends at once, by itself, with which file, what is wrong and what to do. */
export async function started(): Promise<Outcome> {
  const trial = new Trial('starts on broken data')
  const whole = mkdtempSync(join(tmpdir(), 'junket-whole-'))
  const served = await serve(whole, { demo: true })
  const { name } = (await (await post(served.url, '/backups', {})).json()) as { name: string }
  await served.stop()
  const copy = (): string => {
    const data = join(mkdtempSync(join(tmpdir(), 'junket-broken-')), 'data')
    mkdirSync(join(data, 'backups'), { recursive: true })
    copyFileSync(join(whole, 'junket.sqlite'), join(data, 'junket.sqlite'))
    copyFileSync(join(whole, 'backups', name), join(data, 'backups', name))
    return data
  }
  const start = (data: string, env: Record<string, string> = {}, args: string[] = []) =>
    spawnSync(process.execPath, ['dist/server/main.js', ...args], {
      env: { ...process.env, JUNKET_DATA: data, JUNKET_PORT: '0', ...env },
      encoding: 'utf8',
      timeout: 15_000,
    })
  for (const { name: kind, spoil, env, says, offers } of BROKEN) {
    const data = copy()
    spoil(data, join(data, 'junket.sqlite'))
    const { status, stderr } = start(data, env)
    trial.expect(
      status !== 0 && status !== null && says.test(stderr),
      `${kind}: exit ${status}, "${stderr.slice(0, 200)}"`,
    )
    if (!offers) continue
    trial.expect(
      stderr.includes(`-- --restore ${name}`),
      `${kind}: the sound backup is not offered`,
    )
    const again = await serve(data, { args: ['--restore', name] })
    trial.expect(
      (await fetch(`${again.url}/api/builds`)).ok,
      `${kind}: restored, it does not answer`,
    )
    await again.stop()
  }
  await takenPort(trial, start, copy())
  const refused = mounted('ro', (data) => {
    const { status, stderr } = start(data)
    trial.expect(
      status !== 0 && /cannot be written to/.test(stderr),
      `a read-only folder: exit ${status}, "${stderr.slice(0, 200)}"`,
    )
  })
  if (refused) console.log(`  a read-only folder was not tried: ${refused}`)
  trial.expect(
    readdirSync(join(whole, 'backups')).every((one) => one.endsWith('.sqlite')),
    'something was left beside the backups',
  )
  return trial.outcome
}

async function takenPort(
  trial: Trial,
  start: (data: string, env: Record<string, string>) => { status: number | null; stderr: string },
  data: string,
): Promise<void> {
  const taken = createServer()
  await new Promise<void>((done) => taken.listen(0, '127.0.0.1', () => done()))
  const { port } = taken.address() as { port: number }
  const { status, stderr } = start(data, { JUNKET_PORT: String(port) })
  trial.expect(
    status === 1 && stderr.includes(`Port ${port} is taken`),
    `a port taken: exit ${status}, "${stderr.slice(0, 200)}"`,
  )
  taken.close()
}
