import fc from 'fast-check'
import { expect, test } from 'vitest'
import { QuantityQuestion } from '../quantity/units.ts'
import { sideOf } from './budget.ts'
import { allocate, convert, minorDigits, parseMoney, printMoney, timesRate } from './money.ts'
import { paidPrice, rateBetween } from './offer-price.ts'

// ISO 4217 minor units.
test('minor units: JPY 0, EUR 2, KWD 3', () => {
  expect([minorDigits('JPY'), minorDigits('EUR'), minorDigits('KWD')]).toEqual([0, 2, 3])
  expect(() => minorDigits('EURO')).toThrow(/ISO 4217/)
})

test('rounding is half-even, and exact in decimals', () => {
  expect([
    timesRate(50, 0.21),
    timesRate(150, 0.21),
    timesRate(250, 0.21),
    timesRate(-50, 0.21),
  ]).toEqual([10, 32, 52, -10])
  expect(timesRate(1, 0.5)).toBe(0)
  expect(timesRate(3, 0.5)).toBe(2)
  expect(() => timesRate(1.5, 1)).toThrow(/integer/)
})

test('currencies of different minor units', () => {
  expect(convert(1000, 'JPY', 'EUR', 0.006)).toBe(600)
  expect(convert(600, 'EUR', 'KWD', 0.33)).toBe(1980)
})

test('allocation loses no cent', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 1e9 }),
      fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 1, maxLength: 12 }),
      (minor, ratios) => {
        fc.pre(ratios.some((ratio) => ratio > 0))
        expect(allocate(minor, ratios).reduce((sum, share) => sum + share, 0)).toBe(minor)
      },
    ),
  )
})

test('what is printed reads back to the same amount', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 1e11 }),
      fc.constantFrom('EUR', 'JPY', 'KWD'),
      (minor, currency) => {
        expect(parseMoney(printMoney(minor, currency).replace(/^\D+/, ''), currency)).toBe(minor)
      },
    ),
  )
})

test.each(['', 'ten', '0.345', '1234.567', '1.2.3'])('"%s" is refused', (typed) => {
  expect(() => parseMoney(typed, 'EUR')).toThrow(RangeError)
})

test('the newest rate is used, turned round where only the other way is known; without one there is no price', () => {
  const rates = [
    { from: 'GBP', to: 'EUR', rate: 1.1, on: '2026-01-01' },
    { from: 'GBP', to: 'EUR', rate: 1.2, on: '2026-06-01' },
  ]
  expect([
    rateBetween(rates, 'GBP', 'EUR'),
    rateBetween(rates, 'EUR', 'GBP'),
    rateBetween(rates, 'SEK', 'EUR'),
  ]).toEqual([1.2, 1 / 1.2, null])
  expect(paidPrice(1000, 'GBP', false, { currency: 'EUR', taxRate: 0.21 }, rates)).toBe(1452)
  expect(paidPrice(1000, 'SEK', true, { currency: 'EUR', taxRate: 0.21 }, rates)).toBeNull()
})

test('cheaper or dearer is said only where the whole range is on that side', () => {
  fc.assert(
    fc.property(fc.nat(100), fc.nat(100), fc.nat(200), (low, width, limit) => {
      const range = { low, high: low + width }
      const side = sideOf(range, limit)
      for (const at of [range.low, range.high]) {
        if (side === 'under') expect(at).toBeLessThanOrEqual(limit)
        if (side === 'over') expect(at).toBeGreaterThan(limit)
      }
      if (side === 'either') expect(range.low <= limit && range.high > limit).toBe(true)
    }),
  )
})

// From an independent reading: 1.500 was saved as € 1.50.
test.each([
  ['1.500', 'point', ['1.5', '1500']],
  ['1.500', 'comma', ['1500', '1.5']],
  ['1,500', 'point', ['1500', '1.5']],
  ['1,500', 'comma', ['1.5', '1500']],
  ['12.345', 'ask', ['12345', '12.345']],
] as const)(
  '%s asks which is meant, the reading of a person with %s first',
  (typed, decimal, choices) => {
    try {
      parseMoney(typed, 'EUR', decimal)
      expect.unreachable()
    } catch (error) {
      expect(error).toBeInstanceOf(QuantityQuestion)
      expect((error as QuantityQuestion).choices).toEqual(choices)
    }
  },
)
