import type { Field } from '../ports/field.ts'
import type { Limit, Outcome } from './verdict.ts'

/**
 * What a check writes on. It names its inputs (term, uses, value), then states a limit (within, require).
 * Inputs gathered since the last limit belong to the next one. Two sheets implement it: Tally and RecordSheet.
 */
export interface Sheet {
  /** Adds a length to the running sum, with sign. */
  term(sign: 1 | -1, field: Field<number>): void
  /** Names an input that is not a term of the sum. */
  uses(field: Field<any>): void
  /** Adds a computed figure to the running sum, where the formula is not a plain sum. */
  value(figure: number, plusMinus: number): void
  /** Judges the running sum against a window; NaN at either end = unknown. */
  within(limit: Limit, low: number, high: number): void
  /** Judges what is not a number: holds or becomes the outcome. */
  require(limit: Limit, holds: boolean, otherwise: Outcome): void
  /** True while every input named since the last limit is known. */
  readonly allKnown: boolean
  /** The running sum. */
  readonly sum: number
  /** Shown beside the verdict; decides nothing. */
  show(label: string, value: number | string, unit: string): void
  caution(words: string): void
  /** Names the pair of faces being judged, where a joint is judged at several. */
  at(place: string): void
}

/** Slack on inclusive limits, in the field's unit. */
export const SLACK = 1e-6
