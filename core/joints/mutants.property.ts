import { DIRECTIONS, damageFault, faultOf } from './directions.property.ts'
import { JOINTS } from './index.ts'
import type { End, Limit, Measure } from './judging/declaration.ts'

/** Of faces: what they come to follows from all of their holes; the tests of located faces have it. */
export const FACE_LIMITS: ReadonlySet<string> = new Set([
  'axis-offset',
  'bolts',
  'turn',
  'case-face',
  'case-clock',
  'register-fit',
  'case-axis',
  'case-register-fit',
])

/** One declaration altered in one place. */
export interface Mutant {
  readonly joint: string
  readonly limit: string
  readonly words: string
  readonly original: Limit
  readonly altered: Limit
}

const other = <T>(list: readonly T[], at: number, with_: T | null): T[] =>
  list.flatMap((one, i) => (i === at ? (with_ === null ? [] : [with_]) : [one]))

/** Alters a measure: each input dropped to what it was at first, each sense turned and forgotten, its own ends forgotten. */
function measuresOf(measure: Measure): { words: string; measure: Measure }[] {
  const names = Object.keys(measure.reads)
  const dropped = names.map((name) => {
    let first: unknown
    const fixed = (x: object): never =>
      ({ ...x, [name]: (first ??= (x as Record<string, unknown>)[name]) }) as never
    return {
      words: `${name} dropped`,
      measure: {
        ...measure,
        of: (x: object, shop: never, pm: never) => measure.of(fixed(x), shop, pm),
      } as Measure,
    }
  })
  const senses = names.flatMap((name) => {
    const sense = measure.sense?.[name] ?? 0
    if (sense === 0) return []
    return ([-sense, 0] as (1 | -1 | 0)[]).map((to) => ({
      words: `sense of ${name} ${to === 0 ? 'forgotten' : 'turned'}`,
      measure: { ...measure, sense: { ...measure.sense, [name]: to } },
    }))
  })
  const { bound } = measure
  const ends = bound
    ? names.map((name) => ({
        words: `± of ${name} forgotten`,
        measure: {
          ...measure,
          bound: (x: never, pm: object, shop: never) =>
            bound(x, { ...pm, [name]: 0 } as never, shop),
        } as Measure,
      }))
    : []
  return [...dropped, ...senses, ...ends]
}

/** Alters one end of a window: moved a little either way, left open, its formula altered. */
function endsOf(end: End, isLow: boolean): { words: string; end: End }[] {
  if (end === Infinity || end === -Infinity) return []
  const moved = [0.01, -0.01].map((by) => ({ words: `moved by ${by}`, end: shift(end, by) }))
  return [
    ...moved,
    { words: 'left open', end: isLow ? -Infinity : Infinity },
    ...(typeof end === 'object'
      ? measuresOf(end).map(({ words, measure }) => ({ words, end: measure }))
      : []),
  ]
}
function shift(end: End, by: number): End {
  if (typeof end === 'number') return end + by
  if (typeof end === 'object')
    return { ...end, of: (x: never, shop: never, pm: never) => end.of(x, shop, pm) + by } as Measure
  const [sign, name] = end.startsWith('-') ? [-1, end.slice(1)] : [1, end]
  return {
    reads: {},
    of: (_x: unknown, { tolerances }: { tolerances: Record<string, number> }) =>
      sign * tolerances[name]! + by,
    sense: {},
  } as unknown as Measure
}

/** Every alteration of every limit with a window: each sign, each dropped input, each sense, each end. */
export function mutants(): Mutant[] {
  return JOINTS.flatMap((joint) =>
    joint.limits.flatMap((limit): Mutant[] => {
      const { terms = [], measure, window } = limit
      if ((terms.length === 0 && !measure) || FACE_LIMITS.has(limit.id)) return []
      const mutant = (words: string, altered: Limit): Mutant => ({
        joint: joint.id,
        limit: limit.id,
        words,
        original: limit,
        altered,
      })
      return [
        ...terms.flatMap((term, i) => [
          mutant(`term ${i + 1} turned`, {
            ...limit,
            terms: other(terms, i, { ...term, sign: term.sign === 1 ? -1 : 1 }),
          }),
          mutant(`term ${i + 1} dropped`, { ...limit, terms: other(terms, i, null) }),
        ]),
        ...(measure
          ? measuresOf(measure).map(({ words, measure }) =>
              mutant(`measure: ${words}`, { ...limit, measure }),
            )
          : []),
        ...(window
          ? [0, 1].flatMap((i) =>
              endsOf(window[i]!, i === 0).map(({ words, end }) =>
                mutant(`${i === 0 ? 'low' : 'high'} end ${words}`, {
                  ...limit,
                  window: other(window, i, end) as never,
                }),
              ),
            )
          : []),
        mutant(`damage ${limit.damage ? 'forgotten' : 'made up'}`, {
          ...limit,
          damage: limit.damage ? undefined : true,
        } as Limit),
      ]
    }),
  )
}

/** Puts a mutant in its joint's place and runs that limit's cases; true when one of them fails. Everything is put back. */
export function isCaught({ joint: id, limit, original, altered }: Mutant): boolean {
  const limits = JOINTS.find((joint) => joint.id === id)!.limits as Limit[]
  const at = limits.indexOf(original)
  limits[at] = altered
  try {
    return (
      damageFault() !== null ||
      DIRECTIONS.some((row) => row[0] === id && row[1] === limit && faultOf(row) !== null)
    )
  } catch {
    return true
  } finally {
    limits[at] = original
  }
}
