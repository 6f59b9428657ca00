import { RULE, withoutSource } from './filters.ts'
import { buildModel } from './model.ts'
import type { Problem } from './problem.ts'
import type { Solve } from './solver.ts'

/** Why no plan holds. */
export interface Explanation {
  /** Ids of locks, limits, facts and conflicts that contradict one another: leave out any of them and a plan holds. */
  readonly because: readonly string[]
  /** Needs that these leave without any source. */
  readonly without: readonly string[]
}

/**
 * A minimal set of rules that contradict one another, by a deletion filter: drop one, keep it dropped if still infeasible.
 * First without a solver: needs that locks and bans left without any source name just those. Where time runs out what is
 * left contradicts itself still, though perhaps not all of it is needed.
 *
 * @param timeLeft milliseconds until the request's limit
 */
export function explain(problem: Problem, solve: Solve, timeLeft: () => number): Explanation {
  const rules = ruleIds(problem)
  const bare = withoutSource(problem, new Set())
  const isInfeasible =
    bare.length > 0
      ? (dropped: ReadonlySet<string>) => withoutSource(problem, dropped).includes(bare[0]!)
      : (dropped: ReadonlySet<string>) => {
          const { model } = buildModel(problem, dropped, true)
          return [true, false].every(
            (presolve) =>
              timeLeft() > 0 &&
              solve(model, { timeLimitMs: timeLeft(), presolve }).status === 'infeasible',
          )
        }
  const dropped = new Set<string>()
  for (const rule of rules) {
    dropped.add(rule)
    if (!isInfeasible(dropped)) dropped.delete(rule)
  }
  const because = rules.filter((rule) => !dropped.has(rule)).sort()
  return { because, without: withoutSource(problem, dropped) }
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
    ...new Set((problem.conflicts ?? []).map(({ id }) => id)),
    ...(maxSuppliers === undefined ? [] : [RULE.maxSuppliers]),
    ...(maxDonors === undefined ? [] : [RULE.maxDonors]),
    ...banned.map(RULE.banned),
    ...(problem.locks ?? []).map((lock) => lock.id),
  ]
}
