import fc from 'fast-check'
import { expect, test } from 'vitest'
import { parseQuantity, printInches, printQuantity } from './units.ts'

// NIST SP 811 (2008), appendix B: exact definitions.
test.each([
  ['1 in', 'mm', 25.4],
  ['1 ft', 'mm', 304.8],
  ['1 lb', 'kg', 0.45359237],
  ['1 lbf·ft', 'N·m', 1.3558179483],
  ['6.3 kgf·m', 'N·m', 61.781895],
  ['3 3/8 in', 'mm', 85.725],
  ['7/16"', 'mm', 11.1125],
  ['86mm', 'mm', 86],
  ['11,8', 'mm', 11.8],
  ['-2.5', 'mm', -2.5],
  ['−2.5', 'mm', -2.5],
  ['3.73:1', '', 3.73],
] as const)('%s in %s is %d', (typed, unit, value) => {
  expect(parseQuantity(typed, unit)).toBeCloseTo(value, 9)
})

test.each(['', 'wide', '1,500', '3 3.5 in', '1/0 in', '4 furlong', '12 kg of'])('"%s" is refused with what to do', (typed) => {
  expect(() => parseQuantity(typed, 'mm')).toThrow(/Type|Use|Check/)
})

test('a figure without a unit is read in the unit assumed', () => {
  expect(parseQuantity('1/2', 'mm', 'in')).toBeCloseTo(12.7)
  expect(parseQuantity('10 mm', 'mm', 'in')).toBe(10)
})

test('inch fractions print as they are spoken, other lengths in three decimals', () => {
  expect([printInches(57.15), printInches(7.9375), printInches(25.4), printInches(-12.7), printInches(10)]).toEqual(['2 1/4', '5/16', '1', '-1/2', '0.394'])
  expect(printQuantity(85.725, 'mm', 'in')).toBe('3 3/8 in')
})

test('what is printed in inches reads back to the same length', () => {
  fc.assert(
    fc.property(fc.integer({ min: -6400, max: 6400 }), (sixtyFourths) => {
      const mm = (sixtyFourths * 25.4) / 64
      expect(parseQuantity(printQuantity(mm, 'mm', 'in'), 'mm')).toBeCloseTo(mm, 6)
    }),
  )
})
