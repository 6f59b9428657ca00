/** Wrong tries that cost nothing: anybody mistypes. */
const FREE = 3
const LONGEST_MS = 15 * 60 * 1000
/** After this long without one, an address starts anew. */
const FORGOTTEN_MS = 60 * 60 * 1000
const MOST_ADDRESSES = 20_000

interface Tried {
  readonly count: number
  readonly at: number
}

/** How long each address waits after its wrong tries: none after three, then 1 s, doubled each time, at most 15 minutes. */
export class Tries {
  readonly #tried = new Map<string, Tried>()
  readonly #now: () => number

  constructor(now: () => number) {
    this.#now = now
  }

  /** Until the next try is taken, ms; 0 when it is taken at once. */
  waitMs(from: string): number {
    const tried = this.#tried.get(from)
    if (!tried || tried.count < FREE) return 0
    return Math.max(
      0,
      tried.at + Math.min(LONGEST_MS, 1000 * 2 ** (tried.count - FREE)) - this.#now(),
    )
  }

  failed(from: string): void {
    const now = this.#now()
    const before = this.#tried.get(from)
    this.#tried.delete(from)
    this.#tried.set(from, {
      count: before && now - before.at < FORGOTTEN_MS ? before.count + 1 : 1,
      at: now,
    })
    if (this.#tried.size > MOST_ADDRESSES) this.#tried.delete(this.#tried.keys().next().value!)
  }

  /** A try that was never weighed is no try. */
  untried(from: string): void {
    const before = this.#tried.get(from)
    if (before) this.#tried.set(from, { ...before, count: before.count - 1 })
  }

  passed(from: string): void {
    this.#tried.delete(from)
  }
}
