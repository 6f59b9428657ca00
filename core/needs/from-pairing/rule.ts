import type { LimitRecord, Verdict } from '../../joints/verdict.ts'
import type { JointResult } from '../../pairing/pairing.ts'
import type { NewNeed } from '../need.ts'
import type { FactKey, Facts } from './facts.ts'

/** Of a verdict, what the list is made of. */
type Said = Pick<Verdict, 'code' | 'tasks'> & {
  readonly limits: readonly Pick<LimitRecord, 'code' | 'words' | 'pieces'>[]
}
interface SaidJoint extends Pick<JointResult, 'joint'> {
  readonly bare: Said
  readonly closed?: Said | undefined
}

export interface RuleInput {
  readonly facts: Facts
  readonly joints: readonly SaidJoint[]
  /** True when a need of this kind is already on the list; absence may never be tested. */
  readonly has: (kind: string) => boolean
}

/** One subject. Rules only add: the fixpoint exists and their order cannot matter. */
export interface Rule {
  readonly id: string
  readonly reads: readonly (FactKey | `joint:${string}` | `need:${string}`)[]
  readonly adds: readonly string[]
  readonly run: (input: RuleInput) => readonly NewNeed[]
}
