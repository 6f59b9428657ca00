import type { Formula, Measure } from './declaration.ts'
import type { Inputs, Solved } from './half.ts'
import type { Read, Shop } from './read.ts'
import { atEnd } from './scene.ts'

type Sheet = Record<string, any>

/** A formula with the sheets its inputs are written on: at their values, and at either bad end. */
export class Prepared {
  readonly reads: readonly Read[]
  readonly #names: readonly string[]
  readonly #measure: Measure
  readonly #senses: readonly (1 | -1 | 0)[]
  readonly #x: Sheet
  readonly #low: Sheet
  readonly #high: Sheet
  readonly #pm: Record<string, number>
  figure: any = Number.NaN
  least = Number.NaN
  most = Number.NaN
  /** To be solved for what is loaded. */
  isOpen = true
  /** Looks at how closely its inputs are known, not only at what they are. */
  readonly #wantsPm: boolean

  constructor(formula: Formula | Measure) {
    this.#measure = formula as Measure
    this.#names = Object.keys(formula.reads)
    this.reads = Object.values(formula.reads)
    const blank = (): Sheet => Object.fromEntries(this.#names.map((name) => [name, Number.NaN]))
    this.#x = blank()
    this.#low = blank()
    this.#high = blank()
    this.#pm = blank()
    this.#wantsPm = this.#measure.bound !== undefined || formula.of.length > 2
    this.#senses = this.#names.map((name) => this.#measure.sense?.[name] ?? 0)
  }

  /** Writes what a half has of it; of a sum both halves share, both parts. */
  write({ list }: Inputs, other: Inputs | undefined, withEnds: boolean): this {
    const hasSense = withEnds && this.#measure.sense !== undefined
    for (let k = 0; k < list.length; k++) {
      const input = list[k]
      if (!input) continue
      const name = this.#names[k]!
      let { v, pm } = input
      const shared = other?.list[k]
      if (shared) {
        v += shared.v
        pm += shared.pm
      }
      this.#x[name] = v
      if (withEnds || this.#wantsPm) this.#pm[name] = pm
      if (!hasSense) continue
      const sense = this.#senses[k]!
      if (input.ends && sense !== 0) {
        this.#low[name] = input.ends[sense === 1 ? 0 : 1]
        this.#high[name] = input.ends[sense === 1 ? 1 : 0]
      } else {
        this.#low[name] = atEnd(v, -sense * pm)
        this.#high[name] = atEnd(v, sense * pm)
      }
    }
    this.isOpen = true
    return this
  }

  solve(shop: Shop, withEnds: boolean): this {
    const measure = this.#measure
    this.isOpen = false
    this.figure = measure.of(this.#x, shop, this.#pm)
    this.least = this.most = this.figure
    if (!withEnds) return this
    if (measure.bound) [this.least, this.most] = measure.bound(this.#x, this.#pm, shop)
    else if (measure.sense) {
      this.least = measure.of(this.#low, shop, this.#pm)
      this.most = measure.of(this.#high, shop, this.#pm)
    }
    return this
  }

  take({ figure, least, most }: Solved): void {
    this.figure = figure
    this.least = least
    this.most = most
    this.isOpen = false
  }

  /** Deviation by one input at a time, each by what `spread` says of it. */
  deviations(shop: Shop, spread: (read: Read) => number): number[] {
    return this.#names.map((name, k) => {
      const d = spread(this.reads[k]!)
      const v = this.#x[name]
      if (!(d > 0)) return 0
      const { bound } = this.#measure
      if (bound) {
        const alone = Object.fromEntries(this.#names.map((one) => [one, one === name ? d : 0]))
        const still = Object.fromEntries(this.#names.map((one) => [one, 0]))
        const [[least, most], [low, high]] = [
          bound(this.#x, alone, shop),
          bound(this.#x, still, shop),
        ]
        const by = Math.max(low - least, most - high)
        return Number.isNaN(by) ? Infinity : by
      }
      if (typeof v !== 'number') return 0
      const off = (by: number): number =>
        Math.abs(
          (this.#measure.of({ ...this.#x, [name]: v + by }, shop, this.#pm) as number) -
            this.figure,
        )
      const most = Math.max(off(-d), off(d))
      return Number.isNaN(most) ? Infinity : most
    })
  }
}
