import { validate, version } from 'uuid'
import { expect, test } from 'vitest'
import { newId } from './new-id.ts'

test('ids are UUIDs of version 7, none twice, in the order they were made, with the time they were made at', () => {
  const from = Date.now()
  const ids = Array.from({ length: 50_000 }, newId)
  const to = Date.now()
  expect(ids.every((id) => validate(id) && version(id) === 7)).toBe(true)
  expect(new Set(ids).size).toBe(ids.length)
  expect(ids.toSorted()).toEqual(ids)
  // RFC 9562, 5.7: the first 48 bits are milliseconds since 1970.
  const madeAt = (id: string): number => Number.parseInt(id.replace('-', '').slice(0, 12), 16)
  expect(madeAt(ids[0]!)).toBeGreaterThanOrEqual(from)
  expect(madeAt(ids.at(-1)!)).toBeLessThanOrEqual(to)
  // What tells apart two threads that make one in the same millisecond.
  expect(new Set(ids.map((id) => id.slice(-12))).size).toBe(ids.length)
})
