import type { Range } from './range.ts'

/** What widens a total: a fact that is not known, or a line whose price is wide. */
export interface Drive {
  readonly words: string
  /** The fact, where it is one. */
  readonly fact: string | null
  readonly spreadMinor: number
}

/** The totals of one build, as header, list of builds, brief, first answer and budget alike show them. */
export interface BuildTotals {
  readonly currency: string
  /** P10 to P90 of the draws. */
  readonly likely: Range
  /** P50 of the draws. */
  readonly middleMinor: number
  /** Everything at its least, everything at its most: bounds, with nothing assumed. */
  readonly outer: Range
  /** Twenty totals, each as likely as the next, from least to most. */
  readonly dots: readonly number[]
  /** P10 to P90 of the draws. */
  readonly hours: Range
  readonly hoursMiddle: number
  readonly labour: Range
  /** Lines that no plan answers, by what they may cost. */
  readonly openLines: Range
  /** Lines without any price: counted beside, never as 0. */
  readonly unpriced: number
  /** Likely less the like-for-like repair; null where that has no price. */
  readonly againstRepair: Range | null
  /** Widest first. */
  readonly drives: readonly Drive[]
  /** Lines seen, bought or priced by a person, of all that stand. */
  readonly settled: number
  readonly lines: number
  /** Firm or leaning lines without source or price. */
  readonly open: number
  /** Facts not known that lines hang on. */
  readonly questions: number
  /** What nobody thought of: a typed line, nothing unless somebody types it. */
  readonly contingency: number
  readonly contingencyMinor: number
  /** Ordered, received or fitted. */
  readonly committedMinor: number
  readonly likeForLikeMinor: number | null
  readonly planMinor: number | null
  readonly leftoversMinor: number
  readonly planStatus: string | null
  readonly planIsCurrent: boolean
  readonly proven: string | null
  readonly pairing: string | null
}

/** On which side of a limit a range stands: said only where all of it does. */
export const sideOf = ({ low, high }: Range, limit: number): 'under' | 'over' | 'either' =>
  high <= limit ? 'under' : low > limit ? 'over' : 'either'
