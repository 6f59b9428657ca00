import fc from 'fast-check'
import { expect, test } from 'vitest'
import { NumberIndex } from '../identity/number-index.ts'
import { NO_NUMBER, numberSays as says } from './number-says.ts'
import type { KnownNumber } from './numbers-wanted.ts'

const number = (place: number): KnownNumber => ({
  issuer: 'i',
  number: `n${place}`,
  mark: 'catalogue',
  grade: 'catalogue',
})
const numberSays = (
  want: readonly KnownNumber[],
  had: readonly KnownNumber[],
  index: NumberIndex,
) => says({ want, application: undefined, follow: 'all', of: null }, had, index, '2026-11-29')
/** A chain of replacements, each with or without the way back. */
const chain = fc.array(fc.boolean(), { minLength: 1, maxLength: 6 })
const serving = (ways: readonly boolean[]): NumberIndex =>
  new NumberIndex({
    supersessions: ways.map((only, place) => ({
      id: `row ${place}`,
      old: [number(place)],
      new: [number(place + 1)],
      back: only ? 'no' : 'yes',
      grade: 'catalogue',
    })),
  })

test('down a chain every later number serves for every earlier one, with the path; back only where no step is one way', () => {
  fc.assert(
    fc.property(chain, fc.nat(6), fc.nat(6), (ways, p, q) => {
      const [from, to] = [Math.min(p, q, ways.length), Math.min(Math.max(p, q), ways.length)]
      if (from === to) return
      const between = Array.from({ length: to - from + 1 }, (_, i) => `n${from + i}`)
      expect(numberSays([number(from)], [number(to)], serving(ways))).toMatchObject({
        says: 'superseded by',
        plan: 'yes',
        path: between,
      })
      const isOpen = ways.slice(from, to).every((only) => !only)
      expect(numberSays([number(to)], [number(from)], serving(ways))).toMatchObject(
        isOpen
          ? { says: 'superseded by', path: between.toReversed() }
          : { says: 'not listed', plan: 'confirm', path: [] },
      )
    }),
  )
})

test('any number of a part that is wanted will do; none wanted says nothing; a ring is never planned', () => {
  const index = serving([true])
  expect(numberSays([], [number(0)], index)).toBe(NO_NUMBER)
  expect(numberSays([number(7), number(0)], [number(9), number(1)], index).says).toBe(
    'superseded by',
  )
  expect(numberSays([number(0)], [number(0)], index)).toMatchObject({ says: 'exact', plan: 'yes' })
  const ring = new NumberIndex({
    supersessions: [0, 1].map((place) => ({
      id: String(place),
      old: [number(place)],
      new: [number(1 - place)],
      grade: 'catalogue' as const,
    })),
  })
  expect(numberSays([number(0)], [number(1)], ring)).toMatchObject({ says: 'conflict', plan: 'no' })
})
