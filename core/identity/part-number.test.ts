import { expect, test } from 'vitest'
import { normaliseNumber } from './part-number.ts'

test('one spelling: upper case, no spaces, dots or dashes; zeros and suffixes stay; O is not 0', () => {
  expect(
    ['mld 417.20', 'MLD-417-20', ' mld41720 '].map((number) => normaliseNumber(number)),
  ).toEqual(['MLD41720', 'MLD41720', 'MLD41720'])
  expect(normaliseNumber('007.10a')).toBe('00710A')
  expect(normaliseNumber('1O')).not.toBe(normaliseNumber('10'))
  expect(normaliseNumber('a/b-1', { upper: false, noise: '/' })).toBe('ab-1')
})
