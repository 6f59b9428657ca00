import fc from 'fast-check'
import { expect, test } from 'vitest'
import {
  compoundAngle,
  crawlRatio,
  criticalSpeed,
  hookeSwing,
  longestShaft,
  residualAngle,
  roadSpeed,
} from './driveline.ts'

// Hooke joint, output over input between cos β and 1/cos β.
test.each([
  [10, 1.01543, 0.98481],
  [20, 1.06418, 0.93969],
])('at %i° a Hooke joint swings from %d to %d', (angle, greatest, least) => {
  expect(hookeSwing(angle).greatest).toBeCloseTo(greatest, 5)
  expect(hookeSwing(angle).least).toBeCloseTo(least, 5)
})

// Euler–Bernoulli, steel tube 76.2 × 1.65 mm on simple supports.
test.each([
  [1500, 5671],
  [1250, 8166],
])('a tube of %i mm whirls at %i rev/min', (length, rpm) => {
  expect(Math.round(criticalSpeed(76.2, 1.65, length))).toBe(rpm)
})

test('half as long whirls four times as fast; the longest shaft is the one that reaches its share', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 40, max: 130, noNaN: true }),
      fc.double({ min: 1.2, max: 4, noNaN: true }),
      fc.integer({ min: 1500, max: 9000 }),
      (outer, wall, top) => {
        expect(criticalSpeed(outer, wall, 700) / criticalSpeed(outer, wall, 1400)).toBeCloseTo(4, 9)
        const length = longestShaft(outer, wall, top, 0.7)
        expect(top / criticalSpeed(outer, wall, length)).toBeCloseTo(0.7, 9)
      },
    ),
  )
})

test('two equal joints in phase leave nothing, a quarter turn out they add', () => {
  expect(residualAngle(3, 3, true)).toBe(0)
  expect(residualAngle(3, 4, false)).toBe(5)
  expect(residualAngle(5, 4, true)).toBe(3)
})

test('the compound angle is √(side² + plan²) for small angles, and each alone where the other is none', () => {
  expect(compoundAngle(3, 4)).toBeCloseTo(5, 1)
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 30, noNaN: true }),
      fc.double({ min: 0, max: 30, noNaN: true }),
      (side, plan) => {
        expect(compoundAngle(side, 0)).toBeCloseTo(side, 9)
        expect(compoundAngle(side, plan)).toBeCloseTo(compoundAngle(plan, side), 9)
        expect(compoundAngle(side, plan)).toBeGreaterThanOrEqual(Math.max(side, plan) - 1e-9)
      },
    ),
  )
})

test('road speed by circumference and every ratio on the way; slip takes its share; crawl is their product', () => {
  // 1,953 mm at 3,000 rev/min through 1 × 4.11: 85.5 km/h by hand.
  expect(roadSpeed(3000, 1953, [1, 4.11])).toBeCloseTo(85.53, 2)
  expect(roadSpeed(3000, 1953, [1, 4.11], 0.05) / roadSpeed(3000, 1953, [1, 4.11])).toBeCloseTo(
    0.95,
    9,
  )
  expect(crawlRatio(5.1, 2.6, 4.1)).toBeCloseTo(54.366, 3)
})
