import { FACT_ROWS, type FactKey, factWords } from '../facts/index.ts'
import type { Drive } from '../money/budget.ts'
import { type DrawInput, type Drawn, type DrawnLine, draw, LEVELS } from '../money/draw.ts'
import type { Range } from '../money/range.ts'
import { meanOf } from '../money/triangle.ts'
import type { LineCost } from './line-cost.ts'
import type { Need } from './need.ts'
import { type OpenFact, standsBy } from './open-facts.ts'

/** One line with what it costs; `isAnswered` where a plan buys it, `isSettled` where its money is paid or typed. */
export interface CostedLine {
  readonly need: Need
  readonly cost: LineCost
  readonly isAnswered: boolean
  readonly isSettled: boolean
}

/** What is drawn, and what it is drawn from. */
export interface ListTotals {
  readonly drawn: Drawn
  readonly outer: Range
  readonly drives: readonly Drive[]
  /** Spread of the likely total over the values of each open fact, widest first. */
  readonly worth: readonly {
    readonly key: FactKey
    readonly spreadMinor: number
    readonly lines: readonly string[]
  }[]
}

const DRAWS = 4_000
const DRIVES = 7

/**
 * Totals of a list: a draw of what it may come to, and bounds. Lines that hang on one fact come and go together; a line on
 * several hangs on the one that moves most.
 *
 * @param lines what stands, leans or is open, and what an assumption left out
 * @param fixedMinor of the plan: goods, bundles, shipping, less what is sold
 */
export function totalsOf(
  lines: readonly CostedLine[],
  facts: readonly OpenFact[],
  rateMinor: number,
  fixedMinor: number,
): ListTotals {
  const worth = facts
    .map((fact) => {
      const on = lines.filter(({ need }) => need.because.includes(fact.key))
      const sums = fact.values.map(({ truths }) =>
        on.reduce(
          (sum, line) => sum + standsBy(truths.get(line.need.kind)) * likelyOf(line, rateMinor),
          0,
        ),
      )
      return {
        key: fact.key,
        spreadMinor: Math.round(Math.max(...sums) - Math.min(...sums)),
        lines: on.map(({ need }) => need.id),
      }
    })
    .sort((p, q) => q.spreadMinor - p.spreadMinor || (p.key < q.key ? -1 : 1))
  const rank = new Map(worth.map(({ key }, i) => [key, i]))
  const hangs = ({ need }: CostedLine): FactKey | null =>
    need.outcome === 'yes'
      ? null
      : ([...need.because].sort(
          (p, q) => (rank.get(p) ?? Infinity) - (rank.get(q) ?? Infinity),
        )[0] ?? null)
  const place = new Map(facts.map(({ key }, i) => [key, i]))
  const drawn = draw(
    {
      lines: lines.map((line): DrawnLine => {
        const on = hangs(line)
        const at = on === null ? undefined : place.get(on)
        return {
          price: priceOf(line),
          hours: line.need.hours,
          chance: line.cost.chance,
          on: at ?? null,
          stands:
            at === undefined
              ? []
              : facts[at]!.values.map(({ truths }) => standsBy(truths.get(line.need.kind))),
          isSettled: line.isSettled,
        }
      }),
      facts: facts.map(({ values }) => ({ chances: values.map(({ chance }) => chance) })),
      rateMinor,
      fixedMinor,
      levels: LEVELS,
    } satisfies DrawInput,
    DRAWS,
  )
  return {
    drawn,
    outer: outerOf(lines, facts, hangs, rateMinor, fixedMinor),
    drives: drivesOf(lines, worth, rateMinor),
    worth,
  }
}

const NOTHING = [0, 0, 0] as const
/** What a draw takes a line at, if it must be got. */
const priceOf = ({ cost, isAnswered }: CostedLine): LineCost['hours'] =>
  isAnswered ? NOTHING : (cost.whole ?? NOTHING)

const likelyOf = (line: CostedLine, rateMinor: number): number =>
  line.cost.chance * meanOf(priceOf(line)) + meanOf(line.need.hours) * rateMinor

/** Bounds: lines on one fact alternate, so only one of its values is counted at each end. */
function outerOf(
  lines: readonly CostedLine[],
  facts: readonly OpenFact[],
  hangs: (line: CostedLine) => FactKey | null,
  rateMinor: number,
  fixedMinor: number,
): Range {
  let [low, high] = [fixedMinor, fixedMinor]
  const ends = (line: CostedLine, share: number): Range => {
    const price = priceOf(line)
    const [least, most] = [line.need.hours[0] * rateMinor, line.need.hours[2] * rateMinor]
    // What may not have to be got costs nothing at its least; what is sold brings most at its least.
    return {
      low:
        (line.cost.chance < 1 || share < 1 ? Math.min(0, price[0]) : price[0]) +
        (share < 1 ? 0 : least),
      high: (line.cost.chance === 0 ? 0 : Math.max(share < 1 ? 0 : price[2], price[2])) + most,
    }
  }
  const byFact = new Map<FactKey, CostedLine[]>()
  for (const line of lines) {
    const on = hangs(line)
    if (on === null) {
      const { low: l, high: h } = ends(line, 1)
      low += l
      high += h
    } else byFact.set(on, [...(byFact.get(on) ?? []), line])
  }
  for (const { key, values } of facts) {
    const on = byFact.get(key)
    if (!on) continue
    const sums = values.map(({ truths }) => {
      let sum: Range = { low: 0, high: 0 }
      for (const line of on) {
        const share = standsBy(truths.get(line.need.kind))
        if (share === 0) continue
        const { low: l, high: h } = ends(line, share)
        sum = { low: sum.low + l, high: sum.high + h }
      }
      return sum
    })
    low += Math.min(...sums.map((one) => one.low))
    high += Math.max(...sums.map((one) => one.high))
  }
  return { low: Math.round(low), high: Math.round(high) }
}

/** What would narrow the total most, once known or priced. */
function drivesOf(
  lines: readonly CostedLine[],
  worth: ListTotals['worth'],
  rateMinor: number,
): readonly Drive[] {
  const byFact = worth.map(({ key, spreadMinor }) => ({
    words: FACT_ROWS[key].asks ?? factWords(key),
    fact: key,
    spreadMinor,
  }))
  const byLine = lines
    .filter(({ need }) => need.outcome === 'yes')
    .map((line) => {
      const price = priceOf(line)
      return {
        words: line.need.words,
        fact: null,
        spreadMinor: Math.round(
          (price[2] - price[0]) * line.cost.chance +
            (line.need.hours[2] - line.need.hours[0]) * rateMinor,
        ),
      }
    })
  return [...byFact, ...byLine]
    .filter(({ spreadMinor }) => spreadMinor > 0)
    .sort((p, q) => q.spreadMinor - p.spreadMinor)
    .slice(0, DRIVES)
}
