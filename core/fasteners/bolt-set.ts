import {
  type BoltClass,
  boltLengthMm,
  edgeDistanceMm,
  engagementMm,
  leastWallMm,
  type Metal,
  pitchOf,
  tapDrillMm,
  tightening,
} from '../mechanics/fasteners.ts'
import { nominalFit } from '../mechanics/fits.ts'
import { threadDiameter } from '../mechanics/thread.ts'
import type { Field } from '../ports/field.ts'

/** One set of bolts of a joint: what to get, how deep, how tight, and by whose word. */
export interface BoltSet {
  readonly words: string
  readonly count: number | null
  readonly thread: string
  readonly pitchMm: number | null
  readonly boltClass: BoltClass
  readonly gripMm: number | null
  /** Length under the head: the one claimed, or from grip and engagement to the next preferred length. */
  readonly lengthMm: number | null
  readonly engagedMm: number
  readonly tightness: string
  /** Where a hole is made for it: drill, and the metal to leave. */
  readonly drillMm: number | null
  readonly edgeMm: number
  readonly wallMm: number
}

/** One place where a part is located in another: the clearance as measured, and what the nominal fit would give. */
export interface LocatedFit {
  readonly words: string
  /** Clearance, mm; negative is interference. */
  readonly leastMm: number
  readonly greatestMm: number
  readonly nominal: string | null
}

export interface JointHardware {
  readonly bolts: readonly BoltSet[]
  readonly fits: readonly LocatedFit[]
}

const CROSS = 'In a cross pattern, in three steps'

interface Claimed {
  readonly torqueNm?: Field<number>
  readonly angleDeg?: Field<number>
  readonly boltClass?: Field<string | null>
}

interface SetOf {
  readonly words: string
  readonly thread: string | null
  readonly count: number
  readonly grip?: number
  readonly length?: number
  readonly into: Metal
  readonly usual: BoltClass
  readonly claimed?: Claimed
}

/** A set of bolts from what is known; none where not even the thread is. The maker's torque or angle goes before any reckoning. */
export function boltSet({
  words,
  thread,
  count,
  grip = Number.NaN,
  length = Number.NaN,
  into,
  usual,
  claimed = {},
}: SetOf): BoltSet[] {
  if (thread === null || Number.isNaN(threadDiameter(thread))) return []
  const boltClass = (claimed.boltClass?.v as BoltClass | null | undefined) ?? usual
  const engaged = engagementMm(thread, into)
  const stated = claimed.torqueNm?.v ?? Number.NaN
  const angle = claimed.angleDeg?.v ?? Number.NaN
  const reckoned = tightening(thread, boltClass)
  const tightness = Number.isFinite(stated)
    ? `${CROSS}: ${stated} N·m${Number.isFinite(angle) ? `, then ${angle}°` : ''} by the maker${Number.isFinite(angle) ? '; a bolt tightened by angle is renewed' : ''}`
    : Number.isFinite(angle)
      ? `${CROSS}: ${angle}° by the maker after his seating torque, which nobody has typed; a bolt tightened by angle is renewed`
      : reckoned
        ? `${CROSS}: ${reckoned.words}`
        : 'Its torque is the maker’s'
  const d = threadDiameter(thread)
  return [
    {
      words,
      count: Number.isFinite(count) && count > 0 ? count : null,
      thread,
      pitchMm: pitchOf(thread)?.pitchMm ?? null,
      boltClass,
      gripMm: Number.isFinite(grip) ? grip : null,
      lengthMm: Number.isFinite(length)
        ? length
        : Number.isFinite(grip)
          ? boltLengthMm(grip, 0, engaged)
          : null,
      engagedMm: engaged,
      tightness,
      drillMm: tapDrillMm(thread),
      edgeMm: edgeDistanceMm(d).wanted,
      wallMm: leastWallMm(d, d),
    },
  ]
}

/** A located place from two diameters; none where one is not known. */
export function locatedFit(
  words: string,
  bore: Field<number>,
  piece: Field<number>,
  isPressed = false,
): LocatedFit[] {
  if (bore.claim === null || piece.claim === null) return []
  const pm = Number.isFinite(bore.pm + piece.pm) ? bore.pm + piece.pm : 0
  const nominal = isPressed ? nominalFit('H7', 'p6', Math.round(bore.v)) : null
  return [
    {
      words,
      leastMm: bore.v - piece.v - pm,
      greatestMm: bore.v - piece.v + pm,
      nominal: nominal
        ? `H7/p6 at ${Math.round(bore.v)}: ${(-nominal.greatestMm).toFixed(3)} to ${(-nominal.leastMm).toFixed(3)} mm of interference`
        : null,
    },
  ]
}
