import fc from 'fast-check'
import { expect, test } from 'vitest'
import { DEFAULT_RULE, SUFFIX_KINDS } from './number-rule.ts'
import { previewRule } from './rule-preview.ts'
import { readSuffixes, readWords, writeSuffixes } from './rule-words.ts'

const suffix = fc.record(
  {
    kind: fc.constantFrom(...SUFFIX_KINDS),
    shapes: fc.array(fc.stringMatching(/^[A-Z#@*]{1,4}$/), { minLength: 1, maxLength: 3 }),
    decides: fc.boolean(),
  },
  { requiredKeys: ['kind', 'shapes'] },
)

test('suffixes are read as they are written', () => {
  fc.assert(
    fc.property(fc.array(suffix, { maxLength: 4 }), (suffixes) => {
      expect(readSuffixes(writeSuffixes(suffixes))).toEqual(suffixes)
    }),
  )
  expect(readSuffixes('  Side: L R\n\nrevision @, decides\ngrade A, does not decide')).toEqual([
    { kind: 'side', shapes: ['L', 'R'] },
    { kind: 'revision', shapes: ['@'], decides: true },
    { kind: 'grade', shapes: ['A'], decides: false },
  ])
  expect(readWords(' M, MLD\nX ')).toEqual(['M', 'MLD', 'X'])
})

test('a line that is none says which, and how it is written', () => {
  expect(() => readSuffixes('size L')).toThrow(/"size L": begin with .*colour/)
  expect(() => readSuffixes('side')).toThrow(/write its shapes/)
  expect(() => readSuffixes('side L, perhaps')).toThrow(/behind the comma/)
})

test('a rule is told by the numbers it reads otherwise, brings together and takes apart; two parts in one stop it', () => {
  const known = [
    { number: '0417', part: 'disc' },
    { number: '417', part: 'disc' },
    { number: '00418', part: 'cover' },
    { number: '418', part: 'bearing' },
    { number: '9', part: 'pin' },
  ]
  const plain = DEFAULT_RULE
  const dropped = { ...DEFAULT_RULE, zeros: 'drop' } as const
  const preview = previewRule(known, plain, dropped)
  expect(preview.changed.map(({ number, to }) => [number, to])).toEqual([
    ['0417', '417'],
    ['00418', '418'],
  ])
  expect(preview.met.map(({ key }) => key)).toEqual(['417', '418'])
  expect(preview.blocked.map(({ key }) => key)).toEqual(['418'])
  expect(preview.parted).toEqual([])
  // The other way about they come apart, and nothing new meets.
  const back = previewRule(known, dropped, plain)
  expect([back.parted.map(({ key }) => key), back.met]).toEqual([['417', '418'], []])
  expect(previewRule(known, plain, plain)).toEqual({
    changed: [],
    met: [],
    parted: [],
    blocked: [],
  })
})
