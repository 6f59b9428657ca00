import type { Field } from '../ports/field.ts'
import { type Judgement, judge } from './judge.ts'
import type { Sheet } from './sheet.ts'
import { FITS, type Limit, type Outcome, UNMEASURED } from './verdict.ts'

/** Keeps numbers only and allocates nothing after construction: for sweeps over many pairings. */
export class Tally implements Sheet {
  code = FITS
  stated = 0
  known = 0
  agreed = 0
  outside = 0
  /** Weakest grade leaned on, 6 when nothing was read. */
  weakest = 6
  sum = 0
  allKnown = true
  #pm = 0
  readonly #judgement: Judgement = { code: 0, outcome: null, outside: false, agreed: false, straddles: false }

  /** Makes the sheet blank again for the next joint. */
  reset(): this {
    this.code = FITS
    this.stated = this.known = this.agreed = this.outside = 0
    this.weakest = 6
    this.#clear()
    return this
  }

  term(sign: 1 | -1, field: Field<number>): void {
    if (field.claim === null) this.allKnown = false
    else {
      if (field.grade < this.weakest) this.weakest = field.grade
      this.sum += sign * field.v
      this.#pm += field.pm
    }
  }

  uses(field: Field<unknown>): void {
    if (field.claim === null) this.allKnown = false
    else if (field.grade < this.weakest) this.weakest = field.grade
  }

  value(figure: number, plusMinus: number): void {
    if (Number.isNaN(figure)) this.allKnown = false
    else {
      this.sum += figure
      this.#pm += plusMinus
    }
  }

  within(limit: Limit, low: number, high: number): void {
    this.stated++
    if (!this.allKnown || Number.isNaN(low) || Number.isNaN(high)) this.#raise(UNMEASURED)
    else {
      this.known++
      judge(limit, this.sum, this.#pm, low, high, this.#judgement)
      if (this.#judgement.agreed) this.agreed++
      if (this.#judgement.outside) this.outside++
      this.#raise(this.#judgement.code)
    }
    this.#clear()
  }

  require(_limit: Limit, holds: boolean, otherwise: Outcome): void {
    this.stated++
    if (!this.allKnown) this.#raise(UNMEASURED)
    else {
      this.known++
      if (holds) this.agreed++
      else {
        this.outside++
        this.#raise(otherwise.code)
      }
    }
    this.#clear()
  }

  show(): void {}
  caution(): void {}
  at(): void {}

  #raise(code: number): void {
    if (code > this.code) this.code = code
  }

  #clear(): void {
    this.sum = 0
    this.#pm = 0
    this.allKnown = true
  }
}
