import { SLACK } from './sheet.ts'
import { BRIDGE, FITS, type Limit, type Outcome, UNMEASURED } from './verdict.ts'

const UNSTATED: Outcome = { code: BRIDGE, words: 'Outside its window' }

/** How one limit came out: the code, and the outcome that gave it (null when it agrees or is unmeasured). */
export interface Judgement {
  code: number
  outcome: Outcome | null
  outside: boolean
  agreed: boolean
  straddles: boolean
}

/** The one place where a sum meets its window: both sheets call it, so they cannot differ. Writes into `out`. */
export function judge(limit: Limit, value: number, pm: number, low: number, high: number, out: Judgement): void {
  const under = value < low - SLACK
  const over = value > high + SLACK
  out.outside = under || over
  out.outcome = null
  out.straddles = false
  if (limit.damage) {
    const inside = value - pm >= low - SLACK && value + pm <= high + SLACK
    const whollyOutside = value + pm < low - SLACK || value - pm > high + SLACK
    out.agreed = inside
    if (inside) out.code = FITS
    else if (whollyOutside) {
      out.outcome = outcomeOf(limit, value, low, high, under)
      out.code = out.outcome.code
    } else {
      out.straddles = true
      out.code = UNMEASURED
    }
    return
  }
  out.agreed = !out.outside
  if (!out.outside) out.code = FITS
  else {
    out.outcome = outcomeOf(limit, value, low, high, under)
    out.code = out.outcome.code
  }
}

function outcomeOf(limit: Limit, value: number, low: number, high: number, under: boolean): Outcome {
  const miss = under ? low - value : value - high
  if (limit.near && miss <= limit.near.within + SLACK) return limit.near.outcome
  return (under ? limit.below : limit.above) ?? limit.below ?? limit.above ?? UNSTATED
}
