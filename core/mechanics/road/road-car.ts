import type { TorqueCurve } from './torque-curve.ts'

export const GRAVITY = 9.81

/** A vehicle on the road: SI units inside, all of it with what it carries. */
export interface RoadCar {
  readonly curve: TorqueCurve
  /** First gear first. */
  readonly gears: readonly number[]
  /** Transfer case, axle and hub reduction together. */
  readonly final: number
  readonly massKg: number
  /** Drag area, m². */
  readonly dragM2: number
  readonly rolling: number
  /** Loaded radius of the driven tyre, m. */
  readonly radiusM: number
  /** Share of engine torque that reaches the tyre. */
  readonly efficiency: number
  /** Friction of the tyre; what of it a driver makes use of from rest; share of the weight on driven wheels standing still. */
  readonly grip: number
  readonly launchGrip: number
  readonly driven: 'front' | 'rear' | 'all'
  readonly drivenShare: number
  /** Height of the centre of mass over the wheelbase. */
  readonly heightOverBase: number
  /** Inertia of engine and flywheel, and of all wheels, kg·m². */
  readonly engineInertia: number
  readonly wheelInertia: number
  /** From one gear to the next, s. */
  readonly shiftS: number
  /** An automatic's stall ratio; null on a clutch. */
  readonly stall: number | null
  /** Where the clutch is let in from rest. */
  readonly launchRpm: number
  /** From the light to full throttle, s. */
  readonly reactionS: number
}

/** Where it drives. */
export interface Road {
  /** Rise over run, 0.06 is 6 %. */
  readonly grade: number
  /** Head wind, m/s. */
  readonly windMs: number
  /** Air density, kg/m³. */
  readonly airKgM3: number
  /** Share of sea-level torque that the engine makes here. */
  readonly air: number
  readonly trailer: {
    readonly massKg: number
    readonly dragM2: number
    readonly rolling: number
  } | null
}

export const LEVEL: Road = { grade: 0, windMs: 0, airKgM3: 1.2, air: 1, trailer: null }

/**
 * The road at an altitude: density by the standard atmosphere (ISO 2533, troposphere), an engine that breathes by itself
 * loses torque with it; a charged one keeps two thirds of what that one would lose (common practice, no published source).
 */
export function atAltitude(road: Road, metres: number, isCharged: boolean): Road {
  const share = (1 - 2.25577e-5 * metres) ** 4.2559
  return {
    ...road,
    airKgM3: road.airKgM3 * share,
    air: isCharged ? 1 - (1 - share) / 3 : share,
  }
}

/**
 * Defaults of a road car whose figures nobody has: fitted on the odd rows of an open data set, see road.test.ts. The grip
 * used from rest is what a driver makes use of, not what a good tyre holds.
 */
export const ROAD_DEFAULTS = {
  efficiency: 0.9,
  grip: 0.9,
  launchGrip: 0.5,
  rolling: 0.013,
  drivenShare: 0.5,
  heightOverBase: 0.2,
  engineInertia: 0.2,
  wheelInertia: 4,
  shiftS: 0.4,
  launchRpm: 2000,
  reactionS: 0.2,
} as const

/** Mass that turning parts add in a gear, kg: engine through all reductions, wheels as they roll. */
export const turningMass = (car: RoadCar, gear: number): number =>
  (car.engineInertia * (gear * car.final) ** 2 + car.wheelInertia) / car.radiusM ** 2

/** What holds it back at a speed, N: rolling, drag with wind, the hill, and the trailer's. */
export function resistance(car: RoadCar, road: Road, speedMs: number): number {
  const angle = Math.atan(road.grade)
  const air = 0.5 * road.airKgM3 * (speedMs + road.windMs) * Math.abs(speedMs + road.windMs)
  const weight = (massKg: number, rolling: number): number =>
    massKg * GRAVITY * (rolling * Math.cos(angle) + Math.sin(angle))
  const own = weight(car.massKg, car.rolling) + air * car.dragM2
  return road.trailer === null
    ? own
    : own + weight(road.trailer.massKg, road.trailer.rolling) + air * road.trailer.dragM2
}

/** Engine speed at a road speed in a gear, rpm. */
export const engineRpm = (car: RoadCar, gear: number, speedMs: number): number =>
  ((speedMs / car.radiusM) * gear * car.final * 60) / (2 * Math.PI)

/** Road speed at an engine speed in a gear, m/s. */
export const speedAt = (car: RoadCar, gear: number, rpm: number): number =>
  (((rpm * 2 * Math.PI) / 60) * car.radiusM) / (gear * car.final)
