/** How wheel holes meet crank holes at the best turn. */
export interface FlangeMatch {
  /** Crank holes that a wheel hole meets. */
  readonly met: number
  readonly crank: number
  readonly wheel: number
  /** Greatest distance at the holes met, mm. */
  readonly worstMm: number
}

/**
 * Turns the wheel so that most crank holes meet a wheel hole within `playMm`, then so that the greatest miss is least.
 * Angles in degrees on a circle of the given Ø. Asymmetric circles meet one way only.
 */
export function matchFlange(
  crank: readonly number[],
  wheel: readonly number[],
  circleMm: number,
  playMm: number,
): FlangeMatch {
  const toMm = (circleMm / 2) * (Math.PI / 180)
  let met = 0
  let worstMm = Infinity
  for (const from of wheel) {
    const base = crank[0]! - from
    // Each wheel hole in turn is laid on the first crank hole; the mean of the misses then centres the rest (within one play).
    let least = Infinity
    let most = -Infinity
    for (const angle of crank) {
      const miss = nearestMiss(angle, wheel, base)
      if (Math.abs(miss) * toMm > 2 * playMm + 1e-9) continue
      if (miss < least) least = miss
      if (miss > most) most = miss
    }
    const centre = most >= least ? (most + least) / 2 : 0
    for (let step = 0; step < 2; step++) {
      let count = 0
      let worst = -Infinity
      for (const angle of crank) {
        const miss = Math.abs(nearestMiss(angle, wheel, base + step * centre)) * toMm
        if (miss > playMm + 1e-6) continue
        count++
        if (miss > worst) worst = miss
      }
      if (count === 0) worst = Infinity
      if (count > met || (count === met && worst < worstMm)) {
        met = count
        worstMm = worst
      }
      if (centre === 0) break
    }
  }
  return { met, crank: crank.length, wheel: wheel.length, worstMm }
}

function nearestMiss(angle: number, wheel: readonly number[], turn: number): number {
  let least = 360
  for (const hole of wheel) {
    const raw = angle - hole - turn
    const miss = raw - 360 * Math.round(raw / 360)
    if (Math.abs(miss) < Math.abs(least)) least = miss
  }
  return least
}
