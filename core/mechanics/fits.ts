/** Limits and fits, ISO 286-1 and 286-2, for what is located in a swap: bores H7, pressed pieces p6. */
export type HoleClass = 'H7'
export type ShaftClass = 'p6'

interface Deviation {
  readonly lowMm: number
  readonly highMm: number
}

/** Nominal bands, over low up to and including high, mm, with deviations in micrometres. */
const BANDS: readonly {
  readonly over: number
  readonly to: number
  readonly H7: readonly [number, number]
  readonly p6: readonly [number, number]
}[] = [
  { over: 10, to: 18, H7: [0, 18], p6: [18, 29] },
  { over: 18, to: 30, H7: [0, 21], p6: [22, 35] },
  { over: 30, to: 50, H7: [0, 25], p6: [26, 42] },
]

/** Lower and upper deviation of a class at a nominal size, mm; null outside the bands held here. */
export function deviation(of: HoleClass | ShaftClass, nominalMm: number): Deviation | null {
  const band = BANDS.find(({ over, to }) => nominalMm > over && nominalMm <= to)
  if (!band) return null
  const [low, high] = band[of]
  return { lowMm: low / 1000, highMm: high / 1000 }
}

export interface Fit {
  /** Clearance, mm: negative is interference. */
  readonly leastMm: number
  readonly greatestMm: number
  readonly kind: 'clearance' | 'transition' | 'interference'
}

/** Clearance range of a shaft in a hole by their limits. */
export function fitOf(hole: Deviation, shaft: Deviation): Fit {
  const leastMm = hole.lowMm - shaft.highMm
  const greatestMm = hole.highMm - shaft.lowMm
  return {
    leastMm,
    greatestMm,
    kind: leastMm >= 0 ? 'clearance' : greatestMm <= 0 ? 'interference' : 'transition',
  }
}

/** A nominal fit such as H7/p6 at 25 mm; null outside the bands held here. */
export function nominalFit(hole: HoleClass, shaft: ShaftClass, nominalMm: number): Fit | null {
  const [bore, piece] = [deviation(hole, nominalMm), deviation(shaft, nominalMm)]
  return bore && piece ? fitOf(bore, piece) : null
}
