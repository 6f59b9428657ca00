/** A point of a torque curve. */
export interface TorquePoint {
  readonly rpm: number
  readonly nm: number
}

/** Torque over engine speed at full throttle, net, between idle and redline. */
export interface TorqueCurve {
  readonly points: readonly TorquePoint[]
  readonly redlineRpm: number
}

/** What is known of an engine's output where nobody has its curve. */
export interface Peaks {
  readonly torqueNm: number
  readonly torqueRpm: number
  readonly redlineRpm: number
  /** Peak power and its speed, where stated. */
  readonly powerW?: number | undefined
  readonly powerRpm?: number | undefined
}

/** Share of peak torque at idle, and left at the redline where no peak power is stated (common practice, no published source). */
const AT_IDLE = 0.7
const AT_REDLINE = 0.82
const IDLE_RPM = 900
/** How much of peak power is left at the redline, beyond it. */
const PAST_POWER = 0.93
const STEPS = 24
const STEEPEST = 8

/**
 * A curve of the stated shape: from 70 % of the peak at 900 rpm up a parabola that is flat at the torque peak, from there
 * down to the torque at peak power (P·60/2πn), so steep that power is greatest there, or, where that is not stated, down
 * another parabola to 82 % at the redline; flat at the torque peak. Shape: common practice, no published source.
 *
 * @throws RangeError where a speed is not above the one before it, or peak power wants more than the peak torque
 */
export function curveFromPeaks({
  torqueNm,
  torqueRpm,
  redlineRpm,
  powerW,
  powerRpm,
}: Peaks): TorqueCurve {
  if (!(torqueRpm > 0 && redlineRpm > torqueRpm))
    throw new RangeError('The redline lies above the speed of the torque peak.')
  const idle = Math.min(IDLE_RPM, torqueRpm * 0.6)
  const known = powerW !== undefined && powerRpm !== undefined
  if (known && !(powerRpm > torqueRpm && powerRpm <= redlineRpm))
    throw new RangeError('Peak power lies above the torque peak and not past the redline.')
  const atPower = known ? powerW / ((powerRpm * 2 * Math.PI) / 60) : torqueNm * AT_REDLINE
  if (atPower > torqueNm * 1.001)
    throw new RangeError(
      `Peak power wants ${Math.round(atPower)} N·m at ${powerRpm} rpm, more than the peak torque of ${Math.round(torqueNm)}.`,
    )
  const fallTo = known ? powerRpm : redlineRpm
  // As steep that power is greatest where it is stated to be: dP/dn = 0 there.
  const fall = known
    ? Math.min(
        STEEPEST,
        Math.max(1, (atPower * (powerRpm - torqueRpm)) / (powerRpm * (torqueNm - atPower || 1))),
      )
    : 2
  const shape = (rpm: number): number => {
    if (rpm <= torqueRpm)
      return torqueNm * (1 - (1 - AT_IDLE) * ((torqueRpm - rpm) / (torqueRpm - idle)) ** 2)
    if (rpm <= fallTo)
      return torqueNm - (torqueNm - atPower) * ((rpm - torqueRpm) / (fallTo - torqueRpm)) ** fall
    // Past its peak, power itself falls.
    const past = (rpm - fallTo) / Math.max(1, redlineRpm - fallTo)
    return ((atPower * fallTo) / rpm) * (1 - (1 - PAST_POWER) * past ** 2)
  }
  const speeds = new Set<number>([torqueRpm, fallTo, redlineRpm])
  for (let i = 0; i <= STEPS; i++) speeds.add(idle + ((redlineRpm - idle) * i) / STEPS)
  return {
    points: [...speeds].toSorted((a, b) => a - b).map((rpm) => ({ rpm, nm: shape(rpm) })),
    redlineRpm,
  }
}

/** Torque at a speed, straight between points; below the first as at the first, past the redline none. */
export function torqueAt({ points, redlineRpm }: TorqueCurve, rpm: number): number {
  if (rpm > redlineRpm * 1.0001 || points.length === 0) return 0
  const first = points[0]!
  if (rpm <= first.rpm) return first.nm
  let low = 0
  let high = points.length - 1
  if (rpm >= points[high]!.rpm) return points[high]!.nm
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (points[middle]!.rpm <= rpm) low = middle
    else high = middle
  }
  const [a, b] = [points[low]!, points[high]!]
  return a.nm + ((rpm - a.rpm) / (b.rpm - a.rpm)) * (b.nm - a.nm)
}

/** The greatest power of a curve, W, and its speed. */
export function peakPower(curve: TorqueCurve): { readonly w: number; readonly rpm: number } {
  let best = { w: 0, rpm: 0 }
  const { points } = curve
  for (const [i, point] of points.entries()) {
    const next = points[i + 1] ?? point
    for (const share of [0, 0.25, 0.5, 0.75]) {
      const rpm = point.rpm + (next.rpm - point.rpm) * share
      const w = (torqueAt(curve, rpm) * rpm * 2 * Math.PI) / 60
      if (w > best.w) best = { w, rpm }
    }
  }
  return best
}

/** The same curve with every torque in a proportion: another output, or net of gross. */
export const scaledCurve = ({ points, redlineRpm }: TorqueCurve, share: number): TorqueCurve => ({
  points: points.map(({ rpm, nm }) => ({ rpm, nm: nm * share })),
  redlineRpm,
})

/** What gross figures of old engines stand above net ones: 15 to 25 % (common practice, no published source). */
export const GROSS_OVER_NET = { low: 1.15, likely: 1.2, high: 1.25 } as const
