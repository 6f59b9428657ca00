import { z } from 'zod'
import { factNamed, NAMED_FACTS } from '../core/facts/aliases.ts'
import { FACT_ROWS } from '../core/facts/index.ts'
import { FACT_KEYS } from '../core/needs/from-pairing/facts.ts'
import { recipeSchema } from '../core/needs/recipe.ts'
import { GRADES } from '../core/quantity/grade.ts'
import { list } from './answers/basics.ts'
import { verdict } from './answers/judging.ts'
import { need } from './answers/planning.ts'

const jointSchema = z.object({
  joint: z.string(),
  a: z.string().optional(),
  b: z.string().optional(),
  bare: verdict,
  closed: verdict.optional(),
})

export const planNeedsRequest = z
  .strictObject({
    facts: z
      .array(
        z
          .strictObject({
            key: z.enum([...new Set([...NAMED_FACTS, ...Object.keys(FACT_KEYS)])] as [
              string,
              ...string[],
            ]),
            value: z.union([z.string().max(2000), z.number(), z.boolean()]),
            /** How it is known: heard where nothing is said; an assumed fact only leans. */
            grade: z.enum(GRADES).optional(),
          })
          .superRefine(({ key, value }, ctx) => {
            const fact = factNamed(key)
            const said = typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value)
            const { values } = fact ? FACT_ROWS[fact] : { values: [said] }
            if (!values.includes(said))
              ctx.addIssue({
                code: 'custom',
                path: ['value'],
                message: `${key} is never "${said}". It is one of ${values.join(', ')}.`,
              })
          }),
      )
      .max(400),
    joints: z.array(jointSchema).max(60).optional(),
    recipes: z.array(recipeSchema).max(100).optional(),
  })
  .meta({
    example: {
      facts: [
        { key: 'build.engine', value: 'other' },
        { key: 'gearbox.type', value: 'automatic' },
        { key: 'engine.part', value: 'engine' },
        { key: 'keep.heater', value: true },
      ],
    },
  })

export const planNeedsResponse = z.object({ needs: list(need), folded: list(need) })

const minor = z.number().int().min(-1e12).max(1e12)
const count = z.number().int().positive().max(1e6)
const id = z.string().min(1).max(200)

export const planSourcingRequest = z
  .strictObject({
    currency: z.string().length(3),
    needs: z
      .array(
        z.strictObject({
          id,
          quantity: count,
          optional: z.boolean().optional(),
          penaltyMinor: minor.nonnegative().optional(),
        }),
      )
      .max(1000),
    candidates: z
      .array(
        z.strictObject({
          id,
          need: id,
          source: z.enum(['keep', 'comes', 'shelf', 'buy', 'typed', 'service', 'made']),
          supplier: id.optional(),
          priceMinor: minor,
          orderValueMinor: minor.nonnegative().optional(),
          pack: count.optional(),
          stock: z.number().int().nonnegative().optional(),
          weightG: z.number().int().nonnegative().optional(),
          minutes: z.number().nonnegative().optional(),
          grade: z.string().optional(),
        }),
      )
      .max(20_000),
    bundles: z
      .array(
        z.strictObject({
          id,
          kind: z.enum(['kit', 'donor']),
          supplier: id.optional(),
          priceMinor: minor,
          orderValueMinor: minor.nonnegative().optional(),
          weightG: z.number().int().nonnegative().optional(),
          scrapMinor: minor.optional(),
          items: z
            .array(
              z.strictObject({
                id,
                need: id,
                quantity: count.optional(),
                stripMinor: minor.optional(),
                resaleMinor: minor.optional(),
                held: z.boolean().optional(),
              }),
            )
            .max(500),
        }),
      )
      .max(500),
    suppliers: z
      .array(
        z.strictObject({
          id,
          minimumMinor: minor.nonnegative().optional(),
          shipping: z.array(
            z.strictObject({
              id,
              upToG: z.number().int().positive().optional(),
              fromMinor: minor.nonnegative().optional(),
              chargeMinor: minor.nonnegative(),
            }),
          ),
        }),
      )
      .max(200),
    limits: z
      .strictObject({
        maxSuppliers: z.number().int().nonnegative().optional(),
        maxDonors: z.number().int().nonnegative().optional(),
        banned: z.array(id).optional(),
      })
      .optional(),
    locks: z
      .array(
        z
          .strictObject({
            id,
            way: z.enum(['in', 'out']),
            candidate: id.optional(),
            bundle: id.optional(),
            item: id.optional(),
            supplier: id.optional(),
          })
          .refine(
            (lock) => [lock.candidate, lock.bundle, lock.supplier].filter(Boolean).length === 1,
            'A lock names one candidate, bundle or supplier.',
          )
          .refine((lock) => lock.item === undefined || lock.bundle !== undefined, {
            path: ['item'],
            message: 'A piece is locked with the bundle it is of: name both.',
          }),
      )
      .max(500)
      .optional(),
    timeLimitMs: z.number().int().positive().max(30_000).optional(),
  })
  .superRefine((problem, ctx) => {
    const twice = (list: readonly { id: string }[], path: string): void => {
      const seen = new Set<string>()
      for (const [i, one] of list.entries()) {
        if (seen.has(one.id))
          ctx.addIssue({
            code: 'custom',
            path: [path, i, 'id'],
            message: `"${one.id}" stands twice in ${path}. Give each its own id.`,
          })
        seen.add(one.id)
      }
    }
    twice(problem.needs, 'needs')
    twice(problem.candidates, 'candidates')
    twice(problem.bundles, 'bundles')
    twice(problem.suppliers, 'suppliers')
    const suppliers = new Set(problem.suppliers.map((supplier) => supplier.id))
    problem.candidates.forEach((one, i) => {
      if (one.supplier !== undefined && !suppliers.has(one.supplier))
        ctx.addIssue({
          code: 'custom',
          path: ['candidates', i, 'supplier'],
          message: `There is no supplier "${one.supplier}" in suppliers.`,
        })
    })
    problem.bundles.forEach((one, i) => {
      if (one.supplier !== undefined && !suppliers.has(one.supplier))
        ctx.addIssue({
          code: 'custom',
          path: ['bundles', i, 'supplier'],
          message: `There is no supplier "${one.supplier}" in suppliers.`,
        })
    })
  })
  .meta({
    example: {
      currency: 'EUR',
      needs: [
        { id: 'disc', quantity: 1 },
        { id: 'bolt', quantity: 8 },
      ],
      candidates: [
        { id: 'disc-a', need: 'disc', source: 'buy', supplier: 'north', priceMinor: 9200 },
        { id: 'bolt-a', need: 'bolt', source: 'buy', supplier: 'north', priceMinor: 890, pack: 10 },
        { id: 'bolt-b', need: 'bolt', source: 'buy', supplier: 'south', priceMinor: 110 },
      ],
      bundles: [],
      suppliers: [
        {
          id: 'north',
          shipping: [
            { id: 'post', chargeMinor: 790 },
            { id: 'free', chargeMinor: 0, fromMinor: 10000 },
          ],
        },
        { id: 'south', shipping: [{ id: 'post', chargeMinor: 450 }] },
      ],
      limits: { maxSuppliers: 2 },
    },
  })
