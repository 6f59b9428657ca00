import { timesRate } from './money.ts'

export interface BudgetInput {
  /** Of the plan: goods, bundles, strip labour, shipping, less resale and scrap; tax included. */
  readonly planMinor: number
  readonly taskHours: number
  readonly labourRateMinor: number
  /** Typed estimates of open lines. */
  readonly estimatesMinor: readonly number[]
  /** Open lines with neither a source nor an estimate: counted beside, never as 0. */
  readonly unpriced: number
  /** Fraction, 0.2 = 20 %. */
  readonly contingency: number
  readonly likeForLikeMinor: number | null
}

export interface Budget {
  readonly likelyMinor: number
  readonly safeMinor: number
  readonly labourMinor: number
  readonly estimatesMinor: number
  readonly unpriced: number
  /** likely − like-for-like; null when no like-for-like price is known. */
  readonly againstRepairMinor: number | null
}

/** Likely = plan + task hours × labour rate + typed estimates; safe = likely × (1 + contingency). Rounded half-even. */
export function budget(input: BudgetInput): Budget {
  const labourMinor = timesRate(input.labourRateMinor, input.taskHours)
  const estimatesMinor = input.estimatesMinor.reduce((sum, value) => sum + value, 0)
  const likelyMinor = input.planMinor + labourMinor + estimatesMinor
  return {
    likelyMinor,
    safeMinor: likelyMinor + timesRate(likelyMinor, input.contingency),
    labourMinor,
    estimatesMinor,
    unpriced: input.unpriced,
    againstRepairMinor:
      input.likeForLikeMinor === null ? null : likelyMinor - input.likeForLikeMinor,
  }
}

/** The totals of one build as they are shown, with what they were made from. */
export interface BuildTotals extends Budget {
  readonly currency: string
  readonly contingency: number
  readonly likeForLikeMinor: number | null
  readonly planMinor: number | null
  readonly planStatus: string | null
  readonly planIsCurrent: boolean
  readonly proven: string | null
  readonly taskHours: number
  readonly pairing: string | null
  readonly open: number
}
