import fc from 'fast-check'
import { expect, test } from 'vitest'
import { type DrawInput, draw, LEVELS, momentsOf } from './draw.ts'
import type { Three } from './three.ts'
import { meanOf, quantileOf, varianceOf } from './triangle.ts'

const three = (most: number): fc.Arbitrary<Three> =>
  fc
    .tuple(...Array.from({ length: 3 }, () => fc.double({ min: 0, max: most, noNaN: true })))
    .map((all): Three => {
      const [low, likely, high] = all.toSorted((p, q) => p - q)
      return [low!, likely!, high!]
    })

const input: fc.Arbitrary<DrawInput> = fc
  .array(fc.integer({ min: 2, max: 4 }), { minLength: 1, maxLength: 5 })
  .chain((sizes) =>
    fc.record({
      lines: fc.array(
        fc
          .record({
            price: three(50_000),
            hours: three(10),
            chance: fc.constantFrom(1, 1, 0.25, 0),
            on: fc.option(fc.nat(sizes.length - 1), { nil: null }),
            isSettled: fc.boolean(),
          })
          .chain((line) =>
            fc
              .array(fc.constantFrom(0, 0.5, 1), { minLength: 4, maxLength: 4 })
              .map((stands) => ({ ...line, stands })),
          ),
        { minLength: 5, maxLength: 40 },
      ),
      facts: fc.constant(
        sizes.map((size) => ({ chances: Array.from({ length: size }, () => 1 / size) })),
      ),
      rateMinor: fc.constantFrom(0, 4500),
      fixedMinor: fc.integer({ min: -50_000, max: 200_000 }),
      levels: fc.constant(LEVELS),
    }),
  )

test('mean and deviation of the draws are those of the closed form', () => {
  fc.assert(
    fc.property(input, fc.nat(), (given, seed) => {
      const drawn = draw(given, 20_000, seed)
      const exact = momentsOf(given)
      // Five standard errors of a mean; the deviation within six in a hundred.
      expect(Math.abs(drawn.mean - exact.mean)).toBeLessThanOrEqual(
        (5 * exact.deviation) / Math.sqrt(20_000) + 1e-6,
      )
      expect(drawn.deviation).toBeGreaterThanOrEqual(exact.deviation * 0.94 - 1e-6)
      expect(drawn.deviation).toBeLessThanOrEqual(exact.deviation * 1.06 + 1e-6)
      expect(drawn.p10).toBeLessThanOrEqual(drawn.p50)
      expect(drawn.p50).toBeLessThanOrEqual(drawn.p90)
    }),
    { seed: 11, numRuns: 15 },
  )
})

test('one seed draws the same; what is certain has no spread', () => {
  const sure: DrawInput = {
    lines: [
      {
        price: [100, 100, 100],
        hours: [0, 0, 0],
        chance: 1,
        on: null,
        stands: [],
        isSettled: true,
      },
    ],
    facts: [],
    rateMinor: 5000,
    fixedMinor: 900,
    levels: LEVELS,
  }
  expect(draw(sure, 500)).toMatchObject({ p10: 1000, p90: 1000, mean: 1000, deviation: 0 })
  const loose = {
    ...sure,
    lines: [{ ...sure.lines[0]!, price: [0, 50, 200] as const, isSettled: false }],
  }
  expect(draw(loose, 500, 7)).toEqual(draw(loose, 500, 7))
})

test('a triangle’s quantiles have its mean and variance', () => {
  fc.assert(
    fc.property(three(100), (one) => {
      const n = 4000
      const all = Array.from({ length: n }, (_, i) => quantileOf(one, (i + 0.5) / n))
      const mean = all.reduce((sum, x) => sum + x, 0) / n
      expect(mean).toBeCloseTo(meanOf(one), 1)
      expect(all.reduce((sum, x) => sum + (x - mean) ** 2, 0) / n).toBeCloseTo(varianceOf(one), 0)
    }),
    { seed: 3, numRuns: 50 },
  )
})
