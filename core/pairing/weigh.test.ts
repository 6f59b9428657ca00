import fc from 'fast-check'
import { expect, test } from 'vitest'
import { CODES } from '../joints/code.ts'
import { type BriefLimits, WEIGHTS, type Weighed, weigh, weightsOf } from './weigh.ts'

const FREE: BriefLimits = { money: null, hours: null, boltIn: false, uncut: false }
const known = (least: number, most: number) => fc.option(fc.integer({ min: least, max: most }))
const any: fc.Arbitrary<Weighed> = fc.record({
  codes: fc.array(fc.constantFrom(...CODES.filter((code) => code !== 'clash')), { maxLength: 20 }),
  money: fc
    .integer({ min: 0, max: 3_000_000 })
    .map((low) => ({ low, likely: low + 10_000, high: low + 40_000 })),
  hours: fc.integer({ min: 0, max: 300 }).map((low) => ({ low, high: low + 60 })),
  open: fc.nat({ max: 12 }),
  massChangeKg: known(-80, 120),
  cruiseRpm: known(1400, 4000),
  hillTopKmh: known(0, 140),
  marginNm: known(-60, 200),
  cuts: fc.nat({ max: 2 }),
  makes: fc.nat({ max: 2 }),
})

test('what it comes to is its likely money and its shares, each told', () => {
  fc.assert(
    fc.property(any, (one) => {
      const found = weigh(one, FREE, weightsOf({}), 100)
      if ('out' in found) throw new Error(found.out)
      expect(found.minor).toBe(
        one.money!.likely + found.shares.reduce((sum, { minor }) => sum + minor, 0),
      )
      for (const { words, minor } of found.shares)
        expect([words !== '', minor > 0]).toEqual([true, true])
    }),
    { seed: 4 },
  )
})

test('more of what is weighed never weighs less, and a weight of nothing counts nothing', () => {
  const none = weightsOf(Object.fromEntries(Object.keys(WEIGHTS).map((name) => [name, 0])))
  fc.assert(
    fc.property(any, (one) => {
      const minor = (of: Weighed, weights = weightsOf({})): number => {
        const found = weigh(of, FREE, weights, 100)
        return 'out' in found ? Infinity : found.minor
      }
      expect(minor(one, none)).toBe(one.money!.likely)
      expect(minor({ ...one, open: one.open + 1 }) - minor(one)).toBe(WEIGHTS.open * 100)
      if (one.massChangeKg !== null)
        expect(minor({ ...one, massChangeKg: one.massChangeKg + 10 })).toBeGreaterThanOrEqual(
          minor(one),
        )
    }),
    { seed: 6 },
  )
})

test('a clash, and whatever breaks a limit of the brief for sure, is out and says why', () => {
  const [one] = fc.sample(any, { seed: 2, numRuns: 1 })
  const out = (more: Partial<Weighed>, limits: Partial<BriefLimits> = {}): string | undefined => {
    const found = weigh(
      { ...one!, cuts: 0, makes: 0, ...more },
      { ...FREE, ...limits },
      WEIGHTS,
      100,
    )
    return 'out' in found ? found.out : undefined
  }
  expect(out({})).toBeUndefined()
  expect(out({ codes: ['fits', 'clash'] })).toMatch(/clash/)
  expect(out({ money: null })).toMatch(/rate/)
  const money = { low: 100, likely: 200, high: 400 }
  expect(out({ money }, { money: 99 })).toMatch(/money/)
  // It may still come out under: kept in.
  expect(out({ money }, { money: 150 })).toBeUndefined()
  expect(out({ hours: { low: 50, high: 90 } }, { hours: 40 })).toMatch(/hours/)
  expect(out({ makes: 1 }, { boltIn: true })).toMatch(/welded/)
  expect(out({ cuts: 1 }, { uncut: true })).toMatch(/cut/)
  expect(out({ cuts: 1, makes: 1 })).toBeUndefined()
})
