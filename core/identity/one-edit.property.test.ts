import fc from 'fast-check'
import { expect, test } from 'vitest'
import { oneEdit } from './one-edit.ts'
import { weakComponents } from './weak-components.ts'

/** Edits between two words, a swap of neighbours being one (Damerau's distance, by its recurrence; from memory). */
function distance(a: string, b: string): number {
  const d = Array.from({ length: a.length + 1 }, (_, i) => [i, ...Array<number>(b.length).fill(0)])
  for (let j = 0; j <= b.length; j++) d[0]![j] = j
  for (let i = 1; i <= a.length; i++)
    for (let j = 1; j <= b.length; j++) {
      const cost = a[i - 1] === b[j - 1] ? 0 : 1
      d[i]![j] = Math.min(d[i - 1]![j]! + 1, d[i]![j - 1]! + 1, d[i - 1]![j - 1]! + cost)
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        d[i]![j] = Math.min(d[i]![j]!, d[i - 2]![j - 2]! + 1)
    }
  return d[a.length]![b.length]!
}

const word = fc.string({ unit: fc.constantFrom('A', 'B', '1'), maxLength: 5 })
test('exactly the words one edit or swap away are found', () => {
  fc.assert(
    fc.property(word, word, (typed, other) => {
      expect(oneEdit(typed).has(other)).toBe(distance(typed, other) === 1)
    }),
    { numRuns: 2000 },
  )
})

test('nodes are in one component where a chain of groups joins them, and the least stands for it', () => {
  const groups = fc.array(fc.array(fc.nat(11), { maxLength: 4 }), { maxLength: 8 })
  fc.assert(
    fc.property(groups, (all) => {
      const found = weakComponents(12, all)
      for (let from = 0; from < 12; from++) {
        const reached = new Set([from])
        // Twelve rounds reach whatever can be reached.
        for (let round = 0; round < 12; round++)
          for (const group of all)
            if (group.some((one) => reached.has(one))) for (const one of group) reached.add(one)
        expect(found[from]).toBe(Math.min(...reached))
      }
    }),
    { numRuns: 500 },
  )
})
