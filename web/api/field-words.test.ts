import { expect, test } from 'vitest'
import { STORED_ROWS } from '../../contract/stored.ts'
import { fieldWords, placeWords } from './field-words.ts'

test('where a fault stands is said without the names of the program', () => {
  expect(placeWords('shippingMinor')).toBe('shipping')
  expect(placeWords('items.0.saleMinor')).toBe('items, line 1, sale')
  expect(placeWords('supplier/harbour/currency')).toBe('supplier/harbour/currency')
})

test('no stored field of any table reads as a program writes it', () => {
  for (const row of Object.values(STORED_ROWS))
    for (const field of Object.keys((row as unknown as { shape: object }).shape ?? {}))
      expect(fieldWords(field)).toMatch(/^[a-z0-9 ]+$/)
})
