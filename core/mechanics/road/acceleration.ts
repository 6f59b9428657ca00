import { bestGear, effort, turningRpm } from './effort.ts'
import { engineRpm, LEVEL, type Road, type RoadCar, resistance, turningMass } from './road-car.ts'

/** A run from one speed to another. */
export interface Run {
  /** s; Infinity where it is never reached. */
  readonly seconds: number
  readonly metres: number
  /** Work at the tyres, what the road took of it, and what the whole holds in motion more than at first, J: the first is the sum of the others. */
  readonly tyreJ: number
  readonly roadJ: number
  readonly motionJ: number
}

export const STEP_S = 0.01
const LONGEST_S = 300
/** Where one changes up at the latest, as a share of the redline. */
const NEAR_REDLINE = 0.995

/**
 * A run at full throttle from one speed to another, km/h: the gear that pulls most, or one gear alone; between gears the
 * pull is gone for the time of a shift. Midpoint steps of a hundredth of a second; the last step is cut where the speed
 * is reached.
 */
export function run(
  driven: RoadCar,
  road: Road,
  fromKmh: number,
  toKmh: number,
  options: { readonly gear?: number; readonly stepS?: number } = {},
): Run {
  // From rest the driver spares the tyres.
  const car = fromKmh === 0 ? { ...driven, grip: driven.launchGrip } : driven
  const step = options.stepS ?? STEP_S
  const to = toKmh / 3.6
  const trailer = road.trailer?.massKg ?? 0
  let v = fromKmh / 3.6
  let t = fromKmh === 0 ? car.reactionS : 0
  let metres = 0
  let tyreJ = 0
  let roadJ = 0
  let motionJ = 0
  let index = options.gear ?? bestGear(car, road, v).index
  let shifting = 0
  while (v < to) {
    if (t > LONGEST_S) return { seconds: Infinity, metres, tyreJ, roadJ, motionJ }
    if (options.gear === undefined && shifting <= 0) {
      const isAtRedline =
        turningRpm(car, car.gears[index]!, v) > car.curve.redlineRpm * NEAR_REDLINE
      const isLast = index === car.gears.length - 1
      if (!isLast && (isAtRedline || bestGear(car, road, v).index > index)) {
        index++
        shifting = car.shiftS
      }
    }
    const gear = car.gears[index]!
    const pull = (speed: number): number => (shifting > 0 ? 0 : effort(car, road, gear, speed))
    const whole = car.massKg + trailer + turningMass(car, gear)
    const gain = (speed: number): number => (pull(speed) - resistance(car, road, speed)) / whole
    const middle = Math.max(0, v + (gain(v) * step) / 2)
    const rate = gain(middle)
    if (gain(v) <= 1e-4 && shifting <= 0)
      return { seconds: Infinity, metres, tyreJ, roadJ, motionJ }
    const next = Math.max(0, v + rate * step)
    // Only as far as the speed wanted, or to the end of the shift.
    let share = next > to ? (to - v) / (next - v) : 1
    if (shifting > 0 && shifting < step * share) share = shifting / step
    const dt = step * share
    const end = v + rate * dt
    const dx = ((v + end) / 2) * dt
    tyreJ += pull(middle) * dx
    roadJ += resistance(car, road, middle) * dx
    motionJ += (whole * (end * end - v * v)) / 2
    metres += dx
    t += dt
    shifting -= dt
    v = end
    if (share < 1 && next > to && shifting <= 0 && v >= to - 1e-9) break
    if (v >= to - 1e-9) break
  }
  return { seconds: t, metres, tyreJ, roadJ, motionJ }
}

/** Seconds from rest to a speed at full throttle on the level. */
export const fromRest = (car: RoadCar, kmh: number, road: Road = LEVEL): number =>
  run(car, road, 0, kmh).seconds

/** Seconds from one speed to another in each gear that spans both, null where the engine cannot. */
export const inGears = (
  car: RoadCar,
  fromKmh: number,
  toKmh: number,
  road: Road = LEVEL,
): readonly (number | null)[] =>
  car.gears.map((gear, index) => {
    const low = engineRpm(car, gear, fromKmh / 3.6)
    if (low < car.curve.points[0]!.rpm || engineRpm(car, gear, toKmh / 3.6) > car.curve.redlineRpm)
      return null
    const { seconds } = run(car, road, fromKmh, toKmh, { gear: index })
    return Number.isFinite(seconds) ? seconds : null
  })
