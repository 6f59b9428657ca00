import fc from 'fast-check'
import { expect, test } from 'vitest'
import {
  parsePlusMinus,
  parseQuantity,
  printInches,
  printQuantity,
  QuantityError,
  QuantityQuestion,
  type StoredUnit,
  UNIT_CHOICES,
  type Units,
} from './units.ts'

// NIST SP 811 (2008), appendix B: exact definitions.
test.each([
  ['1 in', 'mm', 25.4],
  ['1 ft', 'mm', 304.8],
  ['1 lb', 'kg', 0.45359237],
  ['1 lbf·ft', 'N·m', 1.3558179483],
  ['47 lbf·ft', 'N·m', 63.7234435716],
  ['6.3 kgf·m', 'N·m', 61.781895],
  ['3 3/8 in', 'mm', 85.725],
  ['3-3/8"', 'mm', 85.725],
  ['7/16"', 'mm', 11.1125],
  ['7/16', 'mm', 11.1125],
  ['86mm', 'mm', 86],
  ['11,8', 'mm', 11.8],
  ['-2.5', 'mm', -2.5],
  ['−2.5', 'mm', -2.5],
  ['3.73:1', '', 3.73],
  ['10 bar', 'kPa', 1000],
  ['1 psi', 'kPa', 6.894757293],
  ['1 US gal', 'L', 3.785411784],
  ['1 imp gal', 'L', 4.54609],
  // 100 × 3.785411784 or 4.54609 L ÷ (28 × 1.609344 km), all exact.
  ['28 mpg US', 'L/100km', 378.5411784 / (28 * 1.609344)],
  ['28 imp mpg', 'L/100km', 454.609 / (28 * 1.609344)],
  ['12 km/l', 'L/100km', 8.333333333],
  ['1500 kg', 'kg', 1500],
  ['1.5 t', 'kg', 1500],
  ['12,345.5 mm', 'mm', 12345.5],
  ['12.345,5 mm', 'mm', 12345.5],
  ['1,234,567 g', 'kg', 1234.567],
] as const)('%s in %s is %d', (typed, unit, value) => {
  expect(parseQuantity(typed, unit)).toBeCloseTo(value, 9)
})

// Offset scales by absolute error: 32 °F = 0 °C, 212 °F = 100 °C, 190 °F = 87.7778 °C (exact 790/9).
test.each([
  ['32 °F', 0],
  ['212 °F', 100],
  ['190 °F', 790 / 9],
  ['-40 F', -40],
  ['88 °C', 88],
])('%s is %d °C', (typed, celsius) => {
  expect(Math.abs(parseQuantity(typed, '°C') - celsius)).toBeLessThan(1e-12)
})

test.each([
  '',
  'wide',
  '3 3.5 in',
  '1/0 in',
  '4 furlong',
  '12 kg of',
  '1.2.3',
  '1,23,456',
  '1.2,3.4',
])('"%s" is refused with what to do', (typed) => {
  expect(() => parseQuantity(typed, 'mm')).toThrow(QuantityError)
  expect(() => parseQuantity(typed, 'mm')).toThrow(/Type|Use|Check/)
})

test('what can mean two things is asked, with both ways to write it', () => {
  const ask = (typed: string, unit: StoredUnit, decimal?: 'comma'): readonly string[] => {
    try {
      parseQuantity(typed, unit, { decimal })
    } catch (error) {
      if (error instanceof QuantityQuestion) return error.choices
    }
    return []
  }
  expect(ask('1,500 kg', 'kg')).toEqual(['1500 kg', '1.5 kg'])
  expect(ask('28 mpg', 'L/100km')).toEqual(['28 US mpg', '28 imp mpg'])
  expect(ask('2 gal', 'L')).toEqual(['2 US gal', '2 imp gal'])
  expect(ask('1.500 kg', 'kg', 'comma')).toEqual(['1500 kg', '1.5 kg'])
  for (const choice of [...ask('1,500 kg', 'kg'), ...ask('1.500 kg', 'kg', 'comma')])
    expect([choice, ask(choice, 'kg')]).toEqual([choice, []])
})

test('whoever said what a comma means is not asked', () => {
  expect(parseQuantity('1,500 kg', 'kg', { decimal: 'point' })).toBe(1500)
  expect(parseQuantity('1,500 kg', 'kg', { decimal: 'comma' })).toBe(1.5)
  expect(parseQuantity('0,500 kg', 'kg')).toBe(0.5)
  expect(parseQuantity('11.800', 'mm')).toBe(11.8)
})

