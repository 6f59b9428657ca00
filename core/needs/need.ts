import type { FactKey } from '../facts/index.ts'
import type { Task } from '../joints/verdict.ts'
import type { Three } from '../money/three.ts'
import type { Bringer, Sort, Stage } from './line.ts'
import type { Outcome } from './line-list.ts'

export type WaitsFor = 'nothing' | 'mock-up' | 'mated' | 'first run'
export type Level = 'required' | 'wanted' | 'optional' | 'confirm'

/** What a part must be to meet a need: one value of one port field, or this very part. */
export interface Constraint {
  /** Port kind; absent for a part id. */
  readonly port?: string
  /** Which way the port looks, where a part has two of a kind. */
  readonly looks?: string
  readonly field?: string
  readonly low?: number
  readonly high?: number
  readonly equals?: string
}

export interface Reason {
  /** The rule that spoke. */
  readonly rule: string
  readonly words: string
  /** Joint it leans on, when it came from one. */
  readonly joint?: string
  /** Kind of line it follows from, when it came from one. */
  readonly parent?: string
  /** Facts it stands on. */
  readonly facts?: readonly FactKey[]
}

/** One thing the build must get, keep or have done. The id is made of kind, place and slot, so decisions survive re-planning. */
export interface Need {
  readonly id: string
  readonly kind: string
  readonly place: string
  readonly slot: string
  readonly words: string
  readonly quantity: number
  readonly level: Level
  readonly waits: WaitsFor
  readonly why: readonly Reason[]
  /** The part that raised it: its numbers are the ones wanted. */
  readonly wants?: string
  readonly constraints: readonly Constraint[]
  /** Constraints that exclude one another, said plainly. */
  readonly conflict?: string
  readonly task?: Task
  /** The recipient has one that can be kept. */
  readonly keep?: boolean
  readonly cautions: readonly string[]
  /** How it stands with what is assumed counted as not known, and as known. */
  readonly outcome: Outcome
  /** The level it would have once its open facts are known. */
  readonly would: Exclude<Level, 'confirm'>
  /** Facts that would settle it. */
  readonly because: readonly FactKey[]
  readonly stage: Stage
  readonly sort: Sort
  /** Kind of part it is sought as, where that is not its own. */
  readonly part?: string
  /** Whole euros and hours, low, likely, high, for its quantity: common practice until something better is known. */
  readonly eur: Three
  readonly hours: Three
  /** What is said to bring it. */
  readonly comes?: readonly Bringer[]
  readonly work?: readonly ('weld' | 'cut')[]
  /** What its reasons, the facts they read and its specification come to: a decision rests on it. */
  readonly rests: string
}

const NOTHING: Three = [0, 0, 0]

type Given =
  | 'slot'
  | 'quantity'
  | 'level'
  | 'waits'
  | 'constraints'
  | 'cautions'
  | 'outcome'
  | 'would'
  | 'because'
  | 'stage'
  | 'sort'
  | 'eur'
  | 'hours'
  | 'rests'
export type NewNeed = Omit<Need, 'id' | Given> & Partial<Pick<Need, Given>>

/** The kind of part a need is sought as. */
export const seeks = (need: {
  readonly kind: string
  readonly part?: string | undefined
}): string => need.part ?? need.kind

/** `kind/place/slot`. */
export const needId = (kind: string, place: string, slot = 'main'): string =>
  `${kind}/${place}/${slot}`

export function need(from: NewNeed): Need {
  const slot = from.slot ?? 'main'
  return {
    level: 'required',
    waits: 'nothing',
    quantity: 1,
    constraints: [],
    cautions: [],
    outcome: 'yes',
    would: 'required',
    because: [],
    stage: 'mating',
    sort: 'part',
    eur: NOTHING,
    hours: NOTHING,
    rests: '',
    ...from,
    slot,
    id: needId(from.kind, from.place, slot),
  }
}

const key = (reason: Reason): string =>
  `${reason.rule}|${reason.words}|${reason.joint ?? ''}|${reason.parent ?? ''}`

/** Reasons of both, each once. */
export const joinReasons = (a: readonly Reason[], b: readonly Reason[]): readonly Reason[] => [
  ...new Map([...a, ...b].map((one) => [key(one), one])).values(),
]

/** Narrows constraints on one field to one; an empty window or two words is a conflict. */
export function intersect(all: readonly Constraint[]): {
  constraints: readonly Constraint[]
  conflict?: string
} {
  const byField = new Map<string, Constraint>()
  let conflict: string | undefined
  for (const one of all) {
    const at = `${one.port ?? 'part'}${one.looks ? ` looking ${one.looks}` : ''}.${one.field ?? 'id'}`
    const other = byField.get(at)
    if (!other) {
      byField.set(at, one)
      continue
    }
    if (one.equals !== undefined && other.equals !== undefined && one.equals !== other.equals)
      conflict = `${at} must be both ${other.equals} and ${one.equals}`
    const low = Math.max(one.low ?? -Infinity, other.low ?? -Infinity)
    const high = Math.min(one.high ?? Infinity, other.high ?? Infinity)
    if (low > high) conflict = `${at} must be at least ${low} and at most ${high}`
    const equals = other.equals ?? one.equals
    byField.set(at, {
      ...other,
      ...(Number.isFinite(low) ? { low } : {}),
      ...(Number.isFinite(high) ? { high } : {}),
      ...(equals === undefined ? {} : { equals }),
    })
  }
  const constraints = [...byField.entries()]
    .sort(([p], [q]) => (p < q ? -1 : 1))
    .map(([, constraint]) => constraint)
  return conflict === undefined ? { constraints } : { constraints, conflict }
}
