import fc from 'fast-check'
import { expect, test } from 'vitest'
import { suggestColumns } from './match-columns.ts'
import { NEEDED, OFFER_COLUMNS, OFFER_FIELDS } from './offer-columns.ts'

test('odd heads are taken for what they mean', () => {
  expect(
    suggestColumns(
      ['Vendor', 'Part No.', 'Item text', 'Net price', 'Qty', 'Lead time', 'Colour'],
      OFFER_FIELDS,
    ),
  ).toEqual({
    supplier: 'Vendor',
    number: 'Part No.',
    description: 'Item text',
    price: 'Net price',
    stock: 'Qty',
    leadDays: 'Lead time',
  })
  expect(suggestColumns(['', '?', 'Shelf'], OFFER_FIELDS)).toEqual({})
})

test('a head is used once, a column filled once, and its very name goes before any other', () => {
  const head = fc.constantFrom(
    ...OFFER_COLUMNS,
    ...OFFER_FIELDS.flatMap(({ called }) => called),
    'Colour',
    'PART_NUMBER',
    'Líst price',
  )
  fc.assert(
    fc.property(fc.uniqueArray(head, { maxLength: 14 }), (heads) => {
      const found = suggestColumns(heads, OFFER_FIELDS)
      const used = Object.values(found)
      expect(new Set(used).size).toBe(used.length)
      expect(heads).toEqual(expect.arrayContaining(used))
      for (const name of OFFER_COLUMNS) if (heads.includes(name)) expect(found[name]).toBe(name)
    }),
  )
  expect(NEEDED.every((name) => OFFER_COLUMNS.includes(name))).toBe(true)
})
