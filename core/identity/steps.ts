import type { Mention } from './number-index.ts'
import type { WhereAnswer } from './where.ts'

/** What a path may raise, the worse the greater; the first three are good as they stand. */
export const RAISES = {
  exact: 0,
  'superseded by': 1,
  interchange: 2,
  'with note': 3,
  'different generation': 4,
  'not listed': 5,
  conflict: 6,
} as const
export type VerdictWord = keyof typeof RAISES
export const VERDICT_WORDS = Object.keys(RAISES) as [VerdictWord, ...VerdictWord[]]

export const STEP_KINDS = [
  'application',
  'same',
  'superseded',
  'back',
  'split',
  'merged',
  'interchange',
] as const
export type StepKind = (typeof STEP_KINDS)[number]

/** One step from a number to what serves for it. */
export interface Step {
  readonly kind: StepKind
  readonly row: string
  readonly from: Mention
  /** Several where each is wanted. */
  readonly to: readonly Mention[]
  /** What comes along and is not asked for. */
  readonly others: readonly Mention[]
  readonly code: number
  /** Strength of its row alone, and with what its wheres lean on. */
  readonly rowStrength: number
  readonly strength: number
  readonly open: readonly string[]
  readonly todo: readonly string[]
  readonly notes: readonly string[]
  /** What it does, in one order for all, made once it is asked for. */
  text: string | null
}

/** What a where raises of itself. */
export const raisedBy = ({ truth, todo }: WhereAnswer): number => {
  if (truth === 'other generation') return RAISES['different generation']
  return truth === 'unknown' || todo.length > 0 ? RAISES['with note'] : RAISES.exact
}

/** Two wheres that must both hold. */
export function together(p: WhereAnswer, q: WhereAnswer): WhereAnswer {
  const order = ['holds', 'unknown', 'other generation', 'fails'] as const
  return {
    truth: order[Math.max(order.indexOf(p.truth), order.indexOf(q.truth))]!,
    strength: Math.min(p.strength, q.strength),
    open: [...p.open, ...q.open],
    todo: [...p.todo, ...q.todo],
  }
}
