import { expect, test } from 'vitest'
import { readNarrow } from './narrow-field.tsx'

const how = { size: 'pilot-bore.boreMm', currency: 'EUR', reading: { decimal: 'ask' as const } }

test('a size is read in whatever unit it is typed, a price as money; what cannot be read, or two ways, is told', () => {
  expect(Number(readNarrow('sizeFrom', '3 3/8 in', how))).toBeCloseTo(85.725, 6)
  expect(readNarrow('sizeTo', '22', how)).toBe('22')
  expect(readNarrow('sizeTo', ' ', how)).toBe('')
  expect(readNarrow('priceTo', '3200', how)).toBe('3200')
  expect(readNarrow('priceTo', '12,50', how)).toBe('12.5')
  expect(readNarrow('fits', ' Kessarn Wick ', how)).toBe('Kessarn Wick')
  expect(() => readNarrow('priceTo', '-5', how)).toThrow('not less than nothing')
  expect(() => readNarrow('priceTo', '1.500', how)).toThrow()
  expect(() => readNarrow('sizeFrom', 'wide', how)).toThrow()
  expect(() => readNarrow('sizeFrom', '20', { ...how, size: '' })).toThrow('what the size is of')
})
