import type { Context, Next } from 'hono'

const isRestore = (c: Context): boolean => c.req.method === 'POST' && /^\/api\/backups\/[^/]+\/restore$/.test(c.req.path)
/** Streams stay open for hours and read nothing while they wait. */
const isStream = (c: Context): boolean => c.req.path.endsWith('/events')

/** While a backup is put back nobody else reads or writes: requests wait for it, and it waits for those under way. */
export class RestoreGate {
  #active = 0
  #restoring: Promise<void> | null = null
  #idle = (): void => {}

  async pass(c: Context, next: Next): Promise<void> {
    if (isStream(c)) return next()
    while (this.#restoring) await this.#restoring
    if (!isRestore(c)) {
      this.#active++
      try {
        return await next()
      } finally {
        this.#active--
        if (this.#active === 0) this.#idle()
      }
    }
    let open = (): void => {}
    this.#restoring = new Promise((done) => {
      open = done
    })
    try {
      if (this.#active > 0)
        await new Promise<void>((done) => {
          this.#idle = done
        })
      await next()
    } finally {
      this.#restoring = null
      open()
    }
  }
}
