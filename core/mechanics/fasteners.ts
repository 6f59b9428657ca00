import { threadDiameter } from './thread.ts'

/**
 * Bolts: stress area, proof load, tightening torque, tap drill, length from grip, engagement, edge distance.
 * Sources: ISO 898-1 (metric areas, classes), ASME B1.1 (inch areas), SAE J429 (grades), ISO 2306 (tap drills),
 * EN 1993-1-8 table 3.3 (edge distance). K by condition, engagement and wanted edge: common practice, no published source.
 */
export type BoltClass = '8.8' | '10.9' | '12.9' | 'grade 5' | 'grade 8'
export type Condition = 'dry' | 'oiled' | 'anti-seize'
export type Metal = 'steel' | 'aluminium'

const MM = 1e-3
const MPA = 1e6
const PSI = 6894.757293168361
const INCH_MM = 25.4

/** Coarse pitches (ISO 261) and threads an inch (ASME B1.1, coarse), for threads written without one. */
const COARSE_MM: Readonly<Record<number, number>> = {
  5: 0.8,
  6: 1,
  8: 1.25,
  10: 1.5,
  12: 1.75,
  14: 2,
  16: 2,
  18: 2.5,
  20: 2.5,
  22: 2.5,
  24: 3,
}

interface Pitch {
  readonly diameterMm: number
  readonly pitchMm: number
  readonly isInch: boolean
}

/** Ø and pitch of a thread as written; null when it cannot be read. */
export function pitchOf(thread: string): Pitch | null {
  const diameterMm = threadDiameter(thread)
  if (Number.isNaN(diameterMm)) return null
  const metric = /^M\s*[\d.]+(?:\s*x\s*([\d.]+))?/i.exec(thread)
  if (metric) {
    const pitchMm = metric[1] ? Number(metric[1]) : COARSE_MM[diameterMm]
    return pitchMm === undefined ? null : { diameterMm, pitchMm, isInch: false }
  }
  const perInch = Number(/-\s*(\d+)/.exec(thread)?.[1])
  return perInch > 0 ? { diameterMm, pitchMm: INCH_MM / perInch, isInch: true } : null
}

/** Tensile stress area, mm²: metric π/4·(d − 0.9382 p)², inch π/4·(d − 0.9743/n)². NaN when the thread cannot be read. */
export function stressArea(thread: string): number {
  const pitch = pitchOf(thread)
  if (!pitch) return Number.NaN
  return (Math.PI / 4) * (pitch.diameterMm - (pitch.isInch ? 0.9743 : 0.9382) * pitch.pitchMm) ** 2
}

/** Proof stress, MPa: ISO 898-1; 8.8 over M16 is 600. SAE J429 grades as far as their own sizes go. */
export function proofStress(boltClass: BoltClass, diameterMm: number): number {
  switch (boltClass) {
    case '8.8':
      return diameterMm <= 16 ? 580 : 600
    case '10.9':
      return 830
    case '12.9':
      return 970
    case 'grade 5':
      return (85_000 * PSI) / MPA
    case 'grade 8':
      return (120_000 * PSI) / MPA
  }
}

/** Share of the proof load a bolt is tightened to. */
export const PRELOAD_SHARE = 0.75
/** Nut factor by condition. Common practice, no published source. */
export const NUT_FACTOR: Readonly<Record<Condition, number>> = {
  dry: 0.2,
  oiled: 0.15,
  'anti-seize': 0.12,
}

export interface Tightening {
  /** Preload, N. */
  readonly forceN: number
  readonly torqueNm: number
  readonly k: number
  /** How it was reckoned, and what goes before it. */
  readonly words: string
}

/**
 * Tightening torque T = K·d·F with F = 75 % of proof stress × stress area. It yields to the maker's figure; a stretch or
 * angle-tightened bolt has none, and in aluminium the tapped thread limits, not the bolt.
 */
export function tightening(
  thread: string,
  boltClass: BoltClass,
  condition: Condition = 'dry',
): Tightening | null {
  const diameterMm = threadDiameter(thread)
  const area = stressArea(thread)
  if (Number.isNaN(area)) return null
  const forceN = PRELOAD_SHARE * proofStress(boltClass, diameterMm) * MPA * area * MM * MM
  const k = NUT_FACTOR[condition]
  const torqueNm = k * diameterMm * MM * forceN
  return {
    forceN,
    torqueNm,
    k,
    words: `${thread} ${boltClass}, ${condition}: ${torqueNm.toFixed(0)} N·m by K ${k} and ${PRELOAD_SHARE * 100} % of proof, unless the maker states a torque or an angle`,
  }
}

/** Thread engagement wanted, in bolt Ø. Common practice, no published source. */
export const ENGAGEMENT: Readonly<Record<Metal, number>> = { steel: 1, aluminium: 1.5 }
/** For lifting by a threaded hole. Common practice, no published source. */
export const LIFTING_ENGAGEMENT: Readonly<Record<Metal, number>> = { steel: 1.5, aluminium: 2 }

/** Depth of thread to screw in, mm. */
export const engagementMm = (thread: string, metal: Metal, isLifting = false): number =>
  (isLifting ? LIFTING_ENGAGEMENT : ENGAGEMENT)[metal] * threadDiameter(thread)

/** Preferred lengths of metric bolts, mm (ISO 888). */
const LENGTHS_MM = [
  10, 12, 16, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 80, 90, 100, 110, 120, 130, 140, 150, 160,
  180, 200,
]

/** The next preferred length that holds grip, washers and engagement or nut; null beyond the longest. */
export function boltLengthMm(gripMm: number, washersMm: number, engagedMm: number): number | null {
  return LENGTHS_MM.find((length) => length >= gripMm + washersMm + engagedMm - 1e-9) ?? null
}

/** The standard's rounded table (ISO 2306), not bare d − p. */
const TAP_DRILLS: Readonly<Record<string, number>> = {
  'M5x0.8': 4.2,
  M6x1: 5,
  'M8x1.25': 6.8,
  M8x1: 7,
  'M10x1.5': 8.5,
  'M10x1.25': 8.8,
  M10x1: 9,
  'M12x1.75': 10.2,
  'M12x1.5': 10.5,
  'M12x1.25': 10.8,
  M14x2: 12,
  'M14x1.5': 12.5,
  M16x2: 14,
  'M16x1.5': 14.5,
  'M20x2.5': 17.5,
  '3/8-16': (INCH_MM * 5) / 16,
}

/** Tap drill Ø, mm; null where the table has none: look it up, do not reckon it. */
export function tapDrillMm(thread: string): number | null {
  const pitch = pitchOf(thread)
  if (!pitch) return null
  return TAP_DRILLS[pitch.isInch ? thread : `M${pitch.diameterMm}x${pitch.pitchMm}`] ?? null
}

/** Least and wanted distance of a hole of Ø d0 from an edge of a made bracket or plate, mm. */
export const edgeDistanceMm = (
  holeMm: number,
): { readonly least: number; readonly wanted: number } => ({
  least: 1.2 * holeMm,
  wanted: 2 * holeMm,
})

/** Least wall between two holes of a made plate, mm: 0.8 of the larger. Common practice, no published source. */
export const leastWallMm = (oneMm: number, otherMm: number): number =>
  0.8 * Math.max(oneMm, otherMm)

/** Tension in each leg of a two-leg sling, by the angle between the legs; every leg, bolt and eye is rated for the whole mass. */
export function slingTension(massKg: number, includedDeg: number): number {
  return (massKg * 9.80665) / (2 * Math.cos((includedDeg * Math.PI) / 360))
}
