import { expect, test } from 'vitest'
import { clutchCapacity, pistonArea, releaseTravel, slaveStroke } from './clutch.ts'
import { moduleOf, outerOf, pitchCentres, starterTurns } from './gear.ts'

// Shigley, uniform wear, T = n·µ·F·(ro + ri)/2: by hand 2 × 0.3 × 5,000 N × 0.0875 m.
test('clutch capacity by uniform wear', () => {
  expect(clutchCapacity(5000, 0.3, 215, 135)).toBeCloseTo(262.5)
  expect(clutchCapacity(5000, 0.3, 215, 135, 4)).toBeCloseTo(525)
  expect(clutchCapacity(Number.NaN, 0.3, 215, 135)).toBeNaN()
})

// Design notes: 19.05 on 22.225 mm has area ratio 0.735.
test('master on slave, by area; a slave round the shaft has an annulus', () => {
  expect(pistonArea(19.05) / pistonArea(22.225)).toBeCloseTo(0.735, 3)
  expect(pistonArea(52, 40)).toBeCloseTo((Math.PI / 4) * (52 * 52 - 40 * 40))
  expect(slaveStroke(25, 19.05, 22.225)).toBeCloseTo(18.37, 2)
})

test('pedal to bearing: half the fork ratio doubles the travel', () => {
  const one = releaseTravel(140, 6, 0.735, 2, 0.85)
  expect(one).toBeCloseTo(((140 / 6) * 0.735 * 0.85) / 2)
  expect(releaseTravel(140, 6, 0.735, 1, 0.85)).toBeCloseTo(2 * one)
})

test('module from the outer Ø, and centres at pitch contact', () => {
  expect(moduleOf(284.48, 110)).toBeCloseTo(2.54)
  expect(outerOf(2.54, 9)).toBeCloseTo(27.94)
  expect(pitchCentres(284.48, 27.94, 2.54)).toBeCloseTo(151.13)
})

// Common practice, no published source: an engine that turns counter-clockwise seen from the gearbox takes a clockwise starter from the engine side.
test('the way a starter turns follows from the crank and the way its pinion moves', () => {
  expect(starterTurns('counter-clockwise', 'rearward')).toBe('clockwise')
  expect(starterTurns('counter-clockwise', 'forward')).toBe('counter-clockwise')
  expect(starterTurns('clockwise', 'rearward')).toBe('counter-clockwise')
})
