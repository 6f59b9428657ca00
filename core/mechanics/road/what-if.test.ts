import { expect, test } from 'vitest'
import { LEVEL, resistance } from './road-car.ts'
import { peakPower } from './torque-curve.ts'
import { typicalCar } from './typical-car.ts'
import { roadOf, type WhatIf, withWhatIf } from './what-if.ts'

const car = typicalCar({ massKg: 1200, powerW: 70_000 })
const NOTHING: WhatIf = {
  torqueNm: null,
  gears: null,
  final: null,
  radiusMm: null,
  moreKg: null,
  dragM2: null,
}

test('nothing tried changes nothing; each thing tried changes itself alone', () => {
  expect(withWhatIf(car, NOTHING)).toEqual(car)
  expect(withWhatIf(car, { ...NOTHING, final: 3.1 })).toEqual({ ...car, final: 3.1 })
  expect(withWhatIf(car, { ...NOTHING, moreKg: -80 }).massKg).toBe(car.massKg - 80)
  expect(withWhatIf(car, { ...NOTHING, radiusMm: 330 }).radiusM).toBeCloseTo(0.33, 12)
})

test('another peak scales the whole curve: power with it', () => {
  const peak = Math.max(...car.curve.points.map(({ nm }) => nm))
  const tuned = withWhatIf(car, { ...NOTHING, torqueNm: peak * 1.5 })
  expect(peakPower(tuned.curve).w / peakPower(car.curve).w).toBeCloseTo(1.5, 9)
})

test('a hill, wind, height and a trailer make the road; none of them is a level one', () => {
  const where = { hillPercent: 0, altitudeM: 0, windKmh: 0, trailerKg: 0 }
  expect(roadOf(where, false)).toEqual(LEVEL)
  const level = resistance(car, roadOf(where, false), 20)
  for (const more of [{ hillPercent: 6 }, { windKmh: 30 }, { trailerKg: 800 }])
    expect(resistance(car, roadOf({ ...where, ...more }, false), 20)).toBeGreaterThan(level)
  // Thin air holds back less, and gives an engine that breathes by itself less.
  const high = roadOf({ ...where, altitudeM: 2000 }, false)
  expect(resistance(car, high, 20)).toBeLessThan(level)
  expect(high.air).toBeLessThan(1)
})
