import fc from 'fast-check'
import { expect, test } from 'vitest'
import { offersOfPage, readFeedPage } from './price-feed.ts'

const item = {
  issuer: 'OTC',
  number: 'OTC 1000',
  description: 'Clip',
  price: '5.40',
  pack: 1,
  stock: 4,
  leadDays: null,
  condition: 'new',
}
const page = (items: readonly unknown[], rest: Record<string, unknown> = {}) =>
  JSON.stringify({
    format: 'junket-prices',
    version: 1,
    page: 1,
    pages: 1,
    currency: 'EUR',
    taxIncluded: false,
    items,
    ...rest,
  })
const offers = (text: string) => offersOfPage(readFeedPage(text)!, 'Counter', 0)

test('what the page says of currency and tax counts for each item that does not; the supplier is never the item’s to say', () => {
  const { rows, bad } = offers(
    page([item, { ...item, number: 'B', currency: 'GBP', price: 7.5, supplier: 'Another' }]),
  )
  expect(bad).toEqual([])
  expect(
    rows.map(({ supplier, currency, priceMinor, taxIncluded }) => [
      supplier,
      currency,
      priceMinor,
      taxIncluded,
    ]),
  ).toEqual([
    ['Counter', 'EUR', 540, false],
    ['Counter', 'GBP', 750, false],
  ])
})

test('pages of another format, version or shape are none', () => {
  expect(readFeedPage(page([item]))).not.toBeNull()
  for (const text of [
    '',
    'null',
    '[]',
    '<html>',
    page([item], { format: 'prices' }),
    page([item], { version: 2 }),
    page([item], { pages: 0 }),
    page([item], { items: {} }),
  ])
    expect(readFeedPage(text)).toBeNull()
})

test('whatever an item holds, it is an offer or it is told by its place; nothing is thrown', () => {
  const value = fc.oneof(
    fc.string(),
    fc.double(),
    fc.boolean(),
    fc.constant(null),
    fc.array(fc.integer(), { maxLength: 2 }),
    fc.object({ maxDepth: 1 }),
  )
  const odd = fc.oneof(
    value,
    fc.record(
      Object.fromEntries(Object.keys(item).map((key) => [key, value])) as Record<
        keyof typeof item,
        typeof value
      >,
      { requiredKeys: [] },
    ),
  )
  fc.assert(
    fc.property(fc.array(odd, { maxLength: 6 }), fc.nat(900), (items, before) => {
      const read = readFeedPage(page(items))
      if (!read) return
      const { rows, bad } = offersOfPage(read, 'Counter', before)
      const told = new Set([...rows, ...bad].map(({ line }) => line))
      expect([...told].sort((p, q) => p - q)).toEqual(items.map((_, i) => before + i + 1))
      for (const { priceMinor } of rows) expect(Number.isSafeInteger(priceMinor)).toBe(true)
    }),
    { numRuns: 2000 },
  )
})
