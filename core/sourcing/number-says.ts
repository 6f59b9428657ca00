import { checkNumber, type NumberPlan } from '../identity/check-number.ts'
import type { WrittenNumber } from '../identity/claims.ts'
import type { NumberIndex } from '../identity/number-index.ts'
import type { VerdictWord } from '../identity/steps.ts'
import type { Grade } from '../quantity/grade.ts'

/** What is said of a source by its numbers. */
export interface NumberSays {
  readonly says: VerdictWord | 'no number wanted'
  /** Whether it may be planned on its number; null where none is wanted. */
  readonly plan: NumberPlan | null
  readonly evidence: Grade | null
  /** Numbers from the one wanted to those had, as they are spelled. */
  readonly path: readonly string[]
  readonly open: readonly string[]
  readonly todo: readonly string[]
  readonly cautions: readonly string[]
}

export const NO_NUMBER: NumberSays = {
  says: 'no number wanted',
  plan: null,
  evidence: null,
  path: [],
  open: [],
  todo: [],
  cautions: [],
}

/** What stands in a shop's catalogue is as good as a catalogue. */
const LISTED = { grade: 'catalogue' } as const
/** Rows of a shop are in force on any day. */
const ANY_DAY = '2000-01-01'

/** What numbers had are worth for any one of the numbers wanted. */
export function numberSays(
  wanted: readonly WrittenNumber[],
  had: readonly WrittenNumber[],
  serving: NumberIndex,
): NumberSays {
  if (wanted.length === 0) return NO_NUMBER
  const { verdict, plan, evidence, path, open, todo, cautions } = checkNumber(serving, {
    want: wanted.map(({ issuer, number }) => ({ issuer, number, ...LISTED })),
    have: had.map(({ issuer, number }) => ({ issuer, number, ...LISTED })),
    on: ANY_DAY,
  })
  const [first] = path
  return {
    says: verdict,
    plan,
    evidence,
    path: first ? [...first.from, ...path.flatMap(({ to }) => to)].map(({ number }) => number) : [],
    open,
    todo,
    cautions,
  }
}
