/** How wheel holes meet crank holes at the best turn. */
export interface FlangeMatch {
  /** Crank holes that a wheel hole meets. */
  readonly met: number
  readonly crank: number
  readonly wheel: number
  /** Greatest distance at the holes met, mm. */
  readonly worstMm: number
}

const wrap = (degrees: number): number => ((((degrees + 180) % 360) + 360) % 360) - 180

/**
 * Turns the wheel so that most crank holes meet a wheel hole within `playMm`, then so that the greatest miss is least.
 * Angles in degrees on a circle of the given Ø. Asymmetric circles meet one way only.
 */
export function matchFlange(crank: readonly number[], wheel: readonly number[], circleMm: number, playMm: number): FlangeMatch {
  const toMm = (circleMm / 2) * (Math.PI / 180)
  let best: FlangeMatch = { met: 0, crank: crank.length, wheel: wheel.length, worstMm: Infinity }
  for (const from of wheel) {
    const base = crank[0]! - from
    // Each wheel hole in turn is laid on the first crank hole; the mean of the misses then centres the rest (within one play).
    const misses = crank.map((angle) => nearestMiss(angle, wheel, base)).filter((miss) => Math.abs(miss) * toMm <= 2 * playMm + 1e-9)
    const centre = misses.length > 0 ? (Math.max(...misses) + Math.min(...misses)) / 2 : 0
    for (const turn of [base, base + centre]) {
      const all = crank.map((angle) => Math.abs(nearestMiss(angle, wheel, turn)) * toMm).filter((miss) => miss <= playMm + 1e-6)
      const worst = all.length > 0 ? Math.max(...all) : Infinity
      if (all.length > best.met || (all.length === best.met && worst < best.worstMm)) best = { met: all.length, crank: crank.length, wheel: wheel.length, worstMm: worst }
    }
  }
  return best
}

function nearestMiss(angle: number, wheel: readonly number[], turn: number): number {
  let least = 360
  for (const hole of wheel) {
    const miss = wrap(angle - hole - turn)
    if (Math.abs(miss) < Math.abs(least)) least = miss
  }
  return least
}
