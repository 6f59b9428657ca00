import { run } from './acceleration.ts'
import { bestGear, effort } from './effort.ts'
import { engineRpm, GRAVITY, LEVEL, type Road, type RoadCar, resistance } from './road-car.ts'
import { torqueAt } from './torque-curve.ts'

/** One figure on the way to another. */
export interface RoadStep {
  readonly words: string
  readonly value: number
  readonly unit: string
}

const MM = 1000
const top = (car: RoadCar): number => car.gears.at(-1)!

/** What the engine speed in top at a road speed is reckoned from: km/h, ratios, mm. */
export const cruiseSteps = (car: RoadCar, kmh: number): readonly RoadStep[] => [
  { words: 'road speed', value: kmh, unit: 'km/h' },
  { words: 'loaded radius of the driven tyre', value: car.radiusM * MM, unit: 'mm' },
  { words: 'turns of the wheel', value: engineRpm(car, 1, kmh / 3.6) / car.final, unit: 'rpm' },
  { words: 'axle, transfer case and hubs', value: car.final, unit: '' },
  { words: 'top gear', value: top(car), unit: '' },
  { words: 'engine', value: engineRpm(car, top(car), kmh / 3.6), unit: 'rpm' },
]

/**
 * What pull and load meet at in top on a hill, N, at the fastest that holds it: the pull less what rolling, air and the slope
 * take is what is left; nothing, unless the redline or the tyres end it first.
 */
export function hillSteps(car: RoadCar, road: Road, kmh: number): readonly RoadStep[] {
  const v = kmh / 3.6
  const rpm = engineRpm(car, top(car), v)
  const angle = Math.atan(road.grade)
  const weight = car.massKg * GRAVITY
  const rolling = weight * car.rolling * Math.cos(angle)
  const slope = weight * Math.sin(angle)
  const pull = effort(car, road, top(car), v)
  return [
    { words: 'mass with its load', value: car.massKg, unit: 'kg' },
    { words: 'engine at this speed in top', value: rpm, unit: 'rpm' },
    { words: 'its torque there', value: torqueAt(car.curve, rpm) * road.air, unit: 'N·m' },
    { words: 'pull at the tyres in top', value: pull, unit: 'N' },
    { words: 'the slope takes', value: -slope, unit: 'N' },
    { words: 'rolling takes', value: -rolling, unit: 'N' },
    {
      words: 'air takes',
      value: -(resistance(car, road, v) - slope - rolling),
      unit: 'N',
    },
    { words: 'left', value: pull - resistance(car, road, v), unit: 'N' },
  ]
}

const EVERY_KMH = 20

/** Seconds from rest at full throttle to every 20 km/h on the level, with the gear that pulls most there. */
export function runSteps(car: RoadCar, toKmh: number, stepS: number): readonly RoadStep[] {
  const speeds = Array.from({ length: toKmh / EVERY_KMH }, (_, i) => (i + 1) * EVERY_KMH)
  return [
    { words: 'mass with its load', value: car.massKg, unit: 'kg' },
    {
      words: 'most torque',
      value: Math.max(...car.curve.points.map(({ nm }) => nm)),
      unit: 'N·m',
    },
    { words: 'of it at the tyres', value: car.efficiency * 100, unit: '%' },
    { words: 'from gear to gear', value: car.shiftS, unit: 's' },
    ...speeds.map((kmh) => ({
      words: `to ${kmh} km/h, gear ${bestGear(car, LEVEL, kmh / 3.6).index + 1}`,
      value: run(car, LEVEL, 0, kmh, { stepS }).seconds,
      unit: 's',
    })),
  ]
}
