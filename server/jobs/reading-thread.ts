import { setTimeout } from 'node:timers/promises'
import type { MessagePort, Worker } from 'node:worker_threads'
import { onChange } from '../database/changes.ts'
import type { Store } from '../database/store.ts'
import { FileFault } from '../documents/file-fault.ts'
import { ProblemError } from '../errors.ts'
import type { Sent } from '../sent.ts'
import { writeMatches } from './match-shelf.ts'
import type { Fault, FromReading, ToReading } from './reading-worker.ts'
import { type Answer, type Asked, type ReadingName, readAs } from './readings.ts'
import { startWorker } from './worker-url.ts'

interface Waiting {
  readonly answered: (answer: Bytes) => void
  readonly failed: (error: Error) => void
}
type Bytes = Uint8Array<ArrayBuffer>

/** Of a larger shop nothing is judged before it is asked for: it would be in the way of whoever asks. */
const MOST_WARMED = 3000
const BUILDS_WARMED = 5
const PAUSE_MS = 1500
/** Answers kept until something changes. */
const MOST_KEPT = 200

/**
 * Does what plans, judges and draws on one thread with a connection of its own: it hears of every change before anything
 * is asked after it. A database in memory has no other connection: there it is done here.
 */
export class ReadingThread {
  readonly #isBehind: boolean
  #worker: Worker | null = null
  #file = ''
  #stopHearing = (): void => {}
  #hasLetGo = (): void => {}
  #last = 0
  #askedAt = 0
  readonly #waiting = new Map<number, Waiting>()
  /** What was asked since the last change: many look at the same. */
  readonly #kept = new Map<
    string,
    { readonly store: object; readonly told: string; readonly answer: Promise<Bytes> }
  >()

  /** @param isBehind whether all else on the machine comes before it */
  constructor(isBehind = false) {
    this.#isBehind = isBehind
  }

  /** How many readings wait for it. */
  get waiting(): number {
    return this.#waiting.size
  }

