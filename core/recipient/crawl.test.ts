import { expect, test } from 'vitest'
import { CRAWL, crawlPlace, inCrawlOrder } from './crawl.ts'
import { DIMENSIONS } from './dimensions.ts'

test('every dimension of the vehicle is measured where its drawing says, all else where it lies', () => {
  for (const { port, field, place } of DIMENSIONS)
    expect([port, field, crawlPlace('vehicle', port, field)]).toEqual([
      port,
      field,
      DIMENSIONS.find(
        (one) => one.port.split('/')[0] === port.split('/')[0] && one.field === field,
      )!.place ?? place,
    ])
  expect(crawlPlace('vehicle', 'pilot-bore/main', 'boreMm')).toBe('The vehicle')
  expect(crawlPlace('engine', 'pilot-bore/crank', 'boreMm')).toBe('The engine')
  expect(crawlPlace('transmission', 'input-shaft/main', 'tipMm')).toBe('The gearbox')
  expect(crawlPlace('flywheel', 'flywheel/main', 'teeth')).toBe('The pieces between')
})

test('the card goes round once: each measurement stands once, places in the order one crawls under', () => {
  const items = [...CRAWL, ...CRAWL].toReversed().map((place, i) => ({ place, i }))
  const sections = inCrawlOrder(items)
  expect(sections.map(({ place }) => place)).toEqual([...CRAWL])
  expect(sections.flatMap((section) => section.items)).toHaveLength(items.length)
  expect(inCrawlOrder([{ place: 'The engine' }])).toEqual([
    { place: 'The engine', items: [{ place: 'The engine' }] },
  ])
})
