import type { Store } from '../../database/store.ts'

/** Remembers what was computed of builds until a change is told that they may hang on. Inside a transaction nothing is remembered. */
export class RevisionMemory<T> {
  readonly #held = new WeakMap<
    object,
    Map<string, { readonly told: string; readonly value: Promise<T> }>
  >()

  readonly #most: number

  /** @param most keys that are kept; beyond it the oldest go */
  constructor(most = Infinity) {
    this.#most = most
  }

  async recall(store: Store, key: string, work: () => Promise<T>): Promise<T> {
    if (store.inTransaction) return work()
    const told = store.toldOfBuilds
    let held = this.#held.get(store.root)
    if (!held) this.#held.set(store.root, (held = new Map()))
    const found = held.get(key)
    if (found?.told === told) return found.value
    const value = work()
    const kept = { told, value }
    held.delete(key)
    held.set(key, kept)
    if (held.size > this.#most) held.delete(held.keys().next().value!)
    value.catch(() => held.get(key) === kept && held.delete(key))
    return value
  }
}

/** Remembers results by what they lean on: objects by identity, the rest by its words. The longest unused are forgotten. */
export class Memory<T> {
  readonly #kept = new Map<string, T>()
  readonly #serials = new WeakMap<object, number>()
  readonly #most: number
  #last = 0

  constructor(most: number) {
    this.#most = most
  }

  recall(leansOn: readonly (object | null)[], words: string, work: () => T): T {
    const key = `${leansOn.map((one) => this.#serial(one)).join(' ')}|${words}`
    const value = this.#kept.has(key) ? this.#kept.get(key)! : work()
    this.#kept.delete(key)
    this.#kept.set(key, value)
    if (this.#kept.size > this.#most) this.#kept.delete(this.#kept.keys().next().value!)
    return value
  }

  #serial(one: object | null): number {
    if (one === null) return 0
    let serial = this.#serials.get(one)
    if (serial === undefined) this.#serials.set(one, (serial = ++this.#last))
    return serial
  }
}
