import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { basename, join } from 'node:path'
import Sqlite from 'better-sqlite3'
import type { Store } from '../database/store.ts'
import { ConflictError, MissingError, UnprocessableError } from '../errors.ts'

export interface Backup {
  readonly name: string
  readonly at: string
  readonly bytes: number
  readonly why: 'day' | 'asked' | 'before-restore'
}

const NAME = /^junket-(\d{4}-\d{2}-\d{2}T\d{2}-\d{2}-\d{2}-\d{3})-(day|asked|before-restore)\.sqlite$/
/** First-of-the-day backups kept; those that were asked for are never thrown away. */
const DAYS_KEPT = 60

/** Keeps copies of the database beside it, and puts one back. */
export class Backups {
  readonly #file: string
  readonly #folder: string

  constructor(file: string) {
    this.#file = file
    this.#folder = join(file, '..', 'backups')
  }

  /** Newest first. */
  list(): Backup[] {
    if (!existsSync(this.#folder)) return []
    return readdirSync(this.#folder)
      .flatMap((name): Backup[] => {
        const match = NAME.exec(name)
        if (!match) return []
        const [day = '', time = ''] = match[1]!.split('T')
        return [{ name, at: `${day}T${time.replace(/^(\d+)-(\d+)-(\d+)-(\d+)$/, '$1:$2:$3.$4')}Z`, bytes: statSync(join(this.#folder, name)).size, why: match[2] as Backup['why'] }]
      })
      .sort((p, q) => (p.at < q.at ? 1 : -1))
  }

  /** Copies the database with the online backup call, checks the copy, and only then gives it its name. */
  async make(why: Backup['why'], now: Date = new Date()): Promise<Backup> {
    if (this.#file === ':memory:') throw new UnprocessableError('Data held in memory cannot be backed up.')
    mkdirSync(this.#folder, { recursive: true })
    const name = `junket-${now.toISOString().replace(/[:.]/g, '-').replace(/Z$/, '')}-${why}.sqlite`
    const partial = join(this.#folder, `${name}.partial`)
    const source = new Sqlite(this.#file, { readonly: true })
    try {
      await source.backup(partial)
    } finally {
      source.close()
    }
    check(partial)
    renameSync(partial, join(this.#folder, name))
    if (why === 'day')
      for (const old of this.list()
        .filter((one) => one.why === 'day')
        .slice(DAYS_KEPT))
        rmSync(join(this.#folder, old.name))
    return this.list().find((one) => one.name === name)!
  }

  /** The backup of the first start of a day; null when today has one. */
  async makeOfDay(now: Date = new Date()): Promise<Backup | null> {
    const today = now.toISOString().slice(0, 10)
    if (this.list().some((one) => one.why === 'day' && one.at.startsWith(today))) return null
    return this.make('day', now)
  }

  /**
   * Puts a backup in place of the data, after keeping the data as it is now; older files are brought up to date.
   * @throws MissingError · ConflictError when the backup is damaged: nothing is changed
   */
  async restore(store: Store, name: string): Promise<{ restored: string; kept: string }> {
    const found = this.list().find((one) => one.name === basename(name))
    if (!found) throw new MissingError(`There is no backup called ${name}.`)
    const from = join(this.#folder, found.name)
    check(from)
    const kept = await this.make('before-restore')
    const { root } = store
    const fresh = `${this.#file}.restoring`
    copyFileSync(from, fresh)
    await root.destroy()
    for (const ending of ['-wal', '-shm']) rmSync(`${this.#file}${ending}`, { force: true })
    renameSync(fresh, this.#file)
    root.initialize()
    await root.migrate.latest()
    store.replaced()
    return { restored: found.name, kept: kept.name }
  }
}

function check(file: string): void {
  const copy = new Sqlite(file, { readonly: true })
  try {
    const [row] = copy.pragma('quick_check') as { quick_check: string }[]
    if (row?.quick_check !== 'ok') throw new Error(row?.quick_check)
  } catch (error) {
    throw new ConflictError(`The backup ${basename(file)} is damaged (${(error as Error).message}): nothing was changed. Use another.`)
  } finally {
    copy.close()
  }
}