  /** What a reading answers, for a command that hangs on it. @throws what the reading throws */
  async ask<N extends ReadingName>(store: Store, name: N, ...args: Asked<N>): Promise<Answer<N>> {
    return parsed(await this.#run(store, name, args))
  }

  /** The same, with a port that the reading talks by as its last argument; whoever holds the other end closes it. */
  async hand<N extends ReadingName>(
    store: Store,
    name: N,
    args: Asked<N> extends [...infer A, MessagePort] ? A : never,
    port: MessagePort,
  ): Promise<Answer<N>> {
    return parsed(await this.#run(store, name, args, port))
  }

  /** What a reading answers, as it goes out: JSON that is not read here. @throws what the reading throws */
  async json<N extends ReadingName>(
    store: Store,
    name: N,
    ...args: Asked<N>
  ): Promise<Sent<Answer<N>>> {
    this.#askedAt = performance.now()
    return new Response(await this.#once(store, name, args), {
      headers: { 'content-type': 'application/json' },
    })
  }

  /** A file that a reading makes. @throws what the reading throws */
  async file<N extends ReadingName>(store: Store, name: N, ...args: Asked<N>): Promise<Bytes> {
    return this.#run(store, name, args)
  }

  #once(store: Store, name: ReadingName, args: readonly unknown[]): Promise<Bytes> {
    const key = JSON.stringify([name, ...args])
    const { root, told } = store
    const found = this.#kept.get(key)
    if (found && found.store === root && found.told === told) return found.answer
    const kept = { store: root, told, answer: this.#run(store, name, args) }
    this.#kept.delete(key)
    this.#kept.set(key, kept)
    kept.answer.catch(() => this.#kept.get(key) === kept && this.#kept.delete(key))
    if (this.#kept.size > MOST_KEPT) this.#kept.delete(this.#kept.keys().next().value!)
    return kept.answer
  }

  /**
   * Reads what is asked first before anybody asks: the builds and, of a shop that is read in seconds, their pairings.
   * @param enter goes through the gate with each reading, not with the pauses between
   */
  async warm(store: Store, enter: <T>(work: () => Promise<T>) => Promise<T>): Promise<void> {
    if (store.file === null) return
    await enter(() => this.#once(store, 'builds', []))
    const { parts } = (await store.root('part').count({ parts: '*' }).first()) as { parts: number }
    if (parts > MOST_WARMED) return
    for (const { id } of (await store.list('build')).slice(0, BUILDS_WARMED)) {
      // Whoever is at work comes first: a grid is judged in a pause.
      while (this.#waiting.size > 0 || performance.now() - this.#askedAt < PAUSE_MS)
        await setTimeout(PAUSE_MS / 4, undefined, { ref: false })
      if (!this.#worker) return
      // As it is asked without saying how many.
      await enter(() => this.#once(store, 'pairings', [id, undefined]))
    }
  }

  /** Lets go of the file, so that another can take its place; what is asked next is read from that one. */
  async letGo(): Promise<void> {
    const worker = this.#worker
    if (!worker) return
    const hasLetGo = new Promise<true>((done) => {
      this.#hasLetGo = () => done(true)
    })
    worker.postMessage('let-go' satisfies ToReading)
    const late = setTimeout(PATIENCE_MS, false as const, { ref: false })
    if (!(await Promise.race([hasLetGo, late]))) await this.close()
  }

  async close(): Promise<void> {
    const worker = this.#worker
    this.#worker = null
    this.#stopHearing()
    if (!worker) return
    const gone = new Promise<void>((done) => worker.once('exit', () => done()))
    worker.postMessage('close' satisfies ToReading)
    await Promise.race([gone, setTimeout(PATIENCE_MS, undefined, { ref: false })])
    await worker.terminate()
  }

  #run(
    store: Store,
    name: ReadingName,
    args: readonly unknown[],
    port?: MessagePort,
  ): Promise<Bytes> {
    const { file } = store
    if (file === null)
      return readAs(store, name, port ? [...args, port] : args).catch((error: unknown) => {
        port?.close()
        throw error
      })
    const worker = this.#thread(store, file)
    const id = ++this.#last
    return new Promise((answered, failed) => {
      this.#waiting.set(id, { answered, failed })
      worker.postMessage(
        { id, name, args, ...(port ? { port } : {}) } satisfies ToReading,
        port ? [port] : [],
      )
    })
  }

  #thread(store: Store, file: string): Worker {
    if (this.#worker && this.#file === file) return this.#worker
    const worker = startWorker('reading-worker', { database: file, isBehind: this.#isBehind })
    this.#worker = worker
    this.#file = file
    this.#stopHearing = onChange(store.root, ({ packed }) =>
      worker.postMessage({ change: packed } satisfies ToReading),
    )
    worker.on('message', (message: FromReading) => {
      if (message === 'let-go') return this.#hasLetGo()
      // Found again where it could not be written.
      if ('found' in message)
        return void writeMatches(store.root, message.found).catch(() => undefined)
      const waiting = this.#waiting.get(message.id)
      this.#waiting.delete(message.id)
      if ('answer' in message) waiting?.answered(message.answer)
      else waiting?.failed(errorOf(message.fault))
    })
    worker.on('error', (error) => this.#lost(worker, error as Error))
    worker.on('exit', () => this.#lost(worker, new Error('The reading thread ended.')))
    return worker
  }

  /** Whoever waits is told; the next to ask starts another. */
  #lost(worker: Worker, error: Error): void {
    if (this.#worker === worker) {
      this.#worker = null
      this.#stopHearing()
      this.#hasLetGo()
    }
    for (const { failed } of this.#waiting.values()) failed(error)
    this.#waiting.clear()
  }
}

const decoder = new TextDecoder()
const parsed = <T>(bytes: Bytes): T => JSON.parse(decoder.decode(bytes)) as T

/** How long the thread is given to let go of the file. */
const PATIENCE_MS = 1000

function errorOf({
  kind,
  message,
  status = 500,
  extra = {},
  faults = [],
  code,
  stack,
}: Fault): Error {
  if (kind === 'problem') return new ProblemError(status, message, extra)
  if (kind === 'file') return new FileFault(message, faults, status as FileFault['status'])
  return Object.assign(new Error(message), { code, stack })
}
