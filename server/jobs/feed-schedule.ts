import type { Logger } from 'pino'
import type { Store } from '../database/store.ts'
import type { RestoreGate } from '../restore-gate.ts'
import { feedsDue, readFeedUnasked, type TakesOffers } from '../services/importing/feeds.ts'

const LOOKED_AFTER_MS = 60_000

/** Reads suppliers' prices when they are due, one after the other, until it is closed. */
export class FeedSchedule {
  readonly #timer: ReturnType<typeof setInterval>
  #running: Promise<void> | null = null

  constructor(
    store: Store,
    offers: TakesOffers,
    gate: Pick<RestoreGate, 'enter'>,
    log: Pick<Logger, 'warn'>,
  ) {
    this.#timer = setInterval(() => {
      this.#running ??= readDue(store, offers, gate, Date.now())
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

/** Reads what is due at a moment, each through the gate: prices asked for by old data never land in data put back meanwhile. */
export async function readDue(
  store: Store,
  offers: TakesOffers,
  gate: Pick<RestoreGate, 'enter'>,
  now: number,
): Promise<void> {
  for (const supplier of await gate.enter(() => feedsDue(store, now)))
    await gate.enter(() => readFeedUnasked(store, offers, supplier))
}
