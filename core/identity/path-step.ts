import type { Grade } from '../quantity/grade.ts'
import type { WrittenNumber } from './claims.ts'
import type { StepKind } from './steps.ts'

/** One step of a path, to be walked by hand. */
export interface PathStep {
  readonly kind: StepKind
  readonly from: readonly WrittenNumber[]
  readonly to: readonly WrittenNumber[]
  /** The claim it leans on. */
  readonly row: string
  readonly grade: Grade
}
