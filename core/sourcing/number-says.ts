import { checkNumber, type NumberPlan } from '../identity/check-number.ts'
import type { NumberIndex } from '../identity/number-index.ts'
import type { StepKind, VerdictWord } from '../identity/steps.ts'
import type { Grade } from '../quantity/grade.ts'
import type { KnownNumber, NumbersWanted } from './numbers-wanted.ts'

/** One step of a path, as it is read aloud. */
export interface SaidStep {
  readonly kind: StepKind
  readonly from: readonly string[]
  readonly to: readonly string[]
  readonly grade: Grade
}

/** What is said of a source by its numbers. */
export interface NumberSays {
  readonly says: VerdictWord | 'no number wanted'
  /** Whether it may be planned on its number; null where none is wanted. */
  readonly plan: NumberPlan | null
  readonly evidence: Grade | null
  /** Numbers from the one wanted to those had, as they are spelled. */
  readonly path: readonly string[]
  readonly steps: readonly SaidStep[]
  /** Whose numbers were wanted; null where only what it is listed for was asked. */
  readonly of: string | null
  readonly missing: readonly string[]
  readonly open: readonly string[]
  readonly todo: readonly string[]
  readonly cautions: readonly string[]
}

const NOTHING = { path: [], steps: [], missing: [], open: [], todo: [], cautions: [] }
export const NO_NUMBER: NumberSays = {
  says: 'no number wanted',
  plan: null,
  evidence: null,
  of: null,
  ...NOTHING,
}

/** What numbers had are worth for those wanted. @param day the day it is asked for */
export function numberSays(
  wanted: NumbersWanted,
  had: readonly KnownNumber[],
  serving: NumberIndex,
  day: string,
): NumberSays {
  const { want, application, follow, of } = wanted
  if (want.length === 0 && !application) return NO_NUMBER
  if (
    !want.some((one) => had.some((other) => serving.isSame(one, other))) &&
    had.every((one) => serving.isLone(one))
  )
    return {
      says: 'not listed',
      plan: follow === 'none' ? 'no' : 'confirm',
      evidence: null,
      of,
      ...NOTHING,
      cautions: mistakable(had, serving),
    }
  const { verdict, plan, evidence, path, missing, open, todo, cautions } = checkNumber(serving, {
    want,
    have: had,
    application,
    follow,
    on: day,
    isNarrow: true,
  })
  const [first] = path
  return {
    says: verdict,
    plan,
    evidence,
    of,
    path: first ? [...first.from, ...path.flatMap(({ to }) => to)].map(({ number }) => number) : [],
    steps: path.map(({ kind, from, to, grade }) => ({
      kind,
      from: from.map(({ issuer, number }) => `${issuer} ${number}`),
      to: to.map(({ issuer, number }) => `${issuer} ${number}`),
      grade,
    })),
    missing: missing.map(({ issuer, number, quantity }) => `${quantity} × ${issuer} ${number}`),
    open,
    todo,
    cautions: path.length > 0 ? cautions : [...cautions, ...mistakable(had, serving)],
  }
}

/** Numbers had that nobody lists, and are easily mistaken for one that is. */
const mistakable = (had: readonly KnownNumber[], serving: NumberIndex): string[] =>
  had.flatMap((one) => {
    const { key } = serving.read(one)
    if (serving.find(one.issuer, key) !== null) return []
    const alike = serving
      .lookAlikes(one.issuer, key)
      .map(({ issuer, spelled }) => `${issuer} ${spelled}`)
    return alike.length > 0
      ? [`${one.issuer} ${one.number} is easily mistaken for ${alike.join(' or ')}: look again.`]
      : []
  })

/** Why its number forbids to plan something, as it follows its name. */
export const refusal = ({ says, missing, cautions }: NumberSays): string =>
  [
    `by its number ${says}${missing.length > 0 ? `, without ${missing.join(' and ')}` : ''}, so it is not planned.`,
    ...cautions,
  ].join(' ')
