import fc from 'fast-check'
import { expect, test } from 'vitest'
import { holdsWords } from './holds-words.ts'

test('words are found from their beginnings, in any order, and within a text as typed', () => {
  expect(holdsWords('Import a list', 'list imp')).toBe(true)
  expect(holdsWords('Day or late bench', 'r LATE')).toBe(true)
  expect(holdsWords('Import a list', 'list export')).toBe(false)
  expect(holdsWords('Print this page', '')).toBe(true)
  expect(holdsWords('Print this page', '?!')).toBe(false)
})

test('any one typing error in a word of four letters or more is forgiven, where that is asked; in shorter ones none', () => {
  const text = 'Measuring card, people and safekeeping'
  const word = fc.constantFrom('measuring', 'people', 'safekeeping', 'card')
  const letter = fc.constantFrom(...'abcdefghijklmnopqrstuvwxyz')
  fc.assert(
    fc.property(word, fc.nat(), letter, fc.nat(3), (right, where, other, how) => {
      const at = where % right.length
      const typed = [
        right.slice(0, at) + other + right.slice(at),
        right.slice(0, at) + other + right.slice(at + 1),
        right.slice(0, at) + right.slice(at + 1),
        right.slice(0, at) + (right[at + 1] ?? '') + right[at]! + right.slice(at + 2),
      ][how]!
      if (typed.length >= 4) expect(holdsWords(text, typed, true), typed).toBe(true)
    }),
  )
  expect(holdsWords(text, 'saefkeeping')).toBe(false)
  expect(holdsWords(text, 'xnd', true)).toBe(false)
  expect(holdsWords(text, 'saefkepeing', true)).toBe(false)
})
