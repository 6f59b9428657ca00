import { MessageChannel } from 'node:worker_threads'
import { Piscina } from 'piscina'
import { FILE_LIMITS } from '../../contract/files.ts'
import type { FileBatches, FileKind, FileOptions } from '../documents/read-file.ts'
import { ProblemError, UnprocessableError } from '../errors.ts'
import type { ReadMessage, ReadTask } from './read-worker.ts'
import { Talk } from './talk.ts'
import { workerUrl } from './worker-url.ts'

export interface FileLimits {
  readonly seconds: number
  readonly memoryMb: number
}

const THREADS = 2
/** Files waiting for a thread; more are asked to come again. */
const MOST_WAITING = 8

/**
 * Reads files on threads of their own, so that none holds up an answer. Whoever takes longer, or needs more memory, than
 * a file may is ended, and the file refused with a reason.
 */
export class FileReader {
  readonly #limits: FileLimits
  #pool: Piscina | null = null
  #busy = 0
  readonly #waiting: (() => void)[] = []

  constructor(limits: FileLimits = FILE_LIMITS) {
    this.#limits = limits
  }

  /**
   * Reads a file, a batch at a time.
   * @param bytes taken over: not to be used afterwards
   * @throws UnprocessableError when it cannot be read, or takes too much · ProblemError 429 when too many files wait
   */
  async *read<K extends FileKind>(
    kind: K,
    bytes: Uint8Array,
    options: FileOptions,
  ): AsyncGenerator<FileBatches[K]> {
    await this.#turn()
    try {
      yield* this.#run(kind, bytes, options)
    } finally {
      this.#busy--
      this.#waiting.shift()?.()
    }
  }

  async close(): Promise<void> {
    await this.#pool?.destroy()
    this.#pool = null
  }

  async *#run<K extends FileKind>(
    kind: K,
    bytes: Uint8Array,
    options: FileOptions,
  ): AsyncGenerator<FileBatches[K]> {
    const { port1, port2 } = new MessageChannel()
    const over = new AbortController()
    const isOwn = bytes.byteOffset === 0 && bytes.byteLength === bytes.buffer.byteLength
    const mine = isOwn ? bytes : bytes.slice()
    const task: ReadTask = { kind, bytes: mine, options, port: port2 }
    const clock = new Clock(this.#limits.seconds * 1000, () => over.abort())
    const ended = this.#threads()
      .run(task, { signal: over.signal, transferList: [port2, mine.buffer as ArrayBuffer] })
      .then(
        () => null,
        (error: unknown) => ({ error }),
      )
    const talk = new Talk<'more', ReadMessage>(port1, ended)
    let isDone = false
    try {
      for (;;) {
        clock.run()
        const message = await talk.next().catch((error: unknown) => {
          throw this.#refusal(error, over.signal.aborted)
        })
        clock.pause()
        if ('batch' in message) {
          // The next is read while this one is used.
          talk.say('more')
          yield message.batch as FileBatches[K]
          continue
        }
        isDone = true
        if ('fault' in message) throw faultOf(message.fault)
        return
      }
    } finally {
      clock.pause()
      port1.close()
      // Whoever asked has gone: the thread is not left reading for nobody.
      if (!isDone) over.abort()
      await ended
    }
  }

  #refusal(error: unknown, isLate: boolean): Error {
    const { seconds, memoryMb } = this.#limits
    if (isLate)
      return new UnprocessableError(
        `The file took more than ${seconds} s to read and was given up. Split it, or save only what is wanted, and try again.`,
      )
    if ((error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY')
      return new UnprocessableError(
        `The file needs more than ${memoryMb} MB to be read and was given up. Split it and send the parts one by one.`,
      )
    return error as Error
  }

  async #turn(): Promise<void> {
    if (this.#busy < THREADS) {
      this.#busy++
      return
    }
    if (this.#waiting.length >= MOST_WAITING)
      throw new ProblemError(429, 'Other files are being read just now. Try again in some seconds.')
    await new Promise<void>((go) => this.#waiting.push(go))
    this.#busy++
  }

  #threads(): Piscina {
    this.#pool ??= new Piscina({
      ...workerUrl('read-worker'),
      maxThreads: THREADS,
      minThreads: 0,
      idleTimeout: 60_000,
      resourceLimits: { maxOldGenerationSizeMb: this.#limits.memoryMb },
    })
    return this.#pool
  }
}

/** Time spent reading; while what was read is being used it stands still. */
class Clock {
  #leftMs: number
  #from = 0
  #timer: ReturnType<typeof setTimeout> | undefined
  readonly #over: () => void

  constructor(leftMs: number, over: () => void) {
    this.#leftMs = leftMs
    this.#over = over
  }

  run(): void {
    this.#from = performance.now()
    this.#timer = setTimeout(this.#over, Math.max(0, this.#leftMs))
  }

  pause(): void {
    if (this.#timer === undefined) return
    clearTimeout(this.#timer)
    this.#timer = undefined
    this.#leftMs -= performance.now() - this.#from
  }
}

const faultOf = ({
  message,
  faults,
  status,
}: Extract<ReadMessage, { fault: unknown }>['fault']): Error =>
  status === 400 ? new ProblemError(400, message) : new UnprocessableError(message, faults)
