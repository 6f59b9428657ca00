import fc from 'fast-check'
import { expect, test } from 'vitest'
import { FACT_ROWS, type FactKey } from '../../../../core/facts/index.ts'
import { recipeSchema } from '../../../../core/needs/recipe.ts'
import { BLANK, bodyOf, type Draft, draftOf } from './recipe-draft.ts'

const asked = (Object.keys(FACT_ROWS) as FactKey[]).filter((key) => FACT_ROWS[key].asks)
const leaf = fc.constantFrom(...asked).chain((key) =>
  fc.record({
    key: fc.constant(key),
    value: fc.constantFrom(...FACT_ROWS[key].values),
    isNot: fc.boolean(),
  }),
)
const join = fc.constantFrom('all' as const, 'any' as const)
const groups = fc.array(
  fc.record({ join, leaves: fc.array(leaf, { minLength: 1, maxLength: 3 }) }),
  { minLength: 1, maxLength: 3 },
)

test('what is built is read back as it was built, and is a recipe that may be kept', () => {
  fc.assert(
    fc.property(join, groups, (outer, all) => {
      const draft: Draft = {
        ...BLANK,
        name: 'Ferry ramps',
        ofPart: { id: 'wick-2', name: 'Wick' },
        isFault: true,
        // Of one group alone there is nothing to join.
        join: all.length === 1 ? 'all' : outer,
        groups: all,
        lines: [{ words: 'Skid plate', place: 'shop', eur: '20-80', hours: '1' }],
      }
      const body = recipeSchema.parse(JSON.parse(JSON.stringify(bodyOf(draft))))
      expect(draftOf(draft.name, body, 'Wick')).toEqual(draft)
      // Changed and kept again it is the same recipe, with the same kinds of line.
      expect(bodyOf({ ...draft, name: 'Ferry ramps, steep' }, body)).toEqual(body)
    }),
  )
})

test('what the pickers cannot say is changed as JSON', () => {
  const deep = { all: [{ any: [{ all: [{ is: 'keep.air', of: ['yes'] }] }] }] }
  const body = recipeSchema.parse({ id: 'r', when: deep, add: [{ kind: 'k', words: 'K' }] })
  expect(draftOf('R', body, null)).toBe(null)
})
