import { expect, test } from 'vitest'
import { dayIn, isTimeZone } from './day.ts'

// Offsets by fixed zones of the tz database: no clock changes, so the days are reckoned by hand.
test('the day is the one at the shop, not the one at Greenwich', () => {
  const late = new Date('2026-03-01T23:30:00Z')
  expect([
    dayIn('UTC', late),
    dayIn('Etc/GMT-2', late),
    dayIn('Etc/GMT+8', new Date('2026-03-01T07:59:00Z')),
  ]).toEqual(['2026-03-01', '2026-03-02', '2026-02-28'])
  expect(dayIn('Etc/GMT-14', new Date('2026-12-31T10:00:00Z'))).toBe('2027-01-01')
})

test('a zone that is not known is told', () => {
  expect([
    isTimeZone('UTC'),
    isTimeZone('Etc/GMT-2'),
    isTimeZone('Nowhere/Harbour'),
    isTimeZone(''),
  ]).toEqual([true, true, false, false])
  expect(() => dayIn('Nowhere/Harbour', new Date())).toThrow(/Nowhere\/Harbour/)
})
