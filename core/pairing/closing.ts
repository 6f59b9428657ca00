import { CODES, type Code, UNMEASURED, WORK } from '../joints/code.ts'
import { jointNamed } from '../joints/index.ts'
import { Tally } from '../joints/judging/tally.ts'
import type { Verdict } from '../joints/verdict.ts'
import type { CompiledPart } from '../ports/index.ts'
import { type Assembly, assemble, contextOf, type PairingContext, recordJoint, scenesOf, type Train, tallyJoint } from './train.ts'

/** A set of catalogue parts that closes a pairing, or may, with what is still to be measured. */
export interface ClosingSet {
  readonly parts: readonly string[]
  readonly closes: 'yes' | 'may'
  readonly missing: readonly string[]
}

export interface SearchOptions {
  /** Most parts in a set. */
  readonly most?: number
  /** Cost of a part, for ranking equals; Infinity when not known. */
  readonly cost?: (partId: string) => number
}

export type InsertionPlace = 'face' | 'flange' | 'pilot'

/** Where a part can be inserted; null when it cannot. Starters are not searched. */
export function insertionPlace(part: CompiledPart): InsertionPlace | null {
  const has = (kind: string): boolean => part.ports.some((port) => port.kind === kind)
  if (has('plate') && has('face')) return 'face'
  if (has('spacer') || part.kind === 'flywheel' || part.kind === 'flexplate') return 'flange'
  return has('pilot-piece') ? 'pilot' : null
}

const JOINT_OF: Record<InsertionPlace, string> = { face: 'block-face', flange: 'crank-flange', pilot: 'pilot' }

/**
 * Sets of up to `most` parts, one per place, that close the coupling of a pairing: every joint of it that bridged gives fits or work and no
 * other joint's code rose; a set that leaves one unmeasured may close. A part is tried at a place only if its front and
 * rear ports each give fits or work with their neighbours. Fewer parts first, then stronger evidence, then lower cost.
 */
export function closingSets(
  train: Train,
  bare: readonly Verdict[],
  ctx: PairingContext,
  catalogue: readonly CompiledPart[],
  { most = 2, cost = () => Infinity }: SearchOptions = {},
): ClosingSet[] {
  const tally = new Tally()
  const inUse = new Set([...train.coupling, train.engine, train.transmission].map((part) => part.id))
  const byPlace = new Map<InsertionPlace, CompiledPart[]>()
  for (const part of catalogue) {
    const place = insertionPlace(part)
    if (place === null || inUse.has(part.id) || !neighboursMate(train, part, place, ctx, tally)) continue
    byPlace.set(place, [...(byPlace.get(place) ?? []), part])
  }
  // The mounts and what is under the engine are bridged by pieces of their own.
  const coupled = bare.filter((verdict) => jointNamed(verdict.joint)?.place === 'coupling')
  const found: (ClosingSet & { weakest: number; cost: number })[] = []
  for (const parts of setsOver([...byPlace.values()], most)) {
    // A set with a smaller one inside that already closes adds nothing.
    if (found.some((set) => set.closes === 'yes' && set.parts.every((id) => parts.some((part) => part.id === id)))) continue
    const outcome = judgeSet(train, parts, coupled, ctx, tally)
    if (outcome) found.push({ ...outcome, parts: parts.map((part) => part.id), cost: parts.reduce((sum, part) => sum + cost(part.id), 0) })
  }
  found.sort((p, q) => rank(p.closes) - rank(q.closes) || p.parts.length - q.parts.length || q.weakest - p.weakest || p.cost - q.cost || (p.parts.join() < q.parts.join() ? -1 : 1))
  return found.map(({ parts, closes, missing }) => ({ parts, closes, missing }))
}

const rank = (closes: 'yes' | 'may'): number => (closes === 'yes' ? 0 : 1)

/** All choices of one part from up to `most` of the places, smaller sets first. */
function setsOver(places: readonly (readonly CompiledPart[])[], most: number): CompiledPart[][] {
  let sets: CompiledPart[][] = [[]]
  for (const place of places) sets = [...sets, ...sets.filter((set) => set.length < most).flatMap((set) => place.map((part) => [...set, part]))]
  return sets.filter((set) => set.length > 0).sort((p, q) => p.length - q.length)
}

function neighboursMate(train: Train, part: CompiledPart, place: InsertionPlace, ctx: PairingContext, tally: Tally): boolean {
  const joint = jointNamed(JOINT_OF[place])!
  const assembly = assemble({ ...train, inserted: [part] })
  const full = contextOf(assembly, ctx)
  return scenesOf(joint, assembly, full).every((scene) => tally.reset().add(joint, scene) && tally.code <= WORK)
}

function judgeSet(
  train: Train,
  inserted: readonly CompiledPart[],
  bare: readonly Verdict[],
  ctx: PairingContext,
  tally: Tally,
): { closes: 'yes' | 'may'; missing: string[]; weakest: number } | null {
  const assembly = assemble({ ...train, inserted })
  const full = contextOf(assembly, ctx)
  const open: string[] = []
  let weakest = 6
  for (const verdict of bare) {
    const joint = jointNamed(verdict.joint)!
    tallyJoint(joint, assembly, full, tally.reset())
    weakest = Math.min(weakest, tally.weakest)
    const before = CODES.indexOf(verdict.code)
    const bridged = verdict.limits.some((limit) => limit.code === 'bridge')
    if (tally.code <= WORK) continue
    if (!bridged && tally.code <= before && tally.code !== UNMEASURED) continue
    if (tally.code !== UNMEASURED) return null
    if (!bridged && before === UNMEASURED) continue
    if (seesBridge(assembly, verdict.joint, ctx)) return null
    open.push(verdict.joint)
  }
  if (open.length === 0) return { closes: 'yes', missing: [], weakest }
  return { closes: 'may', missing: open.flatMap((joint) => missingFields(assembly, joint, ctx)), weakest }
}

const record = (assembly: Assembly, joint: string, ctx: PairingContext): Verdict => recordJoint(jointNamed(joint)!, assembly, contextOf(assembly, ctx))!

const seesBridge = (assembly: Assembly, joint: string, ctx: PairingContext): boolean =>
  record(assembly, joint, ctx).limits.some((limit) => limit.code === ('bridge' satisfies Code))

const missingFields = (assembly: Assembly, joint: string, ctx: PairingContext): string[] => record(assembly, joint, ctx).missing.map((field) => `${field.partName}: ${field.label}`)
