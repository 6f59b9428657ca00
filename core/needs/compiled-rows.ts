import { FACT_ROWS, type FactKey } from '../facts/index.ts'
import { type Condition, NO, readsOf, type Truth, UNKNOWN, YES } from './condition.ts'

/** Facts of a build, by key. */
type Known = Readonly<
  Partial<Record<FactKey, { readonly value: string; readonly isAssumed?: boolean }>>
>

/** Of a row, what it takes to know whether it stands. */
interface Row {
  readonly kind: string
  readonly slots?: readonly string[]
  readonly when: readonly { readonly if: Condition }[]
}

/** What a condition is held against: facts and lines by their numbers. */
interface State {
  /** By fact, the place of its value; -1 where nobody knows. */
  readonly facts: Int8Array
  /** By kind and slot, how true a line is. */
  readonly lines: Uint8Array
}
type Evaluated = (state: State) => Truth

/**
 * Rows whose conditions are put into functions over small numbers once, for lists of hundreds of builds: the least fixpoint
 * of `line-list.ts`, found the same way.
 */
export class CompiledRows {
  readonly #rows: readonly Row[]
  readonly #reasons: readonly (readonly Evaluated[])[]
  /** By row, the lines it is part of. */
  readonly #partOf: readonly (readonly number[])[]
  readonly #keys: readonly FactKey[]
  readonly #values: readonly ReadonlyMap<string, number>[]
  readonly #facts: Int8Array
  readonly #lines: Uint8Array
  /** Whether each row waits for rows before it only: then one turn finds all. */
  readonly #isInOrder: boolean

  /** @param rows in an order in which what a row waits for mostly comes before it */
  constructor(rows: readonly Row[]) {
    this.#rows = rows
    this.#keys = Object.keys(FACT_ROWS) as FactKey[]
    this.#values = this.#keys.map(
      (key) => new Map(FACT_ROWS[key].values.map((value, i) => [value, i])),
    )
    const places = new Map(this.#keys.map((key, i) => [key, i]))
    const lines = new Map<string, number>()
    const lineAt = (kind: string, slot: string | undefined): number => {
      const name = slot === undefined ? kind : `${kind}\n${slot}`
      const held = lines.get(name)
      if (held !== undefined) return held
      lines.set(name, lines.size)
      return lines.size - 1
    }
    const compiled = (one: Condition): Evaluated => {
      if ('all' in one) return least(one.all.map(compiled))
      if ('any' in one) return greatest(one.any.map(compiled))
      if ('not' in one) {
        const turned = compiled(one.not)
        return (state) => (YES - turned(state)) as Truth
      }
      if ('has' in one) {
        const at = lineAt(one.has, one.slot)
        return ({ lines: now }) => now[at] as Truth
      }
      const at = places.get(one.is)!
      const is = Uint8Array.from(FACT_ROWS[one.is].values, (value) =>
        one.of.includes(value) ? YES : NO,
      )
      return ({ facts }) => {
        const value = facts[at]!
        return value < 0 ? UNKNOWN : ((is[value] ?? NO) as Truth)
      }
    }
    this.#reasons = rows.map(({ when }) => when.map((reason) => compiled(reason.if)))
    this.#partOf = rows.map(({ kind, slots = ['main'] }) =>
      [kind, ...slots.map((slot) => `${kind}\n${slot}`)].flatMap((name) => lines.get(name) ?? []),
    )
    const last = new Map(rows.map(({ kind }, at) => [kind, at]))
    this.#isInOrder = rows.every(({ when }, at) =>
      when.every((reason) =>
        [...readsOf(reason.if).lines].every((kind) => (last.get(kind) ?? -1) < at),
      ),
    )
    this.#facts = new Int8Array(this.#keys.length)
    this.#lines = new Uint8Array(lines.size)
  }

  /** How true each row is, in their order; what is assumed counts as known, or as unknown. */
  truths(known: Known, isAssumedKnown: boolean): Uint8Array {
    const state: State = { facts: this.#facts, lines: this.#lines.fill(NO) }
    this.#keys.forEach((key, at) => {
      const fact = known[key]
      const value = fact && (isAssumedKnown || !fact.isAssumed) ? fact.value : undefined
      // A value its fact never has is known, and is none of what any row asks for.
      state.facts[at] = value === undefined ? -1 : (this.#values[at]!.get(value) ?? NEVER)
    })
    const truths = new Uint8Array(this.#rows.length)
    for (let isRising = true; isRising; ) {
      isRising = false
      for (let row = 0; row < truths.length; row++) {
        let truth = truths[row]!
        if (truth === YES) continue
        for (const reason of this.#reasons[row]!) {
          const found = reason(state)
          if (found > truth) truth = found
        }
        if (truth === truths[row]) continue
        truths[row] = truth
        isRising = !this.#isInOrder
        for (const line of this.#partOf[row]!)
          if (truth > state.lines[line]!) state.lines[line] = truth
      }
    }
    return truths
  }
}

/** Past the end of every list of values: reads as no. */
const NEVER = 127

const least =
  (of: readonly Evaluated[]): Evaluated =>
  (state) => {
    let truth: Truth = YES
    for (const one of of) {
      const found = one(state)
      if (found < truth) truth = found
      if (truth === NO) return NO
    }
    return truth
  }

const greatest =
  (of: readonly Evaluated[]): Evaluated =>
  (state) => {
    let truth: Truth = NO
    for (const one of of) {
      const found = one(state)
      if (found > truth) truth = found
      if (truth === YES) return YES
    }
    return truth
  }
