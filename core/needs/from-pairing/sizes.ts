import type { NewNeed } from '../need.ts'
import type { Rule } from './rule.ts'

/** How much and how long, where the parts say: litres to fill, lengths to order. */
export const sizes: Rule = {
  id: 'sizes',
  reads: ['engine.oilL', 'propshaft.lengthMm'],
  adds: ['engine-oil', 'propshaft'],
  run: ({ facts }) => {
    const needs: NewNeed[] = []
    const litres = facts.count('engine.oilL')
    if (litres !== undefined)
      needs.push({
        kind: 'engine-oil',
        place: 'engine under',
        words: `Engine oil, about ${litres.toFixed(1)} L`,
        why: [{ rule: 'sizes', words: `The engine takes ${litres.toFixed(1)} L, its filter more` }],
      })
    const length = facts.count('propshaft.lengthMm')
    if (length !== undefined)
      needs.push({
        kind: 'propshaft',
        place: 'shafts',
        words: `Propshaft shortened or made, about ${length.toFixed(0)} mm between joints`,
        why: [
          {
            rule: 'sizes',
            words: `${length.toFixed(0)} mm at ride height, by what is measured: measure again on the vehicle before it is cut`,
          },
        ],
      })
    return needs
  },
}
