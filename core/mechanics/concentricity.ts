/**
 * Concentricity by dial indicator: held on the crank, swept round the bore or the face of the bell. Windows are the
 * shop's tolerances; offset = total indicator reading / 2 (common practice).
 */

/** Eight places of the clock, 12 first, as seen from the gearbox looking at the engine: degrees counter-clockwise from the right. */
export const CLOCK: readonly { readonly words: string; readonly degrees: number }[] = [
  '12:00',
  '1:30',
  '3:00',
  '4:30',
  '6:00',
  '7:30',
  '9:00',
  '10:30',
].map((words, i) => ({
  words,
  degrees: (450 - 45 * i) % 360,
}))

export interface Sweep {
  /** Greatest less least reading, mm. */
  readonly tirMm: number
  /** Where the middle of the bore stands from the crank axis, mm: x to the right, y up. */
  readonly offset: { readonly x: number; readonly y: number }
  readonly offsetMm: number
  /** Part of the reading that no shift explains: bore out of round, dirt, a reading gone wrong. */
  readonly restMm: number
}

/**
 * The offset a sweep tells of: the first harmonic of its readings. A reading grows where the plunger is pushed in, that
 * is where the wall of the bore stands nearer, so the middle of the bore lies the other way.
 *
 * @param readings mm, at the eight places of `CLOCK`
 */
export function sweepOf(readings: readonly number[]): Sweep {
  if (readings.length !== CLOCK.length || !readings.every(Number.isFinite))
    throw new RangeError(`A sweep has ${CLOCK.length} readings, one at each place of the clock.`)
  const mean = readings.reduce((sum, one) => sum + one, 0) / readings.length
  let x = 0
  let y = 0
  readings.forEach((reading, i) => {
    const angle = (CLOCK[i]!.degrees * Math.PI) / 180
    x -= (2 / readings.length) * (reading - mean) * Math.cos(angle)
    y -= (2 / readings.length) * (reading - mean) * Math.sin(angle)
  })
  const left = readings.map((reading, i) => {
    const angle = (CLOCK[i]!.degrees * Math.PI) / 180
    return reading - mean + x * Math.cos(angle) + y * Math.sin(angle)
  })
  return {
    tirMm: Math.max(...readings) - Math.min(...readings),
    offset: { x, y },
    offsetMm: Math.hypot(x, y),
    restMm: Math.max(...left) - Math.min(...left),
  }
}

/** Offset dowels that are sold, mm: 0.007, 0.014 and 0.021 in (from memory). */
export const OFFSET_DOWELS_MM = [0.1778, 0.3556, 0.5334] as const

export interface Correction {
  /** Which way the case must move, and how far, mm. */
  readonly move: { readonly x: number; readonly y: number }
  readonly degrees: number
  readonly dowelMm: number
  /** What would be left with that dowel, mm. */
  readonly leftMm: number
}

/** The offset dowel that brings the bore nearest to the crank axis, and where its high side points. */
export function dowelCorrection({ offset, offsetMm }: Sweep): Correction {
  const dowelMm = [...OFFSET_DOWELS_MM].sort(
    (p, q) => Math.abs(p - offsetMm) - Math.abs(q - offsetMm),
  )[0]!
  const degrees = (Math.atan2(-offset.y, -offset.x) * 180) / Math.PI
  return {
    move: { x: 0 - offset.x, y: 0 - offset.y },
    degrees: (degrees + 360) % 360,
    dowelMm,
    leftMm: Math.abs(offsetMm - dowelMm),
  }
}
