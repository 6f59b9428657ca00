import { Piscina } from 'piscina'
import { ProblemError, UnprocessableError } from '../errors.ts'
import type { PhotoAnswer, PhotoTask, PhotoWork } from './photo-worker.ts'
import { workerUrl } from './worker-url.ts'

/** Pictures waiting for the thread; more are asked to come again. */
const MOST_WAITING = 20

/** Pictures and zips of them, worked on one at a time on a thread of their own. */
export class PhotoMaker {
  #pool: Piscina | null = null

  /** @throws UnprocessableError where it cannot be read · ProblemError 429 where too many wait */
  async make<K extends keyof PhotoWork>(kind: K, bytes: Uint8Array): Promise<PhotoWork[K]> {
    this.#pool ??= new Piscina({
      ...workerUrl('photo-worker'),
      maxThreads: 1,
      minThreads: 0,
      idleTimeout: 5000,
    })
    if (this.#pool.queueSize >= MOST_WAITING)
      throw new ProblemError(429, 'Many pictures are being worked on. Send it again in a moment.')
    const task: PhotoTask = { kind, bytes }
    const answer = (await this.#pool.run(task)) as PhotoAnswer
    if ('fault' in answer) throw new UnprocessableError(answer.fault)
    return answer.made as PhotoWork[K]
  }

  async close(): Promise<void> {
    await this.#pool?.destroy()
    this.#pool = null
  }
}
