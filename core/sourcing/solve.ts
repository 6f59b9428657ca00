import { type Account, accountOf, type Basket, type PlanLine } from './account.ts'
import { withoutDominated } from './dominance.ts'
import { explain } from './explain.ts'
import { setAsideOpen } from './filters.ts'
import { firstPlan } from './first-plan.ts'
import { buildModel } from './model.ts'
import type { Problem } from './problem.ts'
import type { Solve } from './solver.ts'

export interface Plan {
  /** proven: no cheaper plan exists for the needs that are not open. gap: feasible, bound given. none: time ran out first. */
  readonly status: 'proven' | 'gap' | 'infeasible' | 'none'
  readonly totalMinor: number | null
  readonly boundMinor: number | null
  readonly lines: readonly PlanLine[]
  readonly baskets: readonly Basket[]
  readonly bundles: Account['bundles']
  readonly skipped: readonly string[]
  readonly open: readonly string[]
  /** Minimal list of lock, limit and fact ids that contradict one another. */
  readonly because?: readonly string[]
  /** Needs that these leave without any source. */
  readonly without?: readonly string[]
}

/** Told while it is solved: best total and bound so far, minor units. */
export type OnProgress = (best: number, bound: number) => void

const EMPTY = { lines: [], baskets: [], bundles: [], skipped: [] } as const

/** The answer where time ran out, or the solve was stopped, before there was a plan. @param open needs without any source */
export const noPlan = (open: readonly string[]): Plan => ({
  status: 'none',
  totalMinor: null,
  boundMinor: null,
  ...EMPTY,
  open,
})

/**
 * Solves a sourcing problem exactly. The total is recomputed in integers and that figure shown; infeasible is reported
 * only when a second solve without presolve agrees, and then explained by a minimal set of rules. The time limit is that of
 * all of it, explanation included. A first plan and a bound are told at once; the plan stands where nothing better is found.
 */
export function solveSourcing(
  full: Problem,
  solve: Solve,
  timeLimitMs = 30_000,
  onProgress: OnProgress = () => {},
): Plan {
  const until = performance.now() + timeLimitMs
  const timeLeft = (): number => Math.max(0, until - performance.now())
  const { problem: wanted, open } = setAsideOpen(full)
  const problem = withoutDominated(wanted)
  const first = firstPlan(problem)
  onProgress(
    first.account ? first.account.totalMinor + first.account.penaltyMinor : Infinity,
    first.bound,
  )
  const fallback = (): Plan =>
    first.account ? planOf(first.account, first.skipped, 'gap', first.bound, open) : noPlan(open)
  const built = buildModel(problem)
  let answer = solve(built.model, { timeLimitMs: timeLeft(), presolve: true })
  if (answer.status === 'infeasible')
    answer = solve(built.model, { timeLimitMs: timeLeft(), presolve: false })
  if (answer.status === 'infeasible')
    return { ...noPlan(open), status: 'infeasible', ...explain(problem, solve, timeLeft) }
  if (!answer.values) return fallback()
  const selection = built.read(answer.values)
  const account = accountOf(problem, selection)
  if (account.broken.length > 0) return fallback()
  const isProven =
    answer.status === 'optimal' &&
    Math.abs(account.totalMinor + account.penaltyMinor - answer.objective) < 0.5
  if (
    !isProven &&
    first.account &&
    first.account.totalMinor + first.account.penaltyMinor <
      account.totalMinor + account.penaltyMinor
  )
    return planOf(first.account, first.skipped, 'gap', Math.max(first.bound, answer.bound), open)
  return planOf(
    account,
    selection.skipped,
    isProven ? 'proven' : 'gap',
    Math.max(first.bound, answer.bound),
    open,
  )
}

function planOf(
  account: Account,
  skipped: ReadonlySet<string>,
  status: 'proven' | 'gap',
  bound: number,
  open: readonly string[],
): Plan {
  const { totalMinor, penaltyMinor, lines, baskets, bundles } = account
  return {
    status,
    totalMinor,
    boundMinor:
      status === 'proven'
        ? totalMinor
        : Math.min(Math.ceil(bound - penaltyMinor - 1e-6), totalMinor),
    lines,
    baskets,
    bundles,
    skipped: [...skipped],
    open,
  }
}
