import fc from 'fast-check'
import { expect, test } from 'vitest'
import { normaliseNumber } from './part-number.ts'
import { numberVerdict, type Supersession } from './supersession.ts'

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

/** A chain of replacements, each with or without the way back. */
const chain = fc
  .array(fc.boolean(), { minLength: 1, maxLength: 6 })
  .map((oneWay) =>
    oneWay.map((only, i): Supersession => ({ old: `n${i}`, new: `n${i + 1}`, oneWay: only })),
  )

test('down a chain every later number serves for every earlier one, with the path; back only where no step is one-way', () => {
  fc.assert(
    fc.property(chain, fc.nat(6), fc.nat(6), (rows, p, q) => {
      const [from, to] = [Math.min(p, q, rows.length), Math.min(Math.max(p, q), rows.length)]
      if (from === to) return
      const between = Array.from({ length: to - from + 1 }, (_, i) => `n${from + i}`)
      expect(numberVerdict([`n${from}`], [`n${to}`], rows)).toEqual({
        says: 'superseded by',
        path: between,
      })
      const isOpen = rows.slice(from, to).every((row) => !row.oneWay)
      expect(numberVerdict([`n${to}`], [`n${from}`], rows)).toEqual(
        isOpen ? { says: 'superseded by', path: [...between].reverse() } : { says: 'not listed' },
      )
    }),
  )
})

test('the order in which rows stand does not matter, nor do rows of other numbers', () => {
  fc.assert(
    fc.property(chain, fc.nat(), (rows, seed) => {
      const noise: Supersession[] = [{ old: 'x', new: 'y', oneWay: false }]
      const turned = [
        ...rows.slice(seed % rows.length),
        ...noise,
        ...rows.slice(0, seed % rows.length),
      ]
      expect(numberVerdict(['n0'], [`n${rows.length}`], turned)).toEqual(
        numberVerdict(['n0'], [`n${rows.length}`], rows),
      )
    }),
  )
})

test('a ring of replacements is bad data, whatever stands before it', () => {
  fc.assert(
    fc.property(chain, (rows) => {
      const ring = [...rows, { old: `n${rows.length}`, new: 'n0', oneWay: false }]
      expect(numberVerdict(['n0'], ['elsewhere'], ring).says).toBe('bad data')
    }),
  )
})
