import { BRIDGE } from '../code.ts'
import type { ToleranceName } from '../tolerances.ts'
import type { Outcome } from '../verdict.ts'
import type { Read, Shop, Term } from './read.ts'

export type Reads = Readonly<Record<string, Read>>
/** The values of declared reads: an input that is not declared cannot be read. */
export type Values<R extends Reads> = {
  readonly [K in keyof R]: R[K] extends Read<infer T> ? T : never
}
type Numeric<R extends Reads> = {
  [K in keyof R]: R[K] extends Read<infer T>
    ? [number] extends [T]
      ? K
      : [readonly number[]] extends [Exclude<T, null>]
        ? [T] extends [readonly number[] | null]
          ? K
          : never
        : never
    : never
}[keyof R]
/** Whether the value rises (1) or falls (−1) with each number read; 0 where its ± never counts. */
export type Sense<R extends Reads> = { readonly [K in Numeric<R> & string]: 1 | -1 | 0 }

/** A pure function of declared reads. */
export interface Formula<T = any, R extends Reads = Reads> {
  readonly reads: R
  /** @param pm the ± of each input, for what depends on how closely it is known */
  readonly of: (x: Values<R>, shop: Shop, pm: Spread<R>) => T
}
type Spread<R extends Reads> = Readonly<Record<keyof R, number>>

/**
 * A number with its ±: evaluated once with every input at its bad end by `sense`, or, where it is not monotone, it gives
 * its own ends from the inputs' ±.
 */
export interface Measure<R extends Reads = Reads> extends Formula<number, R> {
  readonly sense?: Readonly<Record<string, 1 | -1 | 0>>
  readonly bound?: (x: Values<R>, pm: Spread<R>, shop: Shop) => readonly [number, number]
  /** A count: how closely its inputs are known is judged where it is counted. */
  readonly isCount?: true
}

/** A formula that is not a number: holds or not, or words. */
export const formula = <const R extends Reads, T>(
  reads: R,
  of: (x: Values<R>, shop: Shop, pm: Spread<R>) => T,
): Formula<T, any> => ({ reads, of })
/** A number that rises or falls with each of its inputs. */
export const measure = <const R extends Reads>(
  reads: R,
  of: (x: Values<R>, shop: Shop) => number,
  sense: Sense<R>,
): Measure<any> => ({ reads, of, sense: sense as never })
/** A measure as a read of another formula; it must have a sense for every number. */
export const computed = <const R extends Reads>(
  reads: R,
  of: (x: Values<R>, shop: Shop) => number,
  sense: Sense<R>,
  open?: (x: Values<R>, shop: Shop) => readonly [number, number],
): Read<number> => ({
  source: {
    at: 'computed',
    measure: { reads, of, sense: sense as never, ...(open ? { open } : {}) },
  },
})
/** A number that gives its own ends. */
export const bounded = <const R extends Reads>(
  reads: R,
  of: (x: Values<R>, shop: Shop, pm: Spread<R>) => number,
  bound: (x: Values<R>, pm: Spread<R>, shop: Shop) => readonly [number, number],
): Measure<any> => ({ reads, of, bound })

/** A count of what was searched: it has no ± of its own. */
export const counted = <const R extends Reads>(
  reads: R,
  of: (x: Values<R>, shop: Shop) => number,
): Measure<any> => ({
  reads,
  of,
  bound: (x, _pm, shop) => {
    const count = of(x, shop)
    return [count, count]
  },
  isCount: true,
})

export const plus = (of: Read<number>): Term => ({ sign: 1, of })
export const minus = (of: Read<number>): Term => ({ sign: -1, of })
/** The same sum the other way round. */
export const less = (terms: readonly Term[]): Term[] =>
  terms.map(({ sign, of }) => ({ sign: sign === 1 ? -1 : 1, of }))

/** An end of a window: a number, one of the shop's tolerances or its negative, or computed. */
export type End = number | ToleranceName | `-${ToleranceName}` | Measure

/** What a miss becomes: the first step that holds, by the nominal miss. */
export interface Step {
  readonly within?: number | ToleranceName
  /** Holds of what is already known. */
  readonly when?: Formula<boolean>
  /** Asked only once the limit is missed: unknown, the limit is not measured. */
  readonly ask?: Read<boolean | null>
  readonly becomes: Outcome | Unproved
}

