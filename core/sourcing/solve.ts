import { type Account, accountOf, type Basket, type PlanLine } from './account.ts'
import { withoutDominated } from './dominance.ts'
import { lockedOut, RULE, setAsideOpen } from './filters.ts'
import { buildModel, type SparseModel } from './model.ts'
import type { Problem } from './problem.ts'

export interface SolverAnswer {
  readonly status: 'optimal' | 'infeasible' | 'stopped' | 'none'
  readonly values: ArrayLike<number> | null
  readonly objective: number
  readonly bound: number
}

export interface SolverOptions {
  readonly timeLimitMs: number
  readonly presolve: boolean
}

/** A solver of binary programmes, passed in: core knows none. */
export type Solve = (model: SparseModel, options: SolverOptions) => SolverAnswer

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
}

const EMPTY = { lines: [], baskets: [], bundles: [], skipped: [] } as const

/**
 * Solves a sourcing problem exactly. The total is recomputed in integers and that figure shown; infeasible is reported
 * only when a second solve without presolve agrees, and then explained by a minimal set of rules.
 */
export function solveSourcing(full: Problem, solve: Solve, timeLimitMs = 30_000): Plan {
  const { problem: wanted, open } = setAsideOpen(full)
  const problem = withoutDominated(wanted)
  const built = buildModel(problem)
  let answer = solve(built.model, { timeLimitMs, presolve: true })
  if (answer.status === 'infeasible') answer = solve(built.model, { timeLimitMs, presolve: false })
  if (answer.status === 'infeasible')
    return {
      status: 'infeasible',
      totalMinor: null,
      boundMinor: null,
      ...EMPTY,
      open,
      because: explain(problem, solve, timeLimitMs),
    }
  if (!answer.values) return { status: 'none', totalMinor: null, boundMinor: null, ...EMPTY, open }
  const selection = built.read(answer.values)
  const account = accountOf(problem, selection)
  const agrees =
    account.broken.length === 0 &&
    Math.abs(account.totalMinor + account.penaltyMinor - answer.objective) < 0.5
  if (account.broken.length > 0)
    return { status: 'none', totalMinor: null, boundMinor: null, ...EMPTY, open }
  const bound = Math.ceil(answer.bound - account.penaltyMinor - 1e-6)
  return {
    status: answer.status === 'optimal' && agrees ? 'proven' : 'gap',
    totalMinor: account.totalMinor,
    boundMinor:
      answer.status === 'optimal' && agrees
        ? account.totalMinor
        : Math.min(bound, account.totalMinor),
    lines: account.lines,
    baskets: account.baskets,
    bundles: account.bundles,
    skipped: [...selection.skipped],
    open,
  }
}

/** Rules that can be given up; what is tried first goes first, so locks, held dearest, stay in the answer. */
function ruleIds(problem: Problem): string[] {
  const { maxSuppliers, maxDonors, banned = [] } = problem.limits ?? {}
  return [
    ...problem.suppliers
      .filter((s) => (s.minimumMinor ?? 0) > 0 || s.shipping.some((c) => c.fromMinor))
      .map((s) => RULE.minimum(s.id)),
    ...problem.suppliers
      .filter((s) => s.shipping.some((c) => c.upToG !== undefined))
      .map((s) => RULE.weight(s.id)),
    ...(maxSuppliers === undefined ? [] : [RULE.maxSuppliers]),
    ...(maxDonors === undefined ? [] : [RULE.maxDonors]),
    ...banned.map(RULE.banned),
    ...(problem.locks ?? []).map((lock) => lock.id),
  ]
}

/**
 * A minimal set of rules that contradict one another, by a deletion filter: drop one, keep it dropped if still infeasible.
 * First without a solver: a need that locks and bans left without any source names just those.
 */
export function explain(problem: Problem, solve: Solve, timeLimitMs: number): string[] {
  const out = lockedOut(problem, new Set())
  for (const need of problem.needs) {
    if (need.optional) continue
    const rules = [
      ...problem.candidates.filter((c) => c.need === need.id).map((c) => out.candidates.get(c.id)),
      ...problem.bundles.flatMap((b) =>
        b.items.some(
          (item) =>
            item.need === need.id &&
            (item.quantity === undefined || item.quantity >= need.quantity),
        )
          ? [out.bundles.get(b.id)]
          : [],
      ),
    ]
    if (rules.every((rule) => rule !== undefined)) return [...new Set(rules as string[])].sort()
  }
  const dropped = new Set<string>()
  const isInfeasible = (): boolean => {
    const { model } = buildModel(problem, dropped, true)
    return [true, false].every(
      (presolve) => solve(model, { timeLimitMs, presolve }).status === 'infeasible',
    )
  }
  const rules = ruleIds(problem)
  for (const rule of rules) {
    dropped.add(rule)
    if (!isInfeasible()) dropped.delete(rule)
  }
  return rules.filter((rule) => !dropped.has(rule)).sort()
}
