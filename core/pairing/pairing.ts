import { BRIDGE, CODES, type Code } from '../joints/code.ts'
import { JOINTS, jointNamed } from '../joints/index.ts'
import type { Verdict } from '../joints/verdict.ts'
import type { CompiledPart } from '../ports/index.ts'
import { type ClosingSet, closingSets, type SearchOptions } from './closing.ts'
import type { Records } from './records.ts'
import { assemble, contextOf, type PairingContext, recordJoint, type Train } from './train.ts'

export interface JointResult {
  /** Stable id `kind:part a:part b`. */
  readonly id: string
  readonly joint: string
  readonly a: string
  readonly b: string
  readonly bare: Verdict
  readonly closed?: Verdict
}

export interface PairingResult {
  readonly engine: string
  readonly transmission: string
  readonly joints: readonly JointResult[]
  readonly closedBy: readonly ClosingSet[]
  /** The set whose run is given as closed; none chosen = []. */
  readonly chosen: readonly string[]
  /** Counts by code of the bare run: a pairing has no overall verdict. */
  readonly counts: Readonly<Record<Code, number>>
  readonly notes: readonly string[]
}

/** Records every joint of a train that applies. @param records what was recorded before in the same context */
export function recordTrain(train: Train, ctx: PairingContext, records?: Records): Verdict[] {
  const assembly = assemble(train)
  const full = contextOf(assembly, ctx)
  return JOINTS.flatMap(
    (joint) =>
      (records ? records.of(joint, assembly, full) : recordJoint(joint, assembly, full)) ?? [],
  )
}

/** True where a bridge was seen, whatever else the joint reads. */
export const sawBridge = (verdict: Verdict): boolean =>
  verdict.limits.some((limit) => limit.code === CODES[BRIDGE])

/**
 * All joints of a pairing, bare and closed: where a bridge is seen, the catalogue is searched for sets of parts
 * over face, flange and pilot, and every joint run again with the new stack.
 *
 * @param catalogue parts that may be inserted
 * @param prefer the set a person took, by part ids; default the best that closes
 */
export function runPairing(
  train: Train,
  ctx: PairingContext,
  catalogue: readonly CompiledPart[],
  options: SearchOptions & {
    prefer?: readonly string[]
    notes?: readonly string[]
    records?: Records
  } = {},
): PairingResult {
  const { records } = options
  const bare = recordTrain(train, ctx, records)
  // Mounts, lever and propshaft are bridged by pieces of their own, not by what stands between engine and gearbox.
  const closedBy = bare.some(
    (verdict) => sawBridge(verdict) && jointNamed(verdict.joint)?.place === 'coupling',
  )
    ? closingSets(train, bare, ctx, catalogue, options)
    : []
  const taken = options.prefer
    ? closedBy.find((set) => sameSet(set.parts, options.prefer!))
    : closedBy.find((set) => set.closes === 'yes')
  const inserted = (taken?.parts ?? options.prefer ?? [])
    .map((id) => catalogue.find((part) => part.id === id))
    .filter((part) => part !== undefined)
  const closed = inserted.length > 0 ? recordTrain({ ...train, inserted }, ctx, records) : null
  const counts = Object.fromEntries(
    CODES.map((code) => [code, bare.filter((verdict) => verdict.code === code).length]),
  ) as Record<Code, number>
  return {
    engine: train.engine.id,
    transmission: train.transmission.id,
    joints: bare.map((verdict) => {
      const after = closed?.find((other) => other.joint === verdict.joint)
      return {
        id: `${verdict.joint}:${train.engine.id}:${train.transmission.id}`,
        joint: verdict.joint,
        a: train.engine.id,
        b: train.transmission.id,
        bare: verdict,
        ...(after ? { closed: after } : {}),
      }
    }),
    closedBy,
    chosen: inserted.map((part) => part.id),
    counts,
    notes: options.notes ?? [],
  }
}

const sameSet = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((id) => b.includes(id))
