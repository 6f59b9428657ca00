import { once } from 'node:events'
import type { MessagePort } from 'node:worker_threads'
import loadHighs from 'highs'
import { itemKey, takenBy } from '../../core/sourcing/ids.ts'
import type { Problem, Source } from '../../core/sourcing/problem.ts'
import type { Plan } from '../../core/sourcing/solve.ts'
import { solveJudged } from '../../core/sourcing/solve-judged.ts'
import { highsSolve } from './highs.ts'
import { stepBack } from './step-back.ts'

/** A plan, and what each of its lines takes, by id of the source. */
export interface Solved {
  readonly plan: Plan
  readonly taken: ReadonlyMap<string, Taken>
}

export interface Taken {
  readonly source: Source | 'kit' | 'donor'
  readonly supplierId: string | null
  readonly partId: string | null
}

export interface SolveTask {
  /** What is solved, or where it comes from: from another thread it never passes through the one that answers. */
  readonly problem: Problem | MessagePort
  readonly timeLimitMs: number
  /** Float64 [stop, best, bound, messages and 1 once it begins] shared with the runner: a posted message cannot reach a running solver. */
  readonly shared: SharedArrayBuffer
}

stepBack()
const loaded = loadHighs()

export default async function solve({
  problem: posed,
  timeLimitMs,
  shared,
}: SolveTask): Promise<Solved> {
  const state = new Float64Array(shared)
  state[1] = Infinity
  state[2] = -Infinity
  state[3] = 1
  const onProgress = (best: number, bound: number): void => {
    state[1] = Math.min(state[1]!, best)
    state[2] = Math.max(state[2]!, bound)
    state[3] = (state[3] ?? 0) + 1
  }
  const port = 'candidates' in posed ? null : posed
  try {
    const problem = 'candidates' in posed ? posed : await told<Problem>(posed)
    const solver = await loaded
    const solved = await solveJudged(
      problem,
      highsSolve(solver, { shouldStop: () => state[0] === 1, onProgress }),
      timeLimitMs,
      // What was found before something was cut off is no plan any more.
      (best, bound) => {
        state[1] = Infinity
        onProgress(best, bound)
      },
      async ({ lines }) => {
        if (!port) return null
        port.postMessage(lines)
        return told<Problem | null>(port)
      },
    )
    return { plan: solved.plan, taken: takenOf(solved.plan, solved.problem) }
  } finally {
    port?.close()
  }
}

/** What is said next by a port. @throws Error where the other end is gone */
async function told<T>(port: MessagePort): Promise<T> {
  const [message] = await Promise.race([
    once(port, 'message'),
    once(port, 'close').then(() => {
      throw new Error('What it was solved from was closed meanwhile. Solve again.')
    }),
  ])
  return message as T
}

function takenOf(plan: Plan, { candidates, bundles }: Problem): Map<string, Taken> {
  const wanted = new Set(plan.lines.map(takenBy))
  const taken = new Map<string, Taken>()
  for (const { id, source, supplier, part } of candidates)
    if (wanted.has(id))
      taken.set(id, { source, supplierId: supplier ?? null, partId: part ?? null })
  for (const bundle of bundles)
    for (const item of bundle.items)
      if (wanted.has(itemKey(bundle.id, item.id)))
        taken.set(itemKey(bundle.id, item.id), {
          source: bundle.kind,
          supplierId: null,
          partId: item.part ?? null,
        })
  return taken
}
