import { expect, test } from 'vitest'
import { normaliseNumber } from './part-number.ts'
import { numberVerdict } from './supersession.ts'

test('one spelling: upper case, no spaces, dots or dashes; zeros and suffixes stay; O is not 0', () => {
  expect(
    ['mld 417.20', 'MLD-417-20', ' mld41720 '].map((number) => normaliseNumber(number)),
  ).toEqual(['MLD41720', 'MLD41720', 'MLD41720'])
  expect(normaliseNumber('007.10a')).toBe('00710A')
  expect(normaliseNumber('1O')).not.toBe(normaliseNumber('10'))
  expect(normaliseNumber('a/b-1', { upper: false, noise: '/' })).toBe('ab-1')
})

const row = (old: string, next: string, oneWay = false) => ({ old, new: next, oneWay })

test('exact, superseded by a path, backwards only where not one-way, not listed', () => {
  const rows = [row('A', 'B'), row('B', 'C', true)]
  expect(numberVerdict([], ['A'], rows)).toEqual({ says: 'no number wanted' })
  expect(numberVerdict(['A'], ['X', 'A'], rows)).toEqual({ says: 'exact' })
  expect(numberVerdict(['A'], ['C'], rows)).toEqual({
    says: 'superseded by',
    path: ['A', 'B', 'C'],
  })
  expect(numberVerdict(['B'], ['A'], rows)).toEqual({ says: 'superseded by', path: ['B', 'A'] })
  expect(numberVerdict(['C'], ['B'], rows)).toEqual({ says: 'not listed' })
})

test('a split follows either branch; a cycle is bad data', () => {
  expect(numberVerdict(['A'], ['C'], [row('A', 'B'), row('A', 'C')])).toEqual({
    says: 'superseded by',
    path: ['A', 'C'],
  })
  expect(numberVerdict(['A'], ['Z'], [row('A', 'B'), row('B', 'A')])).toMatchObject({
    says: 'bad data',
  })
})
