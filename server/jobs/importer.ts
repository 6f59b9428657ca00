import { MessageChannel } from 'node:worker_threads'
import { Piscina } from 'piscina'
import { actorNow } from '../database/actor.ts'
import type { Landed } from '../database/sqlite/stage.ts'
import type { Store } from '../database/store.ts'
import { ConflictError, ProblemError } from '../errors.ts'
import { follow, followFor } from '../search/follow.ts'
import { type Chunk, startReading, type Wanted } from '../services/importing/importing.ts'
import { type Chunks, layRows, previewRows, refuseBad } from '../services/importing/lay-rows.ts'
import type { ListPreview } from '../services/importing/lists/list-reading.ts'
import type { ImportPreview } from '../services/importing/offer-reading.ts'
import { undoMany } from '../services/keeping/undo-many.ts'
import type { FromImport, ImportTask, ImportWork, ToImport } from './import-worker.ts'
import { Talk } from './talk.ts'
import { workerUrl } from './worker-url.ts'

const PATIENCE_MS = 1000
/** With a heap that may grow to less, it is kept tidier. */
const LIMITS = { maxOldGenerationSizeMb: 768, maxYoungGenerationSizeMb: 24 }

/** What comes of a preview or an import, by what is imported. */
type PreviewOf<W extends Wanted> = W extends { kind: 'offers' } ? ImportPreview : ListPreview

/** What a thread answers at the end, by what it was asked. */
type Done<W extends ImportWork> = Extract<
  FromImport,
  W extends { kind: 'undo' } ? { undone: unknown } : { preview: unknown }
>

/**
 * Imports rows on a thread with a connection of its own; this process holds still only while what is ready lands. A
 * database in memory has no other connection: there it is done here.
 */
export class Importer {
  #pool: Piscina | null = null

  async preview<W extends Wanted>(
    store: Store,
    chunks: Chunks<Chunk>,
    wanted: W,
  ): Promise<PreviewOf<W>> {
    // Numbers like those of the file are looked up in the index.
    await followFor(store, PATIENCE_MS)
    const preview =
      store.file === null
        ? await previewRows(chunks, startReading(store, wanted))
        : (await this.#run(store, store.file, { kind: 'preview', wanted }, chunks)).preview
    return preview as PreviewOf<W>
  }

  /** @throws UnprocessableError listing every bad row · ConflictError when others change the same rows all the while */
  async import<W extends Wanted>(
    store: Store,
    chunks: Chunks<Chunk>,
    wanted: W,
  ): Promise<PreviewOf<W>> {
    const { preview, landed } =
      store.file === null
        ? await layRows(
            store,
            chunks,
            () => startReading(store, wanted),
            this.#by(store),
            (merge) => merge(),
          )
        : await this.#run(store, store.file, { kind: 'import', wanted }, chunks)
    if (!landed) refuseBad(preview)
    else this.#landed(store, landed)
    return preview as PreviewOf<W>
  }

  /** Undoes a command that wrote many rows. @returns how many; null where they must be gone through one by one */
  async undo(store: Store, command: string): Promise<number | null> {
    const done =
      store.file === null
        ? await undoMany(store, command, this.#by(store), (merge) => merge())
        : (await this.#run(store, store.file, { kind: 'undo', command }, [])).undone
    if (done) this.#landed(store, done.landed)
    return done?.undone ?? null
  }

  /** Told, and taken into the index while nobody waits for it; where that fails, it is tried again when something is looked for. */
  #landed(store: Store, landed: Landed): void {
    store.landed(landed)
    void follow(store).catch(() => undefined)
  }

  #by(store: Store): { readonly who: string; readonly command: string | null } {
    const actor = actorNow()
    return { who: actor?.who ?? store.who, command: actor?.command ?? null }
  }

  async close(): Promise<void> {
    await this.#pool?.destroy()
    this.#pool = null
  }

  async #run<W extends ImportWork>(
    store: Store,
    database: string,
    work: W,
    chunks: Chunks<Chunk>,
  ): Promise<Done<W>> {
    const { port1, port2 } = new MessageChannel()
    const over = new AbortController()
    const task: ImportTask = { database, work, actor: this.#by(store), port: port2 }
    const ended = this.#threads()
      .run(task, { signal: over.signal, transferList: [port2] })
      .then(
        () => null,
        (error: unknown) => ({ error }),
      )
    const { epoch } = store
    let isDone = false
    try {
      const talk = new Talk<ToImport, FromImport>(port1, ended)
      for await (const chunk of chunks) await talk.ask({ chunk })
      let message = await (work.kind === 'undo' ? talk.next() : talk.ask('end'))
      while (message === 'ready') message = await this.#land(store, epoch, talk)
      if (typeof message === 'string')
        throw new Error(`An import answered "${message}" where it should have been done.`)
      isDone = true
      if ('problem' in message)
        throw new ProblemError(message.problem.status, message.problem.message)
      return message as Done<W>
    } finally {
      // Whoever asked has gone, or the file was bad: the thread is not left waiting for more.
      if (!isDone) over.abort()
      await ended
      port1.close()
    }
  }

  /** Holds still while what is ready lands; what it answers is the end, or that it is ready again. */
  async #land(store: Store, epoch: number, talk: Talk<ToImport, FromImport>): Promise<FromImport> {
    const answer = await store.parked(async () => {
      if (store.epoch !== epoch)
        throw new ConflictError(
          'A backup was restored meanwhile: nothing was imported. Import the file again.',
        )
      return talk.ask('land')
    })
    return answer === 'again' ? talk.next() : answer
  }

  #threads(): Piscina {
    this.#pool ??= new Piscina({
      ...workerUrl('import-worker'),
      maxThreads: 1,
      minThreads: 0,
      idleTimeout: 60_000,
      resourceLimits: LIMITS,
    })
    return this.#pool
  }
}
