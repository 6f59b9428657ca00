import loadHighs from 'highs'
import type { Problem } from '../../core/sourcing/problem.ts'
import { type Plan, solveSourcing } from '../../core/sourcing/solve.ts'
import { highsSolve } from './highs.ts'
import { stepBack } from './step-back.ts'

export interface SolveTask {
  readonly problem: Problem
  readonly timeLimitMs: number
  /** Float64 [stop, best, bound, messages] shared with the runner: a posted message cannot reach a running solver. */
  readonly shared: SharedArrayBuffer
}

stepBack()
const loaded = loadHighs()

export default async function solve({ problem, timeLimitMs, shared }: SolveTask): Promise<Plan> {
  const state = new Float64Array(shared)
  return solveSourcing(
    problem,
    highsSolve(await loaded, {
      shouldStop: () => state[0] === 1,
      onProgress: (best, bound) => {
        state[1] = best
        state[2] = bound
        state[3] = (state[3] ?? 0) + 1
      },
    }),
    timeLimitMs,
  )
}
