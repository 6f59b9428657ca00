import {
  copyFileSync,
  existsSync,
  linkSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs'
import { basename, join } from 'node:path'
import { Piscina } from 'piscina'
import { gatherInFile } from '../../database/sqlite/connection.ts'
import type { CopyTask } from '../../database/sqlite/copy.ts'
import type { Inspection } from '../../database/sqlite/inspect.ts'
import type { Store } from '../../database/store.ts'
import { ConflictError, MissingError, UnprocessableError } from '../../errors.ts'
import { workerUrl } from '../../jobs/worker-url.ts'
import type { RestoreGate } from '../../restore-gate.ts'
import { PhotoFiles, photoFolder } from '../catalogue/photo-files.ts'

export interface Backup {
  readonly name: string
  readonly at: string
  readonly bytes: number
  readonly why: 'day' | 'asked' | 'before-restore'
}

export interface Restored {
  readonly restored: string
  /** The data as it was when it was replaced. */
  readonly kept: string
  /** Changes made while the backup was checked: they are in what was kept. */
  readonly changesMeanwhile: number
}

const NAME =
  /^junket-(\d{4}-\d{2}-\d{2}T\d{2}-\d{2}-\d{2}-\d{3})-(day|asked|before-restore)\.sqlite$/
/** First-of-the-day backups kept; those that were asked for are never thrown away. */
const DAYS_KEPT = 60

export const backupFolder = (file: string): string => join(file, '..', 'backups')

/** Newest first. */
export function listBackups(folder: string): Backup[] {
  if (!existsSync(folder)) return []
  return readdirSync(folder)
    .flatMap((name): Backup[] => {
      const match = NAME.exec(name)
      if (!match) return []
      const [day = '', time = ''] = match[1]!.split('T')
      return [
        {
          name,
          at: `${day}T${time.replace(/^(\d+)-(\d+)-(\d+)-(\d+)$/, '$1:$2:$3.$4')}Z`,
          bytes: statSync(join(folder, name)).size,
          why: match[2] as Backup['why'],
        },
      ]
    })
    .sort((p, q) => (p.at < q.at ? 1 : -1))
}

export const backupName = (why: Backup['why'], now: Date): string =>
  `junket-${now.toISOString().replace(/[:.]/g, '-').replace(/Z$/, '')}-${why}.sqlite`

/** Keeps copies of the database beside it, and puts one back. One at a time: each waits for the one before. */
export class Backups {
  readonly #file: string
  readonly #folder: string
  readonly #photos: PhotoFiles
  #pool: Piscina | null = null
  #last: Promise<unknown> = Promise.resolve()

  constructor(file: string) {
    this.#file = file
    this.#folder = backupFolder(file)
    this.#photos = new PhotoFiles(photoFolder(join(file, '..')))
  }

  list(): Backup[] {
    return listBackups(this.#folder)
  }

  /** Copies the database as it is at one moment, checks the copy, and only then gives it its name. */
  make(why: Backup['why'], now: Date = new Date()): Promise<Backup> {
    return this.#inTurn(async () => {
      if (this.#file === ':memory:')
        throw new UnprocessableError('Data held in memory cannot be backed up.')
      mkdirSync(this.#folder, { recursive: true })
      const name = this.#free(why, now)
      const found = await this.#run({
        kind: 'copy',
        from: this.#file,
        to: join(this.#folder, name),
      })
      if (!found.isSound)
        throw new ConflictError(
          `The copy ${found.why}, so it was not kept: the data itself may be damaged. Restore a backup that is sound.`,
        )
      // After the rows: a picture they name was there before them.
      await this.#photos.copyTo(photoFolder(this.#folder))
      if (why === 'day')
        for (const old of this.list()
          .filter((one) => one.why === 'day')
          .slice(DAYS_KEPT))
          rmSync(join(this.#folder, old.name))
      return this.list().find((one) => one.name === name)!
    })
  }

  /** The backup of the first start of a day, by UTC: it is made before the data, and the shop's zone in it, is opened. Null when today has one. */
  async makeOfDay(now: Date = new Date()): Promise<Backup | null> {
    const today = now.toISOString().slice(0, 10)
    if (this.list().some((one) => one.why === 'day' && one.at.startsWith(today))) return null
    return this.make('day', now)
  }

  /**
   * Puts a backup in place of the data, after keeping the data as it is at that moment. The backup is checked whole, copied
   * and brought up to date while everybody works on; only the change of files shuts the others out.
   *
   * @throws MissingError · ConflictError when it is not sound, or could not be put in place: the data is as it was
   */
  restore(store: Store, name: string, gate: RestoreGate): Promise<Restored> {
    return this.#inTurn(async () => {
      const found = this.list().find((one) => one.name === basename(name))
      if (!found) throw new MissingError(`There is no backup called ${name}.`)
      const before = await store.revision()
      const fresh = `${this.#file}.restoring`
      try {
        const ready = await this.#run({
          kind: 'ready',
          from: join(this.#folder, found.name),
          to: fresh,
        })
        if (!ready.isSound)
          throw new ConflictError(
            `The backup ${found.name} ${ready.why}: nothing was changed. Use another.`,
          )
        return await gate.alone(async () => {
          const changesMeanwhile = (await store.revision()) - before
          const kept = await this.#swap(store, fresh)
          await new PhotoFiles(photoFolder(this.#folder)).copyTo(this.#photos.folder)
          return { restored: found.name, kept, changesMeanwhile }
        })
      } finally {
        rmSync(fresh, { force: true })
      }
    })
  }

  async close(): Promise<void> {
    await this.#last.catch(() => undefined)
    await this.#pool?.destroy()
    this.#pool = null
  }

  /** Changes the files; where anything fails after the data was let go of, it comes back. */
  async #swap(store: Store, fresh: string): Promise<string> {
    const { root } = store
    // Everything acknowledged goes into the one file; what stands beside it then is empty.
    await gatherInFile(root)
    const kept = this.#free('before-restore', new Date())
    const keptFile = join(this.#folder, kept)
    // Told before and after: what is still worked out from the old file is not written into the new one.
    store.replaced()
    await root.destroy()
    try {
      keep(this.#file, keptFile)
      for (const ending of ['-wal', '-shm']) rmSync(`${this.#file}${ending}`, { force: true })
      renameSync(fresh, this.#file)
      root.initialize()
      await root.migrate.latest()
    } catch (error) {
      await this.#goBack(store, keptFile, error as Error)
    } finally {
      store.replaced()
    }
    return kept
  }

  async #goBack(store: Store, keptFile: string, error: Error): Promise<never> {
    const { root } = store
    await root.destroy().catch(() => undefined)
    if (existsSync(keptFile)) {
      for (const ending of ['-wal', '-shm', '-journal'])
        rmSync(`${this.#file}${ending}`, { force: true })
      renameSync(keptFile, this.#file)
    }
    root.initialize()
    await root.migrate.latest()
    throw new ConflictError(
      `The backup could not be put in place (${error.message}). The data is back as it was before; nothing is lost.`,
    )
  }

  /** A name nobody has: two in one thousandth of a second get two. */
  #free(why: Backup['why'], now: Date): string {
    for (let at = now.getTime(); ; at++) {
      const name = backupName(why, new Date(at))
      if (!existsSync(join(this.#folder, name))) return name
    }
  }

  #inTurn<T>(work: () => Promise<T>): Promise<T> {
    const turn = this.#last.catch(() => undefined).then(work)
    this.#last = turn
    turn.catch(() => undefined)
    return turn
  }

  async #run(task: CopyTask): Promise<Inspection> {
    this.#pool ??= new Piscina({
      ...workerUrl('backup-worker'),
      maxThreads: 1,
      minThreads: 0,
      idleTimeout: 5000,
    })
    const found = (await this.#pool.run(task)) as Inspection
    if (!found.isSound && found.code)
      throw Object.assign(new Error(found.why), { code: found.code })
    return found
  }
}

/** A second name for the file, at once and whatever its size; a copy where the disk knows no second names. */
export function keep(file: string, as: string): void {
  mkdirSync(join(as, '..'), { recursive: true })
  try {
    linkSync(file, as)
  } catch {
    copyFileSync(file, as)
  }
}
