import type { MessagePort } from 'node:worker_threads'

/** Questions and answers with a thread, none lost between two; of a thread that ends in between it is told, with why. */
export class Talk<Said, Heard> {
  readonly #port: MessagePort
  readonly #heard: Heard[] = []
  #wake: (() => void) | null = null
  #failure: { readonly error: unknown } | null = null

  /** @param ended how the thread ended: null where nothing was wrong; all it said before is heard first */
  constructor(port: MessagePort, ended: Promise<{ readonly error: unknown } | null>) {
    this.#port = port
    port.on('message', (message: Heard) => {
      this.#heard.push(message)
      this.#wake?.()
    })
    // After all that it said: nothing else comes.
    const closed = new Promise<void>((done) => port.once('close', done))
    void ended.then(async (failure) => {
      if (!failure) await closed
      this.#fail(failure ? failure.error : new Error('The thread ended before it answered.'))
    })
  }

  #fail(error: unknown): void {
    this.#failure ??= { error }
    this.#wake?.()
  }

  say(message: Said): void {
    this.#port.postMessage(message)
  }

  ask(message: Said): Promise<Heard> {
    this.say(message)
    return this.next()
  }

  /** What is said next, from the first that was not heard yet. @throws what the thread ended with */
  async next(): Promise<Heard> {
    while (this.#heard.length === 0) {
      if (this.#failure) throw this.#failure.error
      await new Promise<void>((wake) => {
        this.#wake = wake
      })
    }
    return this.#heard.shift()!
  }
}
