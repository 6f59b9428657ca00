import { z } from 'zod'
import { factNamed } from '../facts/aliases.ts'
import { all, type Condition, conditionSchema, faultsIn, has, is } from './condition.ts'
import { FACT_KEYS, type Fact, type FactKey, Facts } from './from-pairing/facts.ts'
import { type LINE_PLACES, type LineRow, SORTS, STAGES } from './line.ts'

const three = z.tuple([z.number(), z.number(), z.number()])

/** As recipes were first written: all of these facts, all of these kinds. */
const firstForm = z
  .array(
    z.object({
      fact: z.union([
        z.enum(Object.keys(FACT_KEYS) as [FactKey, ...FactKey[]]),
        z
          .string()
          .max(80)
          .refine((key) => factNamed(key) !== null, 'Not a fact that is known here.'),
      ]),
      equals: z.union([z.string().max(200), z.number(), z.boolean()]),
    }),
  )
  .max(60)

/** A shop's own rows as data: when a condition holds, add these lines. Never code. */
export const recipeSchema = z.object({
  id: z.string().min(1).max(80),
  when: z
    .union([
      firstForm,
      conditionSchema.refine((one) => faultsIn(one).length === 0, {
        error: (issue) => faultsIn(issue.input as Condition).join(' '),
      }),
    ])
    .default([]),
  /** Only where this engine, gearbox, transfer case or vehicle is in the build. */
  ofPart: z.string().min(1).max(200).optional(),
  /** What it adds cures a known fault of that part. */
  isFault: z.boolean().optional(),
  whenListed: z.array(z.string().max(80)).max(60).default([]),
  add: z
    .array(
      z.object({
        kind: z.string().min(1).max(80),
        place: z.string().max(40).default('recipe'),
        words: z.string().min(1).max(300),
        quantity: z.number().int().positive().max(10_000).default(1),
        stage: z.enum(STAGES).default('final fit'),
        sort: z.enum(SORTS).default('part'),
        eur: three.default([0, 0, 0]),
        hours: three.default([0, 0, 0]),
      }),
    )
    .min(1)
    .max(60),
})

export type Recipe = z.infer<typeof recipeSchema>

const NO_PARTS: ReadonlySet<string> = new Set()

/** Rows of recipes, in the same shape as the house's own. @param parts what is in the build, by id */
export function rowsOfRecipes(
  recipes: readonly Recipe[],
  pairing: readonly Fact[],
  parts: ReadonlySet<string> = NO_PARTS,
): LineRow[] {
  const said = new Facts(pairing)
  return recipes.flatMap(({ id, when, whenListed, add, ofPart, isFault }) => {
    if (ofPart !== undefined && !parts.has(ofPart)) return []
    const holds: Condition = all(
      ...(Array.isArray(when) ? when.map((one) => leaf(one, said)) : [when]),
      ...whenListed.map((kind) => has(kind)),
    )
    return add.map(
      ({ place, ...row }): LineRow => ({
        ...row,
        // A shop may list under a place of its own.
        place: place as (typeof LINE_PLACES)[number],
        when: [
          {
            if: holds,
            says: isFault ? 'Known fault, from the notes of the shop' : `Recipe of the shop: ${id}`,
          },
        ],
      }),
    )
  })
}

/** What the pairing says is known at once: it holds, or it does not. */
function leaf({ fact, equals }: z.infer<typeof firstForm>[number], said: Facts): Condition {
  const key = factNamed(fact)
  const value = equals === true ? 'yes' : equals === false ? 'no' : String(equals)
  if (key) return is(key, value)
  return said.text(fact as FactKey) === String(equals) ? { all: [] } : { any: [] }
}
