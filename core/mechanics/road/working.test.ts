import { describe, expect, it } from 'vitest'
import { run } from './acceleration.ts'
import { LEVEL, ROAD_DEFAULTS, type RoadCar } from './road-car.ts'
import { cruiseRpm, fastestIn } from './steady.ts'
import { curveFromPeaks } from './torque-curve.ts'
import { cruiseSteps, hillSteps, runSteps } from './working.ts'

const CAR: RoadCar = {
  ...ROAD_DEFAULTS,
  curve: curveFromPeaks({ torqueNm: 150, torqueRpm: 2800, redlineRpm: 5800 }),
  gears: [3.6, 2.1, 1.4, 1],
  final: 4.1,
  massKg: 1400,
  dragM2: 0.8,
  radiusM: 0.3,
  driven: 'rear',
  stall: null,
}
const value = (steps: ReturnType<typeof cruiseSteps>, words: string): number =>
  steps.find((step) => step.words === words)!.value

describe('how figures of the road came about', () => {
  it('ends where the figure itself is', () => {
    expect(value(cruiseSteps(CAR, 80), 'engine')).toBeCloseTo(cruiseRpm(CAR, 80), 9)
    expect(runSteps(CAR, 100, 0.1).at(-1)!.value).toBe(
      run(CAR, LEVEL, 0, 100, { stepS: 0.1 }).seconds,
    )
  })

  it('multiplies: turns of the wheel by the axle and the gear are turns of the engine', () => {
    const steps = cruiseSteps({ ...CAR, gears: [3.6, 0.8] }, 90)
    const product = ['turns of the wheel', 'axle, transfer case and hubs', 'top gear'].reduce(
      (all, words) => all * value(steps, words),
      1,
    )
    expect(product).toBeCloseTo(value(steps, 'engine'), 9)
    // 90 km/h on a radius of 0.3 m is 25 / (2π · 0.3) turns a second.
    expect(value(steps, 'turns of the wheel')).toBeCloseTo((25 / (2 * Math.PI * 0.3)) * 60, 6)
  })

  it('closes on a hill: what pulls and what holds back add up to what is left, nothing at the limit', () => {
    const road = { ...LEVEL, grade: 0.06 }
    const kmh = fastestIn(CAR, road, 3)
    expect(kmh).toBeGreaterThan(20)
    const steps = hillSteps(CAR, road, kmh)
    const forces = steps.filter(({ unit }) => unit === 'N')
    const left = forces.at(-1)!.value
    expect(forces.slice(0, -1).reduce((sum, one) => sum + one.value, 0)).toBeCloseTo(left, 6)
    expect(Math.abs(left)).toBeLessThan(1)
  })

  it('takes longer to every next speed', () => {
    const seconds = runSteps(CAR, 100, 0.05).flatMap((step) =>
      step.words.startsWith('to ') ? step.value : [],
    )
    expect(seconds).toHaveLength(5)
    expect(seconds).toEqual(seconds.toSorted((a, b) => a - b))
  })
})