test('a bare figure is read in the unit of choice, a bare fraction of a length in inches', () => {
  expect(parseQuantity('2', 'mm', { units: { mm: 'in' } })).toBeCloseTo(50.8)
  expect(parseQuantity('1/2', 'mm')).toBeCloseTo(12.7)
  expect(parseQuantity('10 mm', 'mm', { units: { mm: 'in' } })).toBe(10)
  expect(parseQuantity('30', 'kPa', { units: { kPa: 'psi' } })).toBeCloseTo(206.84, 2)
})

test('inch fractions print as they are spoken, other lengths in three decimals', () => {
  expect([
    printInches(57.15),
    printInches(7.9375),
    printInches(25.4),
    printInches(-12.7),
    printInches(10),
  ]).toEqual(['2 1/4', '5/16', '1', '-1/2', '0.394'])
  expect(printQuantity(85.725, 'mm', { mm: 'in' })).toBe('3 3/8 in')
  expect(printQuantity(63.7234435716, 'N·m', { N·m: 'lbf·ft' })).toBe('47 lbf·ft')
  expect(printQuantity(8.400520825, 'L/100km', { 'L/100km': 'US mpg' })).toBe('28 US mpg')
})

test('sixty-fourths of an inch print and read back to the same length', () => {
  fc.assert(
    fc.property(fc.integer({ min: -6400, max: 6400 }), (sixtyFourths) => {
      const mm = (sixtyFourths * 25.4) / 64
      expect(parseQuantity(printQuantity(mm, 'mm', { mm: 'in' }), 'mm')).toBeCloseTo(mm, 6)
    }),
    { numRuns: 3000, seed: 2 },
  )
})

test('whatever is printed in any unit of choice reads back to what was shown, to the last digit printed, thousands of times', () => {
  const units = Object.entries(UNIT_CHOICES).flatMap(([unit, choices]) =>
    choices.map((choice) => [unit, choice] as const),
  )
  fc.assert(
    fc.property(
      fc.constantFrom(...units),
      fc.integer({ min: 1, max: 900_000 }),
      ([unit, choice], thousandths) => {
        const chosen = { [unit]: choice } as Units
        const printed = printQuantity(thousandths / 1000, unit as StoredUnit, chosen)
        const again = parseQuantity(printed, unit as StoredUnit, { decimal: 'point' })
        if (choice === 'in')
          expect(Math.abs(again - thousandths / 1000)).toBeLessThanOrEqual(0.0005 * 25.4 + 1e-9)
        else expect(printQuantity(again, unit as StoredUnit, chosen)).toBe(printed)
      },
    ),
    { numRuns: 5000, seed: 41 },
  )
})

test('any figure with its comma and points either reads, is asked or is refused: never a silent NaN', () => {
  fc.assert(
    fc.property(
      fc.stringMatching(/^[0-9.,/ -]{0,9}( ?(mm|in|"|ft|kg))?$/),
      fc.constantFrom('point', 'comma', 'ask'),
      (typed, decimal) => {
        try {
          expect(Number.isFinite(parseQuantity(typed, 'mm', { decimal: decimal as 'ask' }))).toBe(
            true,
          )
        } catch (error) {
          expect(error).toBeInstanceOf(QuantityError)
        }
      },
    ),
    { numRuns: 5000, seed: 43 },
  )
})

test.each<[string, string, StoredUnit, Units, number]>([
  ['0.1', '85.7', 'mm', {}, 0.1],
  // The unit of its value, not of the store: 25 times too tight otherwise.
  ['0.01', '2 1/4 in', 'mm', {}, 0.254],
  ['1/64', '3/8', 'mm', {}, 25.4 / 64],
  ['0.005', '1.125', 'mm', { mm: 'in' }, 0.127],
  ['0.2 mm', '2 1/4 in', 'mm', {}, 0.2],
  ['5', '47 lbf·ft', 'N·m', {}, 5 * 1.3558179483314],
  // A difference of degrees Fahrenheit has no offset.
  ['9', '190 °F', '°C', {}, 5],
  ['± 0.5', '3', '°', {}, 0.5],
])('± %s beside "%s" is in the unit of its value', (typed, value, unit, units, stored) => {
  expect(parsePlusMinus(typed, value, unit, { units })).toBeCloseTo(stored, 9)
})

test('a ± below 0 or in words is refused', () => {
  expect(() => parsePlusMinus('-0.1', '20', 'mm')).toThrow(QuantityError)
  expect(() => parsePlusMinus('tight', '20', 'mm')).toThrow(QuantityError)
})
