import fc from 'fast-check'
import { expect, test } from 'vitest'
import { readMoreNumbers, writeMoreNumbers } from './more-numbers.ts'

test('numbers of a cell are parted by semicolons or lines, with an issuer of their own or without', () => {
  expect(readMoreNumbers(' 417.20 ;Kessarn: K-88;\n\r;  HBP:09:12 ; : 7; HBP:')).toEqual([
    { issuer: null, number: '417.20' },
    { issuer: 'Kessarn', number: 'K-88' },
    { issuer: 'HBP', number: '09:12' },
    { issuer: null, number: '7' },
    // What is left of it is no number: whoever reads it says so.
    { issuer: 'HBP', number: '' },
  ])
  expect([readMoreNumbers(''), writeMoreNumbers([])]).toEqual([[], null])
})

test('whatever is written reads back; what would not is left out', () => {
  const text = fc.stringMatching(/^[A-Z0-9:;. -]{1,12}$/).map((one) => one.trim() || 'A')
  fc.assert(
    fc.property(fc.array(fc.record({ issuer: text, number: text })), (numbers) => {
      const kept = numbers.filter(
        ({ issuer, number }) => !issuer.includes(':') && !`${issuer}${number}`.includes(';'),
      )
      expect(readMoreNumbers(writeMoreNumbers(numbers) ?? '')).toEqual(kept)
    }),
  )
})
