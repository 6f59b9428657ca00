import type { Context, Next } from 'hono'
import { ProblemError } from './errors.ts'

/** Streams stay open for hours and read nothing while they wait; checks and plans of what was sent read no data. */
const READS_NOTHING =
  /\/events$|^\/api\/(check|plan|patterns\/(dxf|chords|trace)|session|passcode|backups)(\/|$)/

/** Longest that a restore waits for those under way, and that others wait for a restore, ms. */
const PATIENCE_MS = 4000

/** While a backup is put back nobody else reads or writes: requests wait for it, and it waits for those under way. */
export class RestoreGate {
  #active = 0
  #shut: Promise<void> | null = null
  #idle = (): void => {}
  readonly #letGo: () => Promise<void>
  readonly #patienceMs: number

  /** @param letGo closes what else has the data open, once nobody is under way */
  constructor(letGo: () => Promise<void> = async () => undefined, patienceMs = PATIENCE_MS) {
    this.#letGo = letGo
    this.#patienceMs = patienceMs
  }

  /** A request, once its body is here. */
  async pass(c: Context, next: Next): Promise<void> {
    if (READS_NOTHING.test(c.req.path)) return next()
    return this.enter(next)
  }

  /** Work that reads or writes the data. @throws ProblemError 503 when a restore takes too long */
  async enter<T>(work: () => Promise<T>): Promise<T> {
    const until = Date.now() + this.#patienceMs
    while (this.#shut) {
      if (!(await within(this.#shut, until - Date.now())))
        throw new ProblemError(
          503,
          'A backup is being put back just now. Try again in some seconds; nothing was changed.',
        )
    }
    this.#active++
    try {
      return await work()
    } finally {
      this.#active--
      if (this.#active === 0) this.#idle()
    }
  }

  /** Work that wants the data for itself. @throws ProblemError 503 when others do not get done; nothing was begun */
  async alone<T>(work: () => Promise<T>): Promise<T> {
    if (this.#shut)
      throw new ProblemError(503, 'Another backup is being put back. Try again when it is done.')
    let open = (): void => {}
    this.#shut = new Promise((done) => {
      open = done
    })
    try {
      if (this.#active > 0) {
        const idle = new Promise<void>((done) => {
          this.#idle = done
        })
        if (!(await within(idle, this.#patienceMs)))
          throw new ProblemError(
            503,
            'Others are in the middle of something long, an import perhaps. Nothing was changed; try again in a minute.',
          )
      }
      await this.#letGo()
      return await work()
    } finally {
      this.#shut = null
      this.#idle = () => {}
      open()
    }
  }
}

/** Whether it came in time. */
async function within(wait: Promise<void>, ms: number): Promise<boolean> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<boolean>((done) => {
    timer = setTimeout(() => done(false), Math.max(0, ms))
  })
  try {
    return await Promise.race([wait.then(() => true), late])
  } finally {
    clearTimeout(timer)
  }
}
