import type { Problem } from './problem.ts'
import { noPlan, type OnProgress, type Plan, solveSourcing } from './solve.ts'
import type { Solve } from './solver.ts'

/**
 * Solves, has the finished plan judged as a whole, cuts off what fails and solves again, until a plan stands: what is proven
 * has been judged. Nothing that was not judged is answered: where time runs out first there is no plan.
 *
 * @param again the problem with what fails cut off; null where the plan stands
 */
export async function solveJudged(
  problem: Problem,
  solve: Solve,
  timeLimitMs: number,
  onProgress: OnProgress,
  again: (plan: Plan) => Promise<Problem | null>,
): Promise<{ readonly plan: Plan; readonly problem: Problem }> {
  const until = performance.now() + timeLimitMs
  for (let posed = problem; ; ) {
    const plan = solveSourcing(posed, solve, Math.max(0, until - performance.now()), onProgress)
    if (plan.lines.length === 0) return { plan, problem: posed }
    const next = await again(plan)
    if (!next) return { plan, problem: posed }
    posed = next
    if (performance.now() >= until) return { plan: noPlan(plan.open), problem: posed }
  }
}
