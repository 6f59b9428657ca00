import {
  engineRpm,
  GRAVITY,
  LEVEL,
  type Road,
  type RoadCar,
  resistance,
  speedAt,
} from './road-car.ts'
import { torqueAt } from './torque-curve.ts'

/** Speed ratio of a converter at which it couples: past it, it multiplies no more (common practice, no published source). */
const COUPLED = 0.88
/** Slip that is left of a converter once coupled. */
export const SLIP = 0.05
const multiplied = (stall: number, ratio: number): number =>
  ratio >= COUPLED ? 1 : stall - (stall - 1) * (ratio / COUPLED)
/** Under this share of the speed its curve begins at, an engine on a clutch that is let in dies. */
const DIES = 0.85

/** How fast the engine turns in a gear at a speed once nothing slips any more but a coupled converter, rpm. */
export const turningRpm = (car: RoadCar, gear: number, speedMs: number): number =>
  engineRpm(car, gear, speedMs) / (car.stall === null ? 1 : 1 - SLIP)

/**
 * What the engine gives at the tyres in a gear at a speed, N, before grip: in first on a clutch that slips until the wheels
 * have caught up, in every gear of a converter; 0 past its redline, and in a higher gear under its idle.
 */
export function engineEffort(car: RoadCar, road: Road, gear: number, speedMs: number): number {
  const rolling = engineRpm(car, gear, speedMs)
  const isClutch = car.stall === null
  if (isClutch && gear !== car.gears[0] && rolling < car.curve.points[0]!.rpm * DIES) return 0
  const slips = !isClutch || gear === car.gears[0]
  const turning = turningRpm(car, gear, speedMs)
  const rpm = slips ? Math.max(turning, car.launchRpm) : turning
  const gain = car.stall === null ? 1 : multiplied(car.stall, rolling / Math.max(1, rpm))
  return (
    (torqueAt(car.curve, rpm) * road.air * gain * gear * car.final * car.efficiency) / car.radiusM
  )
}

/**
 * What the driven tyres hold, N, while the whole accelerates by a force: weight moves to the rear by its height over the
 * wheelbase. Solved for the force at which the tyre lets go: µ·N with N = share·m·g ± h/L·F.
 */
export function gripEffort(car: RoadCar, road: Road): number {
  const weight = car.massKg * GRAVITY * Math.cos(Math.atan(road.grade))
  if (car.driven === 'all') return car.grip * weight
  const shift = car.grip * car.heightOverBase * (car.driven === 'rear' ? 1 : -1)
  return (car.grip * car.drivenShare * weight) / (1 - shift)
}

/** Tractive effort in a gear at a speed, N: what engine and tyre both give. */
export const effort = (car: RoadCar, road: Road, gear: number, speedMs: number): number =>
  Math.min(engineEffort(car, road, gear, speedMs), gripEffort(car, road))

/** One point of a graph of pull against speed. */
export interface EffortPoint {
  readonly kmh: number
  readonly n: number
}

/** Pull at the tyres by gear, from where the engine turns freely to its redline, km/h and N. */
export function effortByGear(
  car: RoadCar,
  road: Road = LEVEL,
  steps = 40,
): readonly (readonly EffortPoint[])[] {
  const idle = car.curve.points[0]!.rpm
  // Through a converter the engine reaches its redline before the wheels would say so.
  const most = car.curve.redlineRpm * (car.stall === null ? 1 : 1 - SLIP)
  return car.gears.map((gear) =>
    Array.from({ length: steps + 1 }, (_, i) => {
      const speed = speedAt(car, gear, idle + ((most - idle) * i) / steps)
      return { kmh: speed * 3.6, n: effort(car, road, gear, speed) }
    }),
  )
}

/** What the road takes against speed, km/h and N, up to a speed. */
export const loadCurve = (
  car: RoadCar,
  road: Road,
  toKmh: number,
  steps = 40,
): readonly EffortPoint[] =>
  Array.from({ length: steps + 1 }, (_, i) => {
    const kmh = (toKmh * i) / steps
    return { kmh, n: resistance(car, road, kmh / 3.6) }
  })

/** The gear that pulls most at a speed, and how hard, N. */
export function bestGear(
  car: RoadCar,
  road: Road,
  speedMs: number,
): { readonly index: number; readonly n: number } {
  let best = { index: 0, n: -1 }
  for (const [index, gear] of car.gears.entries()) {
    if (engineRpm(car, gear, speedMs) > car.curve.redlineRpm) continue
    const n = effort(car, road, gear, speedMs)
    if (n > best.n) best = { index, n }
  }
  return best.n < 0 ? { index: car.gears.length - 1, n: 0 } : best
}
