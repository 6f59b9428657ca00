import { fromRest } from './acceleration.ts'
import type { Road, RoadCar } from './road-car.ts'
import { crawlKmh, cruiseRpm, type Fuel, fastestIn, fuelAt, topSpeed } from './steady.ts'

/** What a vehicle does on the road, in the figures people ask for. */
export interface RoadSheet {
  /** s, null where it never gets there. */
  readonly toHundred: number | null
  readonly toEighty: number | null
  readonly topKmh: number
  readonly topGear: number
  /** rpm in top at the speed it is asked for. */
  readonly cruiseRpm: number
  readonly crawlKmh: number
  /** Fastest it holds on the hill, km/h, by gear; 0 where it does not hold it. */
  readonly hillByGear: readonly number[]
  readonly fuel: { readonly low: number; readonly likely: number; readonly high: number } | null
}

/** What is asked of it: a cruising speed, a hill. */
export interface Asked {
  readonly cruiseKmh: number
  readonly hill: Road
  readonly fuel: Fuel
}

/** The sheet of a car on a road. */
export function roadSheet(car: RoadCar, { cruiseKmh, hill, fuel }: Asked): RoadSheet {
  const level: Road = { ...hill, grade: 0 }
  const finite = (seconds: number): number | null => (Number.isFinite(seconds) ? seconds : null)
  const top = topSpeed(car, level)
  return {
    toHundred: finite(fromRest(car, 100, level)),
    toEighty: finite(fromRest(car, 80, level)),
    topKmh: top.kmh,
    topGear: top.gear,
    cruiseRpm: cruiseRpm(car, cruiseKmh),
    crawlKmh: crawlKmh(car),
    hillByGear: car.gears.map((_, index) => fastestIn(car, hill, index)),
    fuel: fuelAt(car, level, cruiseKmh, fuel),
  }
}

/** The highest gear that holds a hill at a speed, counted from 1; 0 where none does. */
export const gearThatHolds = (hillByGear: readonly number[], kmh: number): number =>
  hillByGear.findLastIndex((held) => held >= kmh) + 1

const seconds = (value: number): string => `${value < 10 ? value.toFixed(1) : Math.round(value)} s`

/** What changes, told plainly: gears, speeds and seconds, and what it will still not do. */
export function expectations(
  before: RoadSheet | null,
  after: RoadSheet,
  { cruiseKmh, hill }: Asked,
): readonly string[] {
  const grade = `${Math.round(hill.grade * 1000) / 10} %`
  const held = Math.round(Math.max(...after.hillByGear))
  const gear = gearThatHolds(after.hillByGear, cruiseKmh)
  const said: string[] = []
  if (before === null) {
    said.push(
      gear > 0
        ? `It holds a hill of ${grade} at ${cruiseKmh} in gear ${gear}.`
        : `It does not hold a hill of ${grade} at ${cruiseKmh}: ${held} is the most.`,
    )
  } else {
    const was = gearThatHolds(before.hillByGear, cruiseKmh)
    const wasHeld = Math.round(Math.max(...before.hillByGear))
    if (gear > 0 && was > 0 && gear > was)
      said.push(
        `${gear - was === 1 ? 'One gear' : `${gear - was} gears`} more on a hill of ${grade}: at ${cruiseKmh} it holds it in ${gear}, before in ${was}.`,
      )
    else if (gear > 0 && was === 0)
      said.push(
        `It holds a hill of ${grade} at ${cruiseKmh}, in gear ${gear}; before, ${wasHeld} was the most.`,
      )
    else if (gear === 0)
      said.push(
        `On a hill of ${grade} it still does not hold ${cruiseKmh}: ${held}, before ${wasHeld}.`,
      )
    else if (gear < was)
      said.push(`A hill of ${grade} at ${cruiseKmh} now wants gear ${gear}, before ${was}.`)
    else
      said.push(
        `A hill of ${grade} at ${cruiseKmh} is held in gear ${gear}, as before; ${held} is the most, before ${wasHeld}.`,
      )
    const rpm = Math.round(after.cruiseRpm - before.cruiseRpm)
    if (Math.abs(rpm) >= 50)
      said.push(`${Math.abs(rpm)} rpm ${rpm < 0 ? 'less' : 'more'} at ${cruiseKmh} in top.`)
  }
  if (after.toHundred === null)
    said.push(
      after.toEighty === null
        ? 'It does not reach 80.'
        : `It does not reach 100; 80 in ${seconds(after.toEighty)}${before?.toEighty ? `, before ${seconds(before.toEighty)}` : ''}.`,
    )
  else
    said.push(
      `0 to 100 in ${seconds(after.toHundred)}${
        before === null
          ? ''
          : before.toHundred === null
            ? ', which it did not reach before'
            : `, before ${seconds(before.toHundred)}`
      }.`,
    )
  if (after.toHundred !== null && after.toHundred > 12)
    said.push('That is no sports car, and was not meant to be one.')
  if (after.cruiseRpm > 0 && before && after.cruiseRpm > before.cruiseRpm * 1.1)
    said.push('Louder on the road: a longer axle or a higher top gear would cure it.')
  return said
}
