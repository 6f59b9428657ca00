import fc from 'fast-check'
import { expect, test } from 'vitest'
import { deviation, fitOf, nominalFit } from './fits.ts'

// ISO 286-2, micrometres: H7 and p6 for 10–18, 18–30, 30–50 mm.
test.each([
  [15, 18, 18, 29],
  [25, 21, 22, 35],
  [40, 25, 26, 42],
])('at %i mm H7 is 0/+%i, p6 +%i/+%i', (nominal, hole, low, high) => {
  expect(deviation('H7', nominal)).toEqual({ lowMm: 0, highMm: hole / 1000 })
  expect(deviation('p6', nominal)).toEqual({ lowMm: low / 1000, highMm: high / 1000 })
})

test('a band holds its upper end and not its lower; outside there is no figure, never a guess', () => {
  expect(deviation('H7', 18)!.highMm).toBe(0.018)
  expect(deviation('H7', 18.01)!.highMm).toBe(0.021)
  expect([deviation('H7', 10), deviation('p6', 50.1), nominalFit('H7', 'p6', 8)]).toEqual([
    null,
    null,
    null,
  ])
})

test('H7/p6 is an interference from just touching to its most', () => {
  expect(nominalFit('H7', 'p6', 25)).toEqual({
    leastMm: -0.035,
    greatestMm: expect.closeTo(-0.001, 9),
    kind: 'interference',
  })
})

test('the range of a fit holds every pair within its limits', () => {
  const limits = fc
    .tuple(
      fc.double({ min: -0.1, max: 0.1, noNaN: true }),
      fc.double({ min: 0, max: 0.1, noNaN: true }),
    )
    .map(([low, width]) => ({ lowMm: low, highMm: low + width }))
  fc.assert(
    fc.property(
      limits,
      limits,
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (hole, shaft, p, q) => {
        const clearance =
          hole.lowMm +
          p * (hole.highMm - hole.lowMm) -
          (shaft.lowMm + q * (shaft.highMm - shaft.lowMm))
        const fit = fitOf(hole, shaft)
        expect(clearance).toBeGreaterThanOrEqual(fit.leastMm - 1e-12)
        expect(clearance).toBeLessThanOrEqual(fit.greatestMm + 1e-12)
      },
    ),
  )
})
