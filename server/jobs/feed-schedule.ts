import type { Logger } from 'pino'
import type { Store } from '../database/store.ts'
import { feedsDue, readFeedUnasked, type TakesOffers } from '../services/importing/feeds.ts'

const LOOKED_AFTER_MS = 60_000

/** Reads suppliers' prices when they are due, one after the other, until it is closed. */
export class FeedSchedule {
  readonly #timer: ReturnType<typeof setInterval>
  #running: Promise<void> | null = null

  constructor(store: Store, offers: TakesOffers, log: Pick<Logger, 'warn'>) {
    this.#timer = setInterval(() => {
      this.#running ??= readDue(store, offers, Date.now())
        .catch((error: unknown) => log.warn(error, 'prices were not read'))
        .finally(() => {
          this.#running = null
        })
    }, LOOKED_AFTER_MS)
    this.#timer.unref()
  }

  async close(): Promise<void> {
    clearInterval(this.#timer)
    await this.#running
  }
}

/** Reads what is due at a moment. */
export async function readDue(store: Store, offers: TakesOffers, now: number): Promise<void> {
  for (const supplier of await feedsDue(store, now)) await readFeedUnasked(store, offers, supplier)
}
