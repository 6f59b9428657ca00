import fc from 'fast-check'
import { expect, test } from 'vitest'
import { type ShaftHalf, searchShafts } from './shaft-search.ts'

const wanted = { inner: 'tripod 30', outer: '25 splines', lengthMm: 560, withinMm: 8 }
const half = (
  id: string,
  end: 'inner' | 'outer',
  lengthMm: number,
  rest: Partial<ShaftHalf> = {},
): ShaftHalf => ({
  id,
  end,
  fits: end === 'inner' ? wanted.inner : wanted.outer,
  bar: '24 mm bar',
  lengthMm,
  overlapMm: [30, 60],
  priceMinor: 10_000,
  ...rest,
})
const custom = { priceMinor: 42_000, words: 'Made to length' }

test('two halves off the shelf beat the custom shaft, put together to the length wanted', () => {
  const { options, tried } = searchShafts(
    wanted,
    [half('i', 'inner', 300), half('o', 'outer', 300)],
    custom,
  )
  expect(tried).toBe(1)
  expect(options.map((one) => [one.kind, one.priceMinor, one.lengthMm])).toEqual([
    ['off the shelf', 20_000, 560],
    ['custom', 42_000, 560],
  ])
  expect(options[0]!.overlapMm).toBe(40)
})

test.each([
  ['inner end', half('i', 'inner', 300, { fits: 'ball 94' })],
  ['bar', half('i', 'inner', 300, { bar: '28 mm bar' })],
  ['length', half('i', 'inner', 240)],
  ['length', half('i', 'inner', 300, { overlapMm: [70, 90] })],
] as const)('a pair refused says why: %s', (why, inner) => {
  const { options, refused } = searchShafts(wanted, [inner, half('o', 'outer', 300)], null)
  expect(options).toEqual([])
  expect(refused[why]).toBe(1)
})

test('a half without a price is kept, after those that have one', () => {
  const { options } = searchShafts(
    wanted,
    [
      half('i', 'inner', 300, { priceMinor: null }),
      half('j', 'inner', 302),
      half('o', 'outer', 300),
    ],
    custom,
  )
  expect(options.map((one) => one.priceMinor)).toEqual([20_000, 42_000, null])
})

test('every pair is an option or refused once; every option holds the length, and none is cheaper than the first', () => {
  const anyHalf = fc.record({
    id: fc.uuid(),
    end: fc.constantFrom('inner' as const, 'outer' as const),
    fits: fc.constantFrom(wanted.inner, wanted.outer, 'ball 94'),
    bar: fc.constantFrom('24 mm bar', '28 mm bar'),
    lengthMm: fc.integer({ min: 200, max: 400 }),
    overlapMm: fc.tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 30, max: 90 })),
    priceMinor: fc.option(fc.integer({ min: 1000, max: 60_000 })),
  })
  fc.assert(
    fc.property(fc.array(anyHalf, { maxLength: 14 }), (halves) => {
      const { options, tried, refused } = searchShafts(wanted, halves, null)
      expect(options.length + Object.values(refused).reduce((sum, one) => sum + one, 0)).toBe(tried)
      for (const option of options) {
        expect(Math.abs(option.lengthMm - wanted.lengthMm)).toBeLessThanOrEqual(
          wanted.withinMm + 1e-6,
        )
        expect(option.priceMinor ?? Infinity).toBeGreaterThanOrEqual(
          options[0]!.priceMinor ?? Infinity,
        )
      }
    }),
  )
})
