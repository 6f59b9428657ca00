import { isAsked } from '../../../core/facts/place-of.ts'
import type { BuildTotals } from '../../../core/money/budget.ts'
import { convert, timesRate } from '../../../core/money/money.ts'
import { rateBetween } from '../../../core/money/offer-price.ts'
import { addRanges, type Range } from '../../../core/money/range.ts'
import type { Three } from '../../../core/money/three.ts'
import { ROW_CURRENCY } from '../../../core/needs/line.ts'
import { type LineCost, lineCost } from '../../../core/needs/line-cost.ts'
import type { Need } from '../../../core/needs/need.ts'
import { openFacts } from '../../../core/needs/open-facts.ts'
import { type CostedLine, type ListTotals, totalsOf } from '../../../core/needs/totals.ts'
import { comesId, keptId } from '../../../core/sourcing/ids.ts'
import { Memory } from '../shop/memory.ts'
import { isCurrent, nameOf, ownLineOf, type Planned, supplyIn } from './planning.ts'

/** What each line costs and takes before anything is bought, by need. */
export function costsOf(plan: Planned): ReadonlyMap<string, LineCost> {
  const { build, catalogue } = plan.view
  const rate = rateBetween(catalogue.trade.rates, ROW_CURRENCY, build.currency)
  const inMinor = (eur: number): number =>
    Math.sign(eur) * convert(Math.abs(Math.round(eur * 100)), ROW_CURRENCY, build.currency, rate!)
  const soughtIds = new Set(plan.sought.map(({ id }) => id))
  return new Map(
    [...plan.needs, ...plan.folded].map((need): [string, LineCost] => {
      const own = plan.decisions.filter(({ needId }) => needId === need.id)
      const typed = own.find(
        ({ act, priceMinor }) =>
          (act === 'price' || act === 'estimate' || act === 'order' || act === 'receive') &&
          priceMinor !== null &&
          priceMinor !== undefined,
      )
      const range = soughtIds.has(need.id) ? plan.gathered.sources.range(need) : null
      const assumed: Three | null =
        need.eur[2] === 0 && need.eur[0] === 0
          ? [0, 0, 0]
          : rate === null
            ? null
            : [inMinor(need.eur[0]), inMinor(need.eur[1]), inMinor(need.eur[2])]
      return [
        need.id,
        lineCost(need, supplyIn(plan, need), {
          typedMinor: typed?.priceMinor ?? ownLineOf(plan.view, need)?.priceMinor ?? undefined,
          offered: range && offered(range),
          assumed,
        }),
      ]
    }),
  )
}

/** What the market asks from least to most; likeliest between them, nearer the least. */
const offered = ({ low, high }: Range): Three => [
  low,
  Math.min(high, Math.max(low, Math.round(Math.sqrt(Math.max(0, low) * Math.max(0, high))))),
  high,
]

const drawn = new Memory<ListTotals>(60)

/** What a build's list may come to, from its costs and its open facts; drawn once for the same list. */
export function listTotals(plan: Planned, costs = costsOf(plan)): ListTotals {
  const { build } = plan.view
  const solved = plan.plan && plan.plan.detail.totalMinor !== null ? plan.plan.detail : null
  const answered = new Set(solved?.lines.map(({ need }) => need))
  // Taken at nothing, though nobody has seen that it stays or comes: it may cost another after all.
  const unseen = new Set(
    solved?.lines.flatMap(({ need, candidate }) =>
      (candidate === keptId(need) && costs.get(need)?.supply === 'keep') ||
      (candidate === comesId(need) && costs.get(need)?.supply === 'comes')
        ? need
        : [],
    ),
  )
  const lines = [...plan.needs, ...plan.folded].map((need): CostedLine => {
    const cost = costs.get(need.id)!
    return {
      need,
      cost,
      isAnswered: answered.has(need.id) && !unseen.has(need.id),
      isSettled: cost.supply === 'settled' || cost.supply === 'here',
    }
  })
  const keys = [...new Set(lines.flatMap(({ need }) => need.because))].sort()
  const fixed = (solved?.totalMinor ?? 0) - (build.leftoversMinor ?? 0)
  const words = JSON.stringify([
    lines.map(({ need, cost, isAnswered, isSettled }) => [
      need.id,
      need.outcome,
      need.because,
      cost.whole,
      cost.chance,
      need.hours,
      isAnswered,
      isSettled,
    ]),
    plan.facts,
    plan.view.recipes,
    build.labourRateMinor,
    fixed,
  ])
  return drawn.recall([], words, () =>
    totalsOf(lines, openFacts(plan.rows, plan.facts, keys), build.labourRateMinor, fixed),
  )
}

