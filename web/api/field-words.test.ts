import { expect, test } from 'vitest'
import { STORED_ROWS } from '../../contract/stored.ts'
import { fieldWords, placeWords, toldFields, valueWords } from './field-words.ts'

test('where a fault stands is said without the names of the program', () => {
  expect(placeWords('shippingMinor')).toBe('shipping')
  expect(placeWords('items.0.saleMinor')).toBe('items, line 1, sale')
  expect(placeWords('supplier/harbour/currency')).toBe('supplier/harbour/currency')
})

test('no stored field of any table reads as a program writes it', () => {
  let seen = 0
  for (const row of Object.values(STORED_ROWS))
    for (const field of Object.keys(row.shape)) {
      seen++
      expect(fieldWords(field)).toMatch(/^[a-z0-9 ]+$/)
    }
  expect(seen).toBeGreaterThan(100)
})

test('no value of any field of any table is told as a program keeps it: ids by name or as nameless, lists and sheets by how many', () => {
  const id = '01a224e9-6abd-77d2-b53f-ef07d2575b86'
  const said = { currency: 'EUR', names: { [id]: 'Harbour Parts' } }
  const nobody = { currency: 'EUR', names: {} }
  const kept: readonly unknown[] = [
    id,
    `offer:${id}@heater/kept/main`,
    `donor:${id}`,
    'bell-bolt/face/main',
    [id, id],
    [{ x: 1, y: 2, d: 10 }],
    { 'bay.lengthMm': { value: '620', by: id } },
    123456,
    true,
    null,
  ]
  for (const row of Object.values(STORED_ROWS))
    for (const field of toldFields(row.shape))
      for (const value of kept) {
        const words = valueWords(field, value, nobody)
        expect([field, words]).toEqual([
          field,
          expect.not.stringMatching(/[0-9a-f]{8}-|[{}[\]]|@|\//),
        ])
        expect(words.length).toBeGreaterThan(0)
      }
  expect(valueWords('supplierId', id, said)).toBe('Harbour Parts')
  expect(valueWords('candidate', `offer:${id}@heater/kept/main`, said)).toBe('a source of heater')
  expect(valueWords('needId', 'bell-bolt/face/main', said)).toBe('bell bolt')
  expect(valueWords('priceMinor', 28600, said)).toBe('€ 286.00')
})
