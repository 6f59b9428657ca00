import type { Task } from '../joints/verdict.ts'

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
  /** Need it follows from, when it came from one. */
  readonly parent?: string
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
}

export type NewNeed = Omit<
  Need,
  'id' | 'slot' | 'quantity' | 'level' | 'waits' | 'constraints' | 'cautions'
> &
  Partial<Pick<Need, 'slot' | 'quantity' | 'level' | 'waits' | 'constraints' | 'cautions'>>

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
    ...from,
    slot,
    id: needId(from.kind, from.place, slot),
  }
}

const LEVELS: readonly Level[] = ['optional', 'confirm', 'wanted', 'required']
const WAITS: readonly WaitsFor[] = ['nothing', 'mated', 'mock-up', 'first run']
const later = <T>(order: readonly T[], a: T, b: T): T =>
  order.indexOf(a) >= order.indexOf(b) ? a : b

/** Joins two needs of one id: reasons together, the larger quantity, the stricter level, constraints intersected. */
export function mergeNeeds(a: Need, b: Need): Need {
  const why = [
    ...a.why,
    ...b.why.filter((reason) => !a.why.some((other) => sameReason(other, reason))),
  ].sort((p, q) => (key(p) < key(q) ? -1 : 1))
  const { constraints, conflict } = intersect([...a.constraints, ...b.constraints])
  const [first, second] = a.words <= b.words ? [a, b] : [b, a]
  const wants = [a.wants, b.wants].filter((id) => id !== undefined).sort()[0]
  const said = conflict ?? a.conflict ?? b.conflict
  return {
    ...second,
    ...first,
    quantity: Math.max(a.quantity, b.quantity),
    level: later(LEVELS, a.level, b.level),
    waits: later(WAITS, a.waits, b.waits),
    why,
    constraints,
    cautions: [...new Set([...a.cautions, ...b.cautions])].sort(),
    ...(wants === undefined ? {} : { wants }),
    ...(a.keep || b.keep ? { keep: true } : {}),
    ...(said === undefined ? {} : { conflict: said }),
  }
}

const key = (reason: Reason): string =>
  `${reason.rule}|${reason.words}|${reason.joint ?? ''}|${reason.parent ?? ''}`
const sameReason = (a: Reason, b: Reason): boolean => key(a) === key(b)

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
