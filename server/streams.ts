import type { HttpBindings } from '@hono/node-server'
import type { Context } from 'hono'
import type { SSEStreamingApi } from 'hono/streaming'
import { ProblemError } from './errors.ts'

/** Lines one client may hold open, and all together: each costs memory for as long as its page is open. */
const PER_CLIENT = 20
const IN_ALL = 500
/** Messages that wait for a reader, and how long one may take to be taken. */
const MOST_WAITING = 500
const STALLED_MS = 30_000

/** Counts the lines of events that clients hold open. */
export class Streams {
  readonly #open = new Map<string, number>()
  #all = 0

  /** Takes a place for a client; the function given back frees it. @throws ProblemError 429 */
  enter(client: string): () => void {
    const own = this.#open.get(client) ?? 0
    if (own >= PER_CLIENT || this.#all >= IN_ALL)
      throw new ProblemError(
        429,
        'Too many pages of Junket are open from here. Close some; the others go on.',
      )
    this.#open.set(client, own + 1)
    this.#all++
    let isFree = false
    return () => {
      if (isFree) return
      isFree = true
      this.#all--
      const left = (this.#open.get(client) ?? 1) - 1
      if (left > 0) this.#open.set(client, left)
      else this.#open.delete(client)
    }
  }
}

/** What is written to one reader, in order; a reader that does not read is dropped, not waited for. */
export class Outbox {
  readonly #stream: SSEStreamingApi
  readonly #c: Context
  readonly #waiting: { event: string; data: string }[] = []
  #wake = (): void => {}

  constructor(stream: SSEStreamingApi, c: Context) {
    this.#stream = stream
    this.#c = c
    stream.onAbort(() => this.#wake())
  }

  /** @param data in words already: the same go to many */
  put(event: string, data: string): void {
    if (this.#waiting.length >= MOST_WAITING) this.drop()
    else this.#waiting.push({ event, data })
    this.#wake()
  }

  /** Writes until the reader is gone; `still` goes out where nothing was said for a while. */
  async run(stillMs: number): Promise<void> {
    while (!this.#stream.aborted) {
      for (
        let next = this.#waiting.shift();
        next && !this.#stream.aborted;
        next = this.#waiting.shift()
      )
        await this.#write(next)
      if (this.#stream.aborted) return
      const isQuiet = await new Promise<boolean>((done) => {
        const timer = setTimeout(() => done(true), stillMs)
        this.#wake = () => {
          clearTimeout(timer)
          done(false)
        }
        if (this.#waiting.length > 0 || this.#stream.aborted) this.#wake()
      })
      if (isQuiet) await this.#write({ event: 'still', data: '' })
    }
  }

  /** Ends the line at once: the browser comes back by itself and reads everything anew. */
  drop(): void {
    this.#waiting.length = 0
    this.#stream.abort()
    ;(this.#c.env as Partial<HttpBindings> | undefined)?.outgoing?.destroy()
  }

  async #write(message: { event: string; data: string }): Promise<void> {
    const stalled = setTimeout(() => this.drop(), STALLED_MS)
    await this.#stream.writeSSE(message)
    clearTimeout(stalled)
  }
}
