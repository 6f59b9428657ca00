import fc from 'fast-check'
import { expect, test } from 'vitest'
import { normaliseNumber } from './part-number.ts'

const letters = fc.constantFrom(...'ABCDEFGHOI0123456789'.split(''))
const number = fc.array(letters, { minLength: 1, maxLength: 10 }).map((all) => all.join(''))
const spaced = (plain: string): fc.Arbitrary<string> =>
  fc
    .array(fc.constantFrom('', ' ', '.', '-', ' - '), {
      minLength: plain.length,
      maxLength: plain.length,
    })
    .map((gaps) => [...plain].map((char, i) => gaps[i] + char).join(''))

test('any spelling of a number comes to one, and that one stays as it is', () => {
  fc.assert(
    fc.property(
      number.chain((plain) =>
        fc.tuple(fc.constant(plain), spaced(plain), spaced(plain.toLowerCase())),
      ),
      ([plain, one, other]) => {
        expect([normaliseNumber(one), normaliseNumber(other)]).toEqual([plain, plain])
        expect(normaliseNumber(normaliseNumber(one))).toBe(plain)
      },
    ),
  )
})

test('two numbers are one only when their characters are: O is never 0, I never 1, a zero in front counts', () => {
  fc.assert(
    fc.property(number, number, (a, b) => {
      expect(normaliseNumber(a) === normaliseNumber(b)).toBe(a === b)
    }),
  )
})