/** What is known proves nothing either way: it is not measured, and says what would prove it. */
export interface Unproved {
  readonly unproved: string
  /** What is to be measured; else every figure that is merely assumed. */
  readonly missing?: readonly Read[]
}
export const isUnproved = (one: Outcome | Unproved): one is Unproved => 'unproved' in one

/** Repeats a limit: over the ratings found (or the one nobody stated), or over the entries of a list. */
export type Each =
  | { readonly ratings: (slot: string) => boolean; readonly orMissing: boolean }
  | {
      readonly list: Read<readonly any[] | null>
      readonly at: (entry: any) => string
      readonly unknown: object
    }

/** One limit, declared once: everything that is asked, judged, drawn and tested of it comes from here. */
export interface Limit {
  readonly id: string
  /** `{at}` is filled with where it is judged, of what repeats. */
  readonly label: string
  readonly unit: string
  /** Judged at worst case; an unknown ± straddles. */
  readonly damage?: true
  /** The limit is stated only where all of these hold, of values as they are known. */
  readonly when?: Formula<boolean> | readonly Formula<boolean>[]
  readonly each?: Each
  /** Named and needed beside what is computed. */
  readonly names?: readonly Read[]
  /** The value is Σ terms + the measure. */
  readonly terms?: readonly Term[]
  readonly measure?: Measure
  readonly window?: readonly [End, End]
  /** Instead of a value: holds, or becomes what `otherwise` says. */
  readonly holds?: Formula<boolean>
  /** Inside, but known only more loosely than this: it becomes the outcome. */
  readonly proved?: { readonly within: ToleranceName; readonly becomes: Outcome }
  readonly below?: Outcome | readonly Step[]
  readonly above?: Outcome | readonly Step[]
  readonly otherwise?: Outcome | readonly Step[]
}

/** Shown beside the verdict once all it reads is known; decides nothing. */
export interface Figure {
  readonly label: string
  readonly unit: string | Formula<string>
  readonly of: Formula<number | string>
  readonly when?: Formula<boolean>
  readonly each?: Each
}

export interface Caution {
  readonly words: string
  readonly when?: Formula<boolean>
}

/** What must hold for a limit to be stated. */
export const guardsOf = ({ when }: Limit): readonly Formula<boolean>[] =>
  when === undefined ? [] : Array.isArray(when) ? when : [when as Formula<boolean>]

/** Every read of a limit, in the order it is asked: what must be known, then what only steps and guards look at. */
export function readsOf(limit: Limit): LimitReads {
  let reads = known.get(limit)
  if (!reads) known.set(limit, (reads = gather(limit)))
  return reads
}
interface LimitReads {
  readonly needed: readonly Read[]
  readonly sometimes: readonly Read[]
}
const known = new WeakMap<Limit, LimitReads>()

function gather(limit: Limit): LimitReads {
  const ends = (limit.window ?? []).flatMap((end) =>
    typeof end === 'object' ? Object.values(end.reads) : [],
  )
  const needed = [
    ...(limit.names ?? []),
    ...(limit.terms ?? []).map(({ of }) => of),
    ...Object.values(limit.measure?.reads ?? {}),
    ...ends,
    ...Object.values(limit.holds?.reads ?? {}),
  ]
  const steps = [limit.below, limit.above, limit.otherwise].flatMap((step) => stepsOf(step))
  const sometimes = [
    ...guardsOf(limit).flatMap(({ reads }) => Object.values(reads)),
    ...steps.flatMap((step) => [
      ...(step.ask ? [step.ask] : []),
      ...Object.values(step.when?.reads ?? {}),
    ]),
  ]
  return {
    needed: needed.filter((read) => !read.isAside),
    sometimes: [...sometimes, ...needed.filter((read) => read.isAside)],
  }
}

const UNSTATED: Outcome = { code: BRIDGE, words: 'Outside its window' }

/** The ladder of a miss; what nobody stated is a piece. */
export const stepsOf = (step: Outcome | readonly Step[] | undefined): readonly Step[] =>
  step === undefined ? [] : Array.isArray(step) ? step : [{ becomes: step as Outcome }]
export const ladder = (limit: Limit, under: boolean): readonly Step[] => {
  const own = stepsOf(under ? limit.below : limit.above)
  const steps = own.length > 0 ? own : stepsOf(under ? limit.above : limit.below)
  return steps.length > 0 ? steps : [{ becomes: UNSTATED }]
}
