import { closeSync, existsSync, openSync, readSync, rmSync, statSync } from 'node:fs'
import Sqlite from 'better-sqlite3'
import { MIGRATIONS } from './connection.ts'

/** What is found of a data file: sound, or why not, in words that follow its name; `code` where the system refused. */
export type Inspection =
  | { readonly isSound: true }
  | { readonly isSound: false; readonly why: string; readonly code?: string }

const HEADER = 'SQLite format 3\u0000'
/** Without these it is another program's. */
const OWN_TABLES = ['knex_migrations', 'part', 'build', 'history']

const unsound = (why: string): Inspection => ({ isSound: false, why })

/**
 * Looks whether a file is a data file of ours that this Junket can open: there, whole, undamaged, not newer.
 * @param isThorough every page, index and reference; otherwise the structure of every page
 */
export function inspectFile(file: string, isThorough: boolean): Inspection {
  try {
    const found = lookAt(file)
    return found ?? within(file, isThorough)
  } catch (error) {
    return unsound(`cannot be read (${(error as Error).message})`)
  }
}

/** What the first bytes and the length say; null where they are as they should be. */
function lookAt(file: string): Inspection | null {
  if (!existsSync(file)) return unsound('is not there')
  const { size } = statSync(file)
  if (statSync(file).isDirectory()) return unsound('is a folder, not a file')
  if (size === 0) return unsound('is empty')
  const head = Buffer.alloc(100)
  const handle = openSync(file, 'r')
  try {
    readSync(handle, head, 0, 100, 0)
  } finally {
    closeSync(handle)
  }
  if (head.toString('latin1', 0, 16) !== HEADER)
    return unsound('is no data file of Junket: it begins with something else')
  const pageBytes = head.readUInt16BE(16) === 1 ? 65_536 : head.readUInt16BE(16)
  const isCounted = head.readUInt32BE(24) === head.readUInt32BE(92)
  const pages = head.readUInt32BE(28)
  if (isCounted && size < pages * pageBytes && !existsSync(`${file}-wal`))
    return unsound(`is cut short: ${size} of ${pages * pageBytes} bytes are there`)
  return null
}

function within(file: string, isThorough: boolean): Inspection {
  const beside = ['-wal', '-shm']
    .map((ending) => `${file}${ending}`)
    .filter((path) => !existsSync(path))
  const copy = new Sqlite(file, { readonly: true })
  try {
    const [damage] = copy.pragma(isThorough ? 'integrity_check(1)' : 'quick_check(1)') as Record<
      string,
      string
    >[]
    const said = Object.values(damage ?? {})[0]
    if (said !== 'ok') return unsound(`is damaged (${said})`)
    const tables = new Set(
      (
        copy.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").all() as {
          name: string
        }[]
      ).map(({ name }) => name),
    )
    if (OWN_TABLES.some((table) => !tables.has(table)))
      return unsound('is a database of another program')
    const known = new Set(MIGRATIONS.map(({ name }) => name))
    const newer = (
      copy.prepare('SELECT name FROM knex_migrations').all() as { name: string }[]
    ).find(({ name }) => !known.has(name))
    if (newer)
      return unsound(`was written by a newer Junket (it holds ${newer.name}). Start that one`)
    if (isThorough && (copy.pragma('foreign_key_check') as unknown[]).length > 0)
      return unsound('is damaged (rows name others that are not there)')
    return { isSound: true }
  } catch (error) {
    return unsound(`is damaged (${(error as Error).message})`)
  } finally {
    copy.close()
    // Reading a file in WAL mode makes these; where they were not before, nobody else has it open.
    for (const path of beside) rmSync(path, { force: true })
  }
}
