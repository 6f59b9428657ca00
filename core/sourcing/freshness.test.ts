import fc from 'fast-check'
import { expect, test } from 'vitest'
import { nextReading, type Reading } from './feed-due.ts'
import { daysOld } from './freshness.ts'
import { standingRefusal } from './standing.ts'

test('a price is as old as the newest that was heard of it; nobody knows where neither day is known', () => {
  expect(daysOld('2026-10-20', null, '2026-11-30')).toBe(41)
  expect(daysOld('2026-10-20', '2026-11-29', '2026-11-30')).toBe(1)
  expect(daysOld(null, undefined, '2026-11-30')).toBeNull()
  // A clock that was set back makes nothing younger than new.
  expect(daysOld('2026-12-01', null, '2026-11-30')).toBe(0)
})

test('announced and ended close no plan; on trial, sold and nothing said do', () => {
  expect(standingRefusal('announced')).toContain('closes no plan')
  expect(standingRefusal('ended')).toContain('no longer sold')
  for (const standing of ['trial', 'shipping', null, undefined] as const)
    expect(standingRefusal(standing)).toBeNull()
})

const HOUR = 3_600_000
test('a feed is due as often as is said, sooner after a failure, and never later than without one', () => {
  const failed = (count: number): Reading[] =>
    Array.from({ length: count }, () => ({ at: 0, isRead: false }))
  expect(nextReading([], 12)).toBe(-Infinity)
  expect(nextReading([{ at: 0, isRead: true }], 12)).toBe(12 * HOUR)
  expect(nextReading([...failed(1), { at: -HOUR, isRead: true }], 12)).toBe(HOUR / 12)
  expect(nextReading([...failed(4), { at: -HOUR, isRead: true }], 12)).toBe((8 * HOUR) / 12)
  fc.assert(
    fc.property(fc.nat(60), fc.integer({ min: 1, max: 200 }), (count, every) => {
      const next = nextReading(failed(count + 1), every)
      expect(next).toBeGreaterThan(0)
      expect(next).toBeLessThanOrEqual(every * HOUR)
      expect(nextReading(failed(count + 2), every)).toBeGreaterThanOrEqual(next)
    }),
  )
})
