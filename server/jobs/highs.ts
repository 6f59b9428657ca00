import type loadHighs from 'highs'
import type { SparseModel } from '../../core/sourcing/model.ts'
import type { Solve, SolverAnswer } from '../../core/sourcing/solver.ts'

type Highs = Awaited<ReturnType<typeof loadHighs>>

/** The presolve rule (bit 12) under which the solver has called feasible models infeasible: always off. */
const AGGREGATOR_OFF = 4096

export interface SolverWatch {
  /** Polled from inside the solver; true stops it and keeps the best plan so far. */
  readonly shouldStop?: () => boolean
  readonly onProgress?: (best: number, bound: number) => void
}

/** The solver behind the one interface core knows. Every model is disposed, whatever happens. */
export function highsSolve(highs: Highs, watch: SolverWatch = {}): Solve {
  return (model, { timeLimitMs, presolve }) => {
    const instance = highs.createModel(dataOf(highs, model))
    try {
      instance.options.set({
        output_flag: true,
        log_to_console: false,
        presolve: presolve ? 'choose' : 'off',
        presolve_rule_off: AGGREGATOR_OFF,
        mip_rel_gap: 0,
        mip_abs_gap: 0.9,
        time_limit: timeLimitMs / 1000,
      })
      const { callbackType } = highs.constants
      const stop = (event: { interrupt: () => void }): void => {
        if (watch.shouldStop?.()) event.interrupt()
      }
      instance.run({
        [callbackType.mipInterrupt]: stop,
        [callbackType.simplexInterrupt]: stop,
        [callbackType.mipLogging]: (event: {
          data: { mip_primal_bound?: number; mip_dual_bound?: number }
        }) => {
          watch.onProgress?.(
            event.data.mip_primal_bound ?? Infinity,
            event.data.mip_dual_bound ?? -Infinity,
          )
        },
      } as Parameters<typeof instance.run>[0])
      return answerOf(highs, instance)
    } finally {
      instance.dispose()
    }
  }
}

function dataOf(highs: Highs, model: SparseModel): Parameters<Highs['createModel']>[0] {
  return {
    numCols: model.numCols,
    numRows: model.numRows,
    offset: model.offset,
    colCost: model.cost,
    colLower: model.colLower,
    colUpper: new Float64Array(model.numCols).fill(1),
    rowLower: model.rowLower.map((value) => (value === -Infinity ? -highs.infinity : value)),
    rowUpper: model.rowUpper.map((value) => (value === Infinity ? highs.infinity : value)),
    matrix: {
      format: 'csr',
      numRows: model.numRows,
      numCols: model.numCols,
      starts: model.starts,
      indices: model.indices,
      values: model.values,
    },
    integrality: new Int32Array(model.numCols).fill(1),
  }
}

function answerOf(highs: Highs, instance: ReturnType<Highs['createModel']>): SolverAnswer {
  const status = instance.getModelStatus()
  const { modelStatus } = highs.constants
  if (status === modelStatus.empty)
    return { status: 'optimal', values: new Float64Array(0), objective: 0, bound: 0 }
  if (status === modelStatus.infeasible)
    return { status: 'infeasible', values: null, objective: Infinity, bound: Infinity }
  const feasible = Number(instance.info.get('primal_solution_status')) === 2
  const bound = Number(instance.info.get('mip_dual_bound'))
  if (!feasible) return { status: 'none', values: null, objective: Infinity, bound }
  const values = Float64Array.from(instance.getSolution().colValue)
  const objective = instance.getObjectiveValue()
  return {
    status: status === modelStatus.optimal ? 'optimal' : 'stopped',
    values,
    objective,
    bound: status === modelStatus.optimal ? objective : bound,
  }
}
