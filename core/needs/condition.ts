import { z } from 'zod'
import { FACT_ROWS, type FactKey, isFactKey } from '../facts/index.ts'

/** No, not known, yes: in this order, so that all is the least and any the greatest. */
export const NO = 0
export const UNKNOWN = 1
export const YES = 2
export type Truth = typeof NO | typeof UNKNOWN | typeof YES

/** When a line stands: a tree over facts and other lines, data through and through. */
export type Condition =
  | { readonly all: readonly Condition[] }
  | { readonly any: readonly Condition[] }
  | { readonly not: Condition }
  | { readonly is: FactKey; readonly of: readonly string[] }
  | { readonly has: string; readonly slot?: string }

export const all = (...of: readonly Condition[]): Condition => ({ all: of })
export const any = (...of: readonly Condition[]): Condition => ({ any: of })
export const not = (of: Condition): Condition => ({ not: of })
/** A fact has one of these values. */
export const is = (key: FactKey, ...of: readonly string[]): Condition => ({ is: key, of })
export const yes = (key: FactKey): Condition => is(key, 'yes')
/** Said to be no: a fact nobody knows is not. */
export const no = (key: FactKey): Condition => is(key, 'no')
/** Another line of the list stands. */
export const has = (kind: string, slot?: string): Condition =>
  slot === undefined ? { has: kind } : { has: kind, slot }

/** What a condition is held against. */
export interface View {
  /** The value of a fact; undefined where nobody knows. */
  readonly fact: (key: FactKey) => string | undefined
  /** How true a line is. */
  readonly line: (kind: string, slot: string | undefined) => Truth
}

/** Evaluates in three values: all = least, any = greatest, not turns over, an unknown fact is unknown. */
export function evaluate(condition: Condition, view: View): Truth {
  if ('all' in condition) {
    let least: Truth = YES
    for (const one of condition.all) {
      const truth = evaluate(one, view)
      if (truth < least) least = truth
      if (least === NO) return NO
    }
    return least
  }
  if ('any' in condition) {
    let greatest: Truth = NO
    for (const one of condition.any) {
      const truth = evaluate(one, view)
      if (truth > greatest) greatest = truth
      if (greatest === YES) return YES
    }
    return greatest
  }
  if ('not' in condition) return (YES - evaluate(condition.not, view)) as Truth
  if ('has' in condition) return view.line(condition.has, condition.slot)
  const value = view.fact(condition.is)
  return value === undefined ? UNKNOWN : condition.of.includes(value) ? YES : NO
}

/** Facts and lines named in a condition. */
interface Named {
  readonly facts: ReadonlySet<FactKey>
  readonly lines: ReadonlySet<string>
}

/** What is named in the branches that count, each once. */
function namedIn(condition: Condition, counts: (branch: Condition) => boolean): Named {
  const facts = new Set<FactKey>()
  const lines = new Set<string>()
  const walk = (one: Condition): void => {
    if (!counts(one)) return
    if ('all' in one) one.all.forEach(walk)
    else if ('any' in one) one.any.forEach(walk)
    else if ('not' in one) walk(one.not)
    else if ('has' in one) lines.add(one.has)
    else facts.add(one.is)
  }
  walk(condition)
  return { facts, lines }
}

/** Facts and lines that a condition reads. */
export const readsOf = (condition: Condition): Named => namedIn(condition, () => true)

/** Where a condition is not known: the unknown facts that hold it open, and the open lines it waits for. */
export const openIn = (condition: Condition, view: View): Named =>
  namedIn(condition, (branch) => evaluate(branch, view) === UNKNOWN)

/** What makes a condition stand, or may: facts and lines of its truest branches; under a `not`, what it turns. */
export function standsOn(condition: Condition, view: View): Named {
  const facts = new Set<FactKey>()
  const lines = new Set<string>()
  const walk = (one: Condition): void => {
    const truth = evaluate(one, view)
    if (truth === NO) return
    if ('all' in one) one.all.forEach(walk)
    else if ('any' in one) one.any.filter((each) => evaluate(each, view) === truth).forEach(walk)
    else if ('not' in one) for (const key of readsOf(one.not).facts) facts.add(key)
    else if ('has' in one) lines.add(one.has)
    else facts.add(one.is)
  }
  walk(condition)
  return { facts, lines }
}

/** Deeper or longer is no condition a person can read. */
const DEEPEST = 8
const LONGEST = 60

/** A condition as it comes in: from a shop's own recipe, or a document. */
export const conditionSchema: z.ZodType<Condition> = z
  .lazy(() =>
    z.union([
      z.strictObject({ all: z.array(conditionSchema).min(1).max(LONGEST) }),
      z.strictObject({ any: z.array(conditionSchema).min(1).max(LONGEST) }),
      z.strictObject({ not: conditionSchema }),
      z.strictObject({
        is: z.string().max(80).refine(isFactKey, 'Not a fact that is known here.'),
        of: z.array(z.string().max(40)).min(1).max(LONGEST),
      }),
      z.strictObject({
        has: z.string().min(1).max(80),
        slot: z.string().min(1).max(60).optional(),
      }),
    ]),
  )
  .meta({ id: 'Condition' }) as z.ZodType<Condition>

/**
 * What makes a condition one that cannot be: a value its fact never has, `not` over a line (a list could then turn back
 * on itself), a tree too deep.
 */
export function faultsIn(condition: Condition): readonly string[] {
  const faults: string[] = []
  const walk = (one: Condition, depth: number, isTurned: boolean): void => {
    if (depth > DEEPEST) {
      faults.push(`It is nested more than ${DEEPEST} deep.`)
      return
    }
    if ('all' in one) for (const each of one.all) walk(each, depth + 1, isTurned)
    else if ('any' in one) for (const each of one.any) walk(each, depth + 1, isTurned)
    else if ('not' in one) walk(one.not, depth + 1, true)
    else if ('has' in one) {
      if (isTurned) faults.push(`"Not" may not stand over another line (${one.has}).`)
    } else
      for (const value of one.of)
        if (!FACT_ROWS[one.is].values.includes(value)) faults.push(`${one.is} is never ${value}.`)
  }
  walk(condition, 1, false)
  return faults
}
