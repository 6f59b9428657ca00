import { expect, test } from 'vitest'
import { ChordsError } from './from-chords.ts'
import { parseChords } from './parse-chords.ts'

test('a line a distance, to a hole or to the axis, in any unit', () => {
  expect(parseChords('1 2 173.2\n 2-3 86 mm ; 3 axis 7 1/8 in\n\n1 AXIS 10 cm')).toEqual([
    { from: 1, to: 2, mm: 173.2 },
    { from: 2, to: 3, mm: 86 },
    { from: 3, to: 0, mm: 180.975 },
    { from: 1, to: 0, mm: 100 },
  ])
})

test.each(['1 2', 'one two 5', '1 2 wide'])('"%s" is refused, saying how', (line) => {
  expect(() => parseChords(`1 2 100\n${line}`)).toThrow()
})

test('the line that is wrong is named', () => {
  expect(() => parseChords('1 2 100\n1 2')).toThrow(ChordsError)
  expect(() => parseChords('1 2 100\n1 2')).toThrow('Line 2')
})
