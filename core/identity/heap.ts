/** The least first, by an order: a binary heap. */
export class Heap<T> {
  readonly #items: T[] = []
  readonly #order: (p: T, q: T) => number

  constructor(order: (p: T, q: T) => number) {
    this.#order = order
  }

  push(item: T): void {
    const items = this.#items
    items.push(item)
    for (let at = items.length - 1; at > 0; ) {
      const up = (at - 1) >> 1
      if (this.#order(items[at]!, items[up]!) >= 0) return
      this.#swap(at, up)
      at = up
    }
  }

  pop(): T | undefined {
    const items = this.#items
    const first = items[0]
    const last = items.pop()
    if (items.length === 0 || last === undefined) return first
    items[0] = last
    for (let at = 0; ; ) {
      let least = at
      for (const down of [2 * at + 1, 2 * at + 2])
        if (down < items.length && this.#order(items[down]!, items[least]!) < 0) least = down
      if (least === at) return first
      this.#swap(at, least)
      at = least
    }
  }

  #swap(p: number, q: number): void {
    const held = this.#items[p]!
    this.#items[p] = this.#items[q]!
    this.#items[q] = held
  }
}