/**
 * Totals of a build: of the header, the list of builds, brief, first answer and budget alike. Null without a pairing.
 */
export function totals(plan: Planned, costs = costsOf(plan)): BuildTotals | null {
  if (!plan.run) return null
  const { build } = plan.view
  const solved = plan.plan && plan.plan.detail.totalMinor !== null ? plan.plan.detail : null
  const { drawn: found, outer, drives, worth } = listTotals(plan, costs)
  const answered = new Set(solved?.lines.map(({ need }) => need))
  const of = (need: Need): LineCost => costs.get(need.id)!
  const standing = plan.needs.filter(
    ({ outcome, sort }) => sort !== 'blocker' && (outcome === 'yes' || outcome === 'leans yes'),
  )
  const isOpen = (need: Need): boolean => {
    const { supply, from } = of(need)
    return (
      !need.task &&
      need.sort === 'part' &&
      !answered.has(need.id) &&
      supply === 'get' &&
      from !== 'typed'
    )
  }
  const open = standing.filter(isOpen)
  const prices = plan.needs.flatMap((need) => {
    const { price } = of(need)
    return answered.has(need.id) || !price ? [] : { low: price[0], high: price[2] }
  })
  const { likeForLikeMinor, leftoversMinor, contingency } = build
  const contingencyMinor = timesRate(Math.round(Math.max(0, found.p50)), contingency)
  const at = (minor: number): number => Math.round(minor) + contingencyMinor
  const likely = { low: at(found.p10), high: at(found.p90) }
  const repair = likeForLikeMinor ?? null
  return {
    currency: build.currency,
    likely,
    middleMinor: at(found.p50),
    outer: { low: outer.low + contingencyMinor, high: outer.high + contingencyMinor },
    dots: found.dots.map(at),
    hours: { low: found.hours.p10, high: found.hours.p90 },
    hoursMiddle: found.hours.p50,
    labour: {
      low: timesRate(build.labourRateMinor, found.hours.p10),
      high: timesRate(build.labourRateMinor, found.hours.p90),
    },
    openLines: addRanges(prices),
    unpriced: standing.filter((need) => of(need).whole === null).length,
    againstRepair:
      repair === null ? null : { low: likely.low - repair, high: likely.high - repair },
    drives,
    settled: standing.filter((need) => of(need).supply === 'here' || of(need).supply === 'settled')
      .length,
    lines: standing.length,
    open: open.length,
    questions: worth.filter(({ key, lines }) => lines.length > 0 && isAsked(key)).length,
    contingency,
    contingencyMinor,
    committedMinor: committed(plan),
    likeForLikeMinor: repair,
    planMinor: solved?.totalMinor ?? null,
    leftoversMinor: leftoversMinor ?? 0,
    planStatus: plan.plan ? String(plan.plan.status) : null,
    planIsCurrent: isCurrent(plan),
    proven: solved
      ? `${solved.status === 'proven' ? 'Proven' : 'Best found'} for ${solved.lines.length} of ${plan.sought.length} lines`
      : null,
    pairing: nameOf(plan),
  }
}

/** What is ordered or here, once a line: what was paid for what came, else what it was ordered at. */
function committed({ decisions, view }: Planned): number {
  const paid = new Map<string, number>()
  for (const step of ['order', 'receive'] as const)
    for (const { needId, act, priceMinor } of decisions)
      if (act === step && priceMinor !== null) paid.set(needId, priceMinor)
  const own = view.ownLines.filter(({ state }) => state === 'ordered' || state === 'paid')
  return [...paid.values(), ...own.map(({ priceMinor }) => priceMinor ?? 0)].reduce(
    (sum, minor) => sum + minor,
    0,
  )
}
