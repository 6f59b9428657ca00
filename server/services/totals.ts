import { type BuildTotals, budget } from '../../core/money/budget.ts'
import { isCurrent, nameOf, type Planned } from './planning.ts'

/** Totals of a build: the header's and the budget's. Nothing is shown before it is computed: without a plan, no total. */
export function totals(plan: Planned): BuildTotals | null {
  if (!plan.run || !plan.plan) return null
  const { build } = plan.view
  const solved = plan.plan.detail
  const open = plan.needs.filter((need) => solved.open.includes(need.id))
  const estimates = open.flatMap((need) => {
    const found = plan.decisions.find(
      (decision) => decision.needId === need.id && decision.act === 'estimate',
    )
    return found ? [Number(found.priceMinor)] : []
  })
  const taskHours = plan.needs.reduce((sum, need) => sum + (need.task?.hours ?? 0), 0)
  const likeForLikeMinor = build.likeForLikeMinor
  const sourced = plan.needs.filter((need) => !need.task).length
  if (solved.totalMinor === null) return null
  return {
    ...budget({
      planMinor: solved.totalMinor,
      taskHours,
      labourRateMinor: build.labourRateMinor,
      estimatesMinor: estimates,
      unpriced: open.length - estimates.length,
      contingency: build.contingency,
      likeForLikeMinor,
    }),
    currency: build.currency,
    contingency: build.contingency,
    likeForLikeMinor,
    planMinor: solved.totalMinor,
    planStatus: String(plan.plan.status),
    planIsCurrent: isCurrent(plan),
    proven: `${solved.status === 'proven' ? 'Proven' : 'Best found'} for ${sourced - open.length} of ${sourced} lines`,
    taskHours,
    pairing: nameOf(plan),
    open: open.length,
  }
}
