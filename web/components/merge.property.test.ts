import fc from 'fast-check'
import { expect, test } from 'vitest'
import { mergeTexts } from './merge.ts'

const row = fc.record({
  a: fc.constantFrom('1', '2', '3'),
  b: fc.constantFrom('1', '2', '3'),
  c: fc.boolean(),
})

test('nothing typed here is lost, nothing stored there is lost: each field is one of the two, and a clash is kept as typed', () => {
  fc.assert(
    fc.property(row, row, row, (base, yours, theirs) => {
      const { values, clashes } = mergeTexts(base, yours, theirs)
      for (const name of ['a', 'b', 'c'] as const) {
        const [b, y, t] = [base[name], yours[name], theirs[name]]
        const clash = clashes.find((one) => one.name === name)
        expect(values[name]).toBe(y === b ? t : y)
        expect(clash !== undefined).toBe(y !== b && t !== b && y !== t)
        if (clash) expect(clash).toEqual({ name, yours: y, theirs: t })
      }
    }),
  )
})

test('merging again with what is stored changes nothing more', () => {
  fc.assert(
    fc.property(row, row, row, (base, yours, theirs) => {
      const once = mergeTexts(base, yours, theirs).values
      expect(mergeTexts(theirs, once, theirs)).toEqual({ values: once, clashes: [] })
    }),
  )
})

test('when only one side changed anything, its values stand whole', () => {
  fc.assert(
    fc.property(row, row, (base, other) => {
      expect(mergeTexts(base, base, other)).toEqual({ values: other, clashes: [] })
      expect(mergeTexts(base, other, base)).toEqual({ values: other, clashes: [] })
    }),
  )
})
