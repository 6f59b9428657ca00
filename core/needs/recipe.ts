import { z } from 'zod'
import { FACT_KEYS, type FactKey } from './facts.ts'
import type { Rule } from './rule.ts'

/** A shop's own rule as data: when these facts hold (and these kinds are on the list), add these needs. */
export const recipeSchema = z.object({
  id: z.string().min(1),
  when: z
    .array(
      z.object({
        fact: z.enum(Object.keys(FACT_KEYS) as [FactKey, ...FactKey[]]),
        equals: z.union([z.string(), z.number(), z.boolean()]),
      }),
    )
    .default([]),
  whenListed: z.array(z.string()).default([]),
  add: z
    .array(
      z.object({
        kind: z.string(),
        place: z.string().default('recipe'),
        words: z.string(),
        quantity: z.number().int().positive().default(1),
      }),
    )
    .min(1),
})

export type Recipe = z.infer<typeof recipeSchema>

/** A recipe as a rule: it only adds, so the fixpoint stays. */
export function recipeRule(recipe: Recipe): Rule {
  return {
    id: `recipe:${recipe.id}`,
    reads: [
      ...recipe.when.map((condition) => condition.fact),
      ...recipe.whenListed.map((kind) => `need:${kind}` as const),
    ],
    adds: recipe.add.map((addition) => addition.kind),
    run: ({ facts, has }) =>
      recipe.when.every(({ fact, equals }) => facts.text(fact) === String(equals)) &&
      recipe.whenListed.every(has)
        ? recipe.add.map((addition) => ({
            ...addition,
            why: [{ rule: `recipe:${recipe.id}`, words: 'Recipe of the shop' }],
          }))
        : [],
  }
}
