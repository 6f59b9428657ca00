import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  type BoltClass,
  boltLengthMm,
  type Condition,
  edgeDistanceMm,
  engagementMm,
  leastWallMm,
  pitchOf,
  proofStress,
  slingTension,
  stressArea,
  tapDrillMm,
  tightening,
} from './fasteners.ts'

const IN2 = 25.4 ** 2

// ISO 898-1, table of nominal stress areas, mm².
test.each([
  ['M6x1', 20.1],
  ['M8x1.25', 36.6],
  ['M10x1.5', 58.0],
  ['M10x1.25', 61.2],
  ['M12x1.75', 84.3],
  ['M12x1.25', 92.1],
])('the stress area of %s is %d mm²', (thread, area) => {
  expect(stressArea(thread)).toBeCloseTo(area, 1)
})

// ASME B1.1, in².
test.each([
  ['1/4-20', 0.0318],
  ['5/16-18', 0.0524],
  ['3/8-16', 0.0775],
  ['7/16-14', 0.1063],
  ['1/2-13', 0.1419],
])('the stress area of %s is %d in²', (thread, area) => {
  expect(stressArea(thread) / IN2).toBeCloseTo(area, 4)
})

// ISO 898-1; SAE J429 in ksi.
test.each<[BoltClass, number, number]>([
  ['8.8', 10, 580],
  ['8.8', 16, 580],
  ['8.8', 20, 600],
  ['10.9', 12, 830],
  ['12.9', 8, 970],
  ['grade 5', 9.525, 85 * 6.894757293],
  ['grade 8', 9.525, 120 * 6.894757293],
])('proof stress of %s at Ø %d is %d MPa', (boltClass, diameter, stress) => {
  expect(proofStress(boltClass, diameter)).toBeCloseTo(stress, 4)
})

// Design notes: M10×1.5 8.8, K 0.20 → 25.2 kN, 50.5 N·m; 10.9 → 36.1 kN, 72.2 N·m.
test.each<[BoltClass, number, number]>([
  ['8.8', 25.2, 50.5],
  ['10.9', 36.1, 72.2],
])('M10×1.5 of %s, dry: %d kN and %d N·m', (boltClass, kilonewtons, torque) => {
  const found = tightening('M10x1.5', boltClass)!
  expect(found.forceN / 1000).toBeCloseTo(kilonewtons, 1)
  expect(found.torqueNm).toBeCloseTo(torque, 1)
  expect(found.words).toContain('unless the maker states')
})

test('said anti-seize or oiled, the same preload wants less torque', () => {
  const of = (condition: Condition) => tightening('M12x1.75', '10.9', condition)!
  expect(of('dry').forceN).toBe(of('anti-seize').forceN)
  expect(of('oiled').torqueNm / of('dry').torqueNm).toBeCloseTo(0.75, 9)
  expect(of('anti-seize').torqueNm / of('dry').torqueNm).toBeCloseTo(0.6, 9)
})

// ISO 2306 and, for inch, handbook table: rounded, not bare d − p.
test.each([
  ['M6', 5],
  ['M8', 6.8],
  ['M10x1.5', 8.5],
  ['M12', 10.2],
  ['3/8-16', (5 / 16) * 25.4],
])('%s is tapped through %d mm', (thread, drill) => {
  expect(tapDrillMm(thread)).toBeCloseTo(drill, 6)
})

test('a thread the table lacks is looked up, not reckoned; one that cannot be read has nothing', () => {
  expect([
    tapDrillMm('M10x0.75'),
    tapDrillMm('through'),
    pitchOf('through'),
    tightening('through', '8.8'),
  ]).toEqual([null, null, null, null])
  expect(stressArea('round')).toBeNaN()
})

// Common practice: M14×1.5 lifting, 21 mm in steel and 28 in aluminium.
test('engagement by metal, more for lifting', () => {
  expect([
    engagementMm('M14x1.5', 'steel', true),
    engagementMm('M14x1.5', 'aluminium', true),
  ]).toEqual([21, 28])
  expect([engagementMm('M10x1.5', 'steel'), engagementMm('M10x1.5', 'aluminium')]).toEqual([10, 15])
})

describe('length from grip', () => {
  test('is the next preferred one, never shorter than what it holds', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 120, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        fc.double({ min: 4, max: 30, noNaN: true }),
        (grip, washers, engaged) => {
          const length = boltLengthMm(grip, washers, engaged)!
          expect(length).toBeGreaterThanOrEqual(grip + washers + engaged - 1e-6)
          expect(length - (grip + washers + engaged)).toBeLessThan(20 + 1e-6)
        },
      ),
    )
  })

  test('exactly a preferred length is that one; beyond the longest there is none', () => {
    expect([boltLengthMm(12, 3, 10), boltLengthMm(200, 2, 10)]).toEqual([25, null])
  })
})

// EN 1993-1-8 table 3.3: e1, e2 ≥ 1.2 d0.
test('edges and walls of what is made', () => {
  expect(edgeDistanceMm(11)).toEqual({ least: 13.2, wanted: 22 })
  expect(leastWallMm(10.5, 12.5)).toBeCloseTo(10)
})

test('a two-leg sling: 60° between the legs takes 0.577 of the weight each, wider takes more', () => {
  expect(slingTension(100, 60) / (100 * 9.80665)).toBeCloseTo(0.5774, 4)
  expect(slingTension(100, 120)).toBeCloseTo(100 * 9.80665, 6)
})
