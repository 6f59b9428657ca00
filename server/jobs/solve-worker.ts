import { once } from 'node:events'
import type { MessagePort } from 'node:worker_threads'
import loadHighs from 'highs'
import type { SourceInfo } from '../../core/sourcing/candidates.ts'
import type { Problem } from '../../core/sourcing/problem.ts'
import { type Plan, solveSourcing } from '../../core/sourcing/solve.ts'
import { highsSolve } from './highs.ts'
import { stepBack } from './step-back.ts'

/** What is solved, and what is known of its sources. */
export interface Posed {
  readonly problem: Problem
  readonly sources: readonly SourceInfo[]
}

/** A plan, and the sources it takes. */
export interface Solved {
  readonly plan: Plan
  readonly sources: readonly SourceInfo[]
}

export interface SolveTask {
  /** What is solved, or where it comes from: from another thread it never passes through the one that answers. */
  readonly posed: Posed | MessagePort
  readonly timeLimitMs: number
  /** Float64 [stop, best, bound, messages] shared with the runner: a posted message cannot reach a running solver. */
  readonly shared: SharedArrayBuffer
}

stepBack()
const loaded = loadHighs()

export default async function solve({ posed, timeLimitMs, shared }: SolveTask): Promise<Solved> {
  const state = new Float64Array(shared)
  const { problem, sources } = 'problem' in posed ? posed : await received(posed)
  const plan = await solveSourcing(
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
  const taken = new Set(plan.lines.map((line) => line.candidate ?? `${line.bundle}\u0000${line.item}`))
  return { plan, sources: sources.filter((source) => taken.has(source.id)) }
}

async function received(port: MessagePort): Promise<Posed> {
  const [posed] = (await once(port, 'message')) as [Posed]
  port.close()
  return posed
}
