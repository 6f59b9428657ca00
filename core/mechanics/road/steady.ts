import { effort } from './effort.ts'
import { engineRpm, LEVEL, type Road, type RoadCar, resistance, speedAt } from './road-car.ts'
import { peakPower, torqueAt } from './torque-curve.ts'

/** The fastest it holds, km/h, in its best gear, and which; 0 where it cannot move off. */
export function topSpeed(
  car: RoadCar,
  road: Road = LEVEL,
): { readonly kmh: number; readonly gear: number } {
  let best = { kmh: 0, gear: 0 }
  for (const [index] of car.gears.entries()) {
    const kmh = fastestIn(car, road, index)
    if (kmh > best.kmh) best = { kmh, gear: index + 1 }
  }
  return best
}

const STEPS = 240

/** The fastest it holds in one gear, km/h: where the pull last meets the load, or the redline. */
export function fastestIn(car: RoadCar, road: Road, index: number): number {
  const gear = car.gears[index]!
  const spare = (speed: number): number =>
    effort(car, road, gear, speed) - resistance(car, road, speed)
  const most = speedAt(car, gear, car.curve.redlineRpm)
  let held = spare(most) >= 0 ? most : 0
  if (held === 0)
    for (let i = STEPS - 1; i >= 0; i--) {
      const low = (most * i) / STEPS
      if (spare(low) < 0) continue
      let [a, b] = [low, (most * (i + 1)) / STEPS]
      for (let n = 0; n < 40; n++) {
        const middle = (a + b) / 2
        if (spare(middle) >= 0) a = middle
        else b = middle
      }
      held = a
      break
    }
  return held * 3.6
}

/** The steepest grade it holds at a speed in a gear, rise over run, 0 at least; found by halving. */
export function gradeHeld(car: RoadCar, road: Road, index: number, kmh: number): number {
  const gear = car.gears[index]!
  const v = kmh / 3.6
  if (engineRpm(car, gear, v) > car.curve.redlineRpm) return 0
  const holds = (grade: number): boolean =>
    effort(car, { ...road, grade }, gear, v) >= resistance(car, { ...road, grade }, v)
  if (!holds(0)) return 0
  let [low, high] = [0, 2]
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2
    if (holds(middle)) low = middle
    else high = middle
  }
  return low
}

/** Engine speed in top at a road speed, rpm. */
export const cruiseRpm = (car: RoadCar, kmh: number): number =>
  engineRpm(car, car.gears.at(-1)!, kmh / 3.6)

/** Road speed at idle in first, km/h. */
export const crawlKmh = (car: RoadCar, idleRpm = 800): number =>
  speedAt(car, car.gears[0]!, idleRpm) * 3.6

/** Power at the wheels that a speed takes, W. */
export const wheelPower = (car: RoadCar, road: Road, kmh: number): number =>
  resistance(car, road, kmh / 3.6) * (kmh / 3.6)

export type Fuel = 'petrol' | 'diesel'
/** Least specific consumption, g/kWh, idling mean pressure loss as a share of full load, and density, kg/L (common practice, no published source). */
const FUELS: Readonly<Record<Fuel, { best: number; density: number }>> = {
  petrol: { best: 270, density: 0.745 },
  diesel: { best: 215, density: 0.835 },
}
/** What is lost to the engine's own friction, as a share of the torque it could give (Willans line, from memory). */
const FRICTION = 0.16
/** How far an estimate may be off, either way. */
const FUEL_WITHIN = 0.2

/** Fuel at a steady speed, L/100 km, with its uncertainty. An estimate: the Willans line of an engine of its kind. */
export function fuelAt(
  car: RoadCar,
  road: Road,
  kmh: number,
  fuel: Fuel,
  index = car.gears.length - 1,
): { readonly low: number; readonly likely: number; readonly high: number } | null {
  const gear = car.gears[index]!
  const v = kmh / 3.6
  const rpm = engineRpm(car, gear, v)
  const full = torqueAt(car.curve, rpm) * road.air
  const wanted = (resistance(car, road, v) * car.radiusM) / (gear * car.final * car.efficiency)
  if (rpm > car.curve.redlineRpm || wanted > full || v <= 0) return null
  const { best, density } = FUELS[fuel]
  const most = peakPower(car.curve)
  const peakNm = Math.max(...car.curve.points.map(({ nm }) => nm))
  // Willans: fuel power is linear in torque, with friction as its offset; the best point lies near full load.
  const line = (torque: number): number => (best / (1 + FRICTION)) * (torque + FRICTION * peakNm)
  const speed = (rpm * 2 * Math.PI) / 60
  const gramsPerHour = (line(Math.max(0, wanted)) * speed) / 1000
  const faster = 1 + 0.1 * Math.max(0, rpm / most.rpm - 0.6)
  const likely = ((gramsPerHour * faster) / 1000 / density / kmh) * 100
  return { low: likely * (1 - FUEL_WITHIN), likely, high: likely * (1 + FUEL_WITHIN) }
}
