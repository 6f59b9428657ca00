import { expect, test } from 'vitest'
import { loadedRadius, revsPerKm, tyreDiameter } from './tyre.ts'

// ETRTO / TRA marking: 205/55R16 → 631.9 mm, 503.7 rev/km unloaded.
test('205/55R16 is 631.9 mm and turns 503.7 times a kilometre', () => {
  expect(tyreDiameter('205/55R16')).toBeCloseTo(631.9, 1)
  expect(revsPerKm(tyreDiameter('205/55R16'))).toBeCloseTo(503.7, 1)
})

test('a marking that cannot be read says what to type, and gives no radius', () => {
  expect(() => tyreDiameter('big')).toThrow(/side wall/)
  expect(loadedRadius('big', 0.97)).toBeNaN()
  expect(loadedRadius('205/55R16', 0.97)).toBeCloseTo(306.5, 1)
})
