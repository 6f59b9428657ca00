import fc from 'fast-check'
import { expect, test } from 'vitest'
import { draw, LEVELS, momentsOf } from './draw.ts'
import { momentsOfLine, type SpreadLine, spreadOf as spreadOfMoments } from './spread.ts'
import type { Three } from './three.ts'

const spreadOf = (lines: readonly SpreadLine[], rateMinor: number, levels: typeof LEVELS) =>
  spreadOfMoments(lines.map(momentsOfLine), rateMinor, levels)
const three = (most: number): fc.Arbitrary<Three> =>
  fc
    .tuple(fc.nat({ max: most }), fc.nat({ max: most }), fc.nat({ max: most }))
    .map(
      ([a, b, c]) => [a, b, c].toSorted((p, q) => p - q) as unknown[] as [number, number, number],
    )
const line: fc.Arbitrary<SpreadLine> = fc.record({
  price: three(90_000),
  hours: three(12),
  chance: fc.constantFrom(1, 1, 0.25),
  stands: fc.constantFrom(1, 1, 0.8, 0.5),
})
/** The same lines as a draw has them: each that may not stand hangs on a fact of its own. */
const asDrawn = (lines: readonly SpreadLine[]) => ({
  lines: lines.map(({ price, hours, chance, stands }, i) => ({
    price,
    hours,
    chance,
    on: i,
    stands: [stands],
  })),
  facts: lines.map(() => ({ chances: [1] })),
  fixedMinor: 0,
  rateMinor: 6000,
  levels: LEVELS,
})

test('its middle and width are those of the draw in closed form', () => {
  fc.assert(
    fc.property(fc.array(line, { minLength: 1, maxLength: 40 }), (lines) => {
      const { money, likelyMinor } = spreadOf(lines, 6000, LEVELS)
      const { mean, deviation } = momentsOf(asDrawn(lines))
      expect(likelyMinor).toBeCloseTo(mean, -1)
      expect(money.high).toBeCloseTo(mean + 1.2816 * deviation, -1)
      expect(money.low).toBeCloseTo(Math.max(0, mean - 1.2816 * deviation), -1)
    }),
    { seed: 5, numRuns: 200 },
  )
})

test('of a list as long as a build has, nine and one in ten of the draws lie where it says, within 6 %', () => {
  const lines = fc.sample(line, { seed: 8, numRuns: 150 })
  const { money, hours } = spreadOf(lines, 6000, LEVELS)
  const drawn = draw(asDrawn(lines))
  expect(Math.abs(money.low / drawn.p10 - 1)).toBeLessThan(0.06)
  expect(Math.abs(money.high / drawn.p90 - 1)).toBeLessThan(0.06)
  expect(Math.abs(hours.low / drawn.hours.p10 - 1)).toBeLessThan(0.06)
  expect(Math.abs(hours.high / drawn.hours.p90 - 1)).toBeLessThan(0.06)
})

test('a line that never stands, or costs nothing and takes nothing, changes nothing', () => {
  const lines = fc.sample(line, { seed: 9, numRuns: 12 })
  const none: SpreadLine = { price: [100, 200, 900], hours: [1, 2, 5], chance: 1, stands: 0 }
  const free: SpreadLine = { price: [0, 0, 0], hours: [0, 0, 0], chance: 1, stands: 1 }
  expect(spreadOf([...lines, none, free], 6000, LEVELS)).toEqual(spreadOf(lines, 6000, LEVELS))
})
