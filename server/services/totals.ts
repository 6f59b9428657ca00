import { type BuildTotals, budget, type OpenLine } from '../../core/money/budget.ts'
import { keptId } from '../../core/sourcing/ids.ts'
import { keptPieces } from '../../core/sourcing/kept.ts'
import { type FirstAnswer, firstAnswer } from '../../core/templates/first-answer.ts'
import { isCurrent, nameOf, type Planned } from './planning.ts'

/** What each line costs and takes before anything is bought. */
export function rangesOf(plan: Planned): FirstAnswer {
  const { build, catalogue } = plan.view
  const decided = (act: string): Set<string> =>
    new Set(plan.decisions.filter((one) => one.act === act).map((one) => one.needId))
  const typed = new Map(
    plan.decisions
      .filter((one) => one.act === 'price' || one.act === 'estimate')
      .map((one) => [one.needId, Number(one.priceMinor)]),
  )
  const kept = keptPieces(plan.needs, plan.decisions)
  return firstAnswer(
    plan.needs,
    (need) => plan.gathered.sources.range(need),
    kept,
    typed,
    new Set([...decided('confirm'), ...kept.keys(), ...typed.keys()]),
    { currency: build.currency, labourRateMinor: build.labourRateMinor },
    catalogue.trade.rates,
  )
}

/**
 * Totals of a build: of the header, the list of builds, brief, first answer and budget alike. What the plan answers costs
 * what it says; every other line is a range. Null without a pairing.
 */
export function totals(plan: Planned, ranges = rangesOf(plan)): BuildTotals | null {
  if (!plan.run) return null
  const { build } = plan.view
  const solved = plan.plan && plan.plan.detail.totalMinor !== null ? plan.plan.detail : null
  const kept = keptPieces(plan.needs, plan.decisions)
  const answered = new Set(solved?.lines.map(({ need }) => need))
  // Taken as kept at nothing, though nobody has said that it stays: it may cost another after all.
  const unseen = new Set(
    solved?.lines.flatMap(({ need, candidate }) =>
      candidate === keptId(need) && kept.get(need) === false ? need : [],
    ),
  )
  const priceOf = new Map(ranges.lines.map(({ need, price }) => [need, price]))
  const lines = plan.needs.filter((need) => !need.task)
  const open = lines.filter(({ id }) => !answered.has(id))
  const ranged = lines.filter(({ id }) => !answered.has(id) || unseen.has(id))
  const { likeForLikeMinor, leftoversMinor } = build
  return {
    ...budget({
      planMinor: solved?.totalMinor ?? null,
      salesMinor: (solved?.bundles ?? []).reduce(
        (sum, { resaleMinor, scrapMinor }) => sum + resaleMinor + scrapMinor,
        0,
      ),
      leftoversMinor: leftoversMinor ?? 0,
      open: ranged.map(
        (need): OpenLine => ({
          words: need.words,
          price: priceOf.get(need.id) ?? null,
        }),
      ),
      hours: ranges.hours,
      labourRateMinor: build.labourRateMinor,
      contingency: build.contingency,
      likeForLikeMinor,
    }),
    currency: build.currency,
    contingency: build.contingency,
    likeForLikeMinor,
    planMinor: solved?.totalMinor ?? null,
    leftoversMinor: leftoversMinor ?? 0,
    planStatus: plan.plan ? String(plan.plan.status) : null,
    planIsCurrent: isCurrent(plan),
    proven: solved
      ? `${solved.status === 'proven' ? 'Proven' : 'Best found'} for ${lines.length - open.length} of ${lines.length} lines`
      : null,
    hours: ranges.hours,
    pairing: nameOf(plan),
    open: open.length,
  }
}
