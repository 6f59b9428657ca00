import type { SparseModel } from './model.ts'

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
