import { z } from 'zod'
import { PLANS } from '../core/identity/check-number.ts'
import { MARKS, TARGETS } from '../core/identity/claims.ts'
import { FOLLOWS } from '../core/identity/follower.ts'
import { SUFFIX_KINDS } from '../core/identity/number-rule.ts'
import { STEP_KINDS, VERDICT_WORDS } from '../core/identity/steps.ts'
import { GRADES } from '../core/quantity/grade.ts'
import { list, words } from './answers/basics.ts'
import { numberRule } from './issuer-rule.ts'

const text = z.string().max(120)
const name = z.string().trim().min(1).max(120)
const written = { issuer: name, number: z.string().trim().min(1).max(120) }
const count = z.number().int().positive().max(1_000_000)
/** A year, a month or a day. */
export const partialDate = z
  .string()
  .max(10)
  .regex(
    /^\d{4}(-\d{2}(-\d{2})?)?$/,
    'Write a year, a month or a day: 2004, 2004-03 or 2004-03-15.',
  )
const year = z.number().int().min(1880).max(2200)
const grade = z.enum(GRADES)

export const condition = z.strictObject({
  key: name,
  is: z.array(text).max(60).readonly().optional(),
  not: z.array(text).max(60).readonly().optional(),
  from: z.number().optional(),
  to: z.number().optional(),
})
const target = z.strictObject({
  family: name,
  generations: z.array(name).max(60).readonly().optional(),
})
/** Where a claim holds. */
export const where = z
  .strictObject({
    targets: z
      .strictObject({
        vehicle: target.optional(),
        engine: target.optional(),
        transmission: target.optional(),
      })
      .optional(),
    from: partialDate.optional(),
    to: partialDate.optional(),
    yearFrom: year.optional(),
    yearTo: year.optional(),
    serial: z
      .strictObject({
        series: z.string().max(40).optional(),
        from: z.number().int().nonnegative().optional(),
        to: z.number().int().nonnegative().optional(),
      })
      .optional(),
    conditions: z.array(condition).max(40).readonly().optional(),
    do: z.array(z.string().max(400)).max(20).readonly().optional(),
  })
  .meta({ id: 'NumberWhere' })

const claim = {
  id: name,
  grade: grade.optional(),
  source: z.string().max(400).optional(),
  where: where.optional(),
}
const counted = z.strictObject({ ...written, quantity: count.optional() })
const MOST_ROWS = 50_000

const catalogue = z.strictObject({
  issuers: z
    .array(z.strictObject({ id: name, rule: numberRule.optional() }))
    .max(5000)
    .default([]),
  numbers: z
    .array(z.strictObject({ ...claim, ...written, part: name, mark: z.enum(MARKS).optional() }))
    .max(MOST_ROWS)
    .optional(),
  supersessions: z
    .array(
      z.strictObject({
        ...claim,
        old: z.array(counted).min(1).max(60),
        new: z.array(counted).min(1).max(60),
        back: z.enum(['yes', 'no', 'unsaid']).optional(),
        since: partialDate.optional(),
        until: partialDate.optional(),
      }),
    )
    .max(MOST_ROWS)
    .optional(),
  interchange: z
    .array(
      z.strictObject({
        ...claim,
        serves: z.enum(['yes', 'no']).optional(),
        members: z
          .array(
            z.strictObject({
              ...written,
              way: z.enum(['both', 'serves', 'served']).optional(),
              where: where.optional(),
            }),
          )
          .max(200),
      }),
    )
    .max(MOST_ROWS)
    .optional(),
  applications: z
    .array(z.strictObject({ ...claim, ...written, fits: z.enum(['yes', 'no']).optional() }))
    .max(MOST_ROWS)
    .optional(),
  generations: z
    .array(
      z.strictObject({
        target: z.enum(TARGETS),
        family: name,
        id: name,
        from: partialDate.optional(),
        to: partialDate.optional(),
        conditions: z.array(condition).max(40).optional(),
        grade: grade.optional(),
        source: z.string().max(400).optional(),
      }),
    )
    .max(5000)
    .optional(),
})

const askedTarget = z.strictObject({
  family: name,
  generation: name.optional(),
  built: partialDate.optional(),
  modelYear: year.optional(),
  serial: z.string().max(60).optional(),
  grade: grade.optional(),
})
const fact = z.strictObject({
  value: z.union([z.string().max(200), z.number(), z.boolean()]),
  grade: grade.optional(),
})

export const checkNumberRequest = z
  .strictObject({
    want: z
      .array(
        z.strictObject({
          ...written,
          mark: z.enum(MARKS).optional(),
          grade: grade.optional(),
          quantity: count.default(1),
          where: where.optional(),
        }),
      )
      .max(60)
      .optional(),
    have: z
      .array(
        z.strictObject({ ...written, mark: z.enum(MARKS).optional(), grade: grade.optional() }),
      )
      .max(200),
    application: z
      .strictObject({
        vehicle: askedTarget.optional(),
        engine: askedTarget.optional(),
        transmission: askedTarget.optional(),
        facts: z.record(z.string().max(120), fact).optional(),
      })
      .optional(),
    on: z
      .string()
      .regex(/^\d{4}-\d{2}-\d{2}$/, 'Write a day: 2026-03-15.')
      .optional(),
    follow: z.enum(FOLLOWS).optional(),
    catalogue: catalogue.optional(),
  })
  .meta({
    example: {
      want: [{ issuer: 'MLD', number: '417-20', grade: 'maker' }],
      have: [{ issuer: 'MLD', number: '41726', grade: 'catalogue' }],
      catalogue: {
        issuers: [{ id: 'MLD' }],
        supersessions: [
          {
            id: 'row',
            old: [{ issuer: 'MLD', number: '41720' }],
            new: [{ issuer: 'MLD', number: '41726' }],
            back: 'no',
            grade: 'maker',
          },
        ],
      },
    },
  })

const plainNumber = z.strictObject({ issuer: z.string(), number: z.string() })
const countedNumber = plainNumber.extend({ quantity: z.number() })
const answer = {
  verdict: z.enum(VERDICT_WORDS),
  plan: z.enum(PLANS),
  evidence: grade.nullable(),
  path: list(
    z.strictObject({
      kind: z.enum(STEP_KINDS),
      from: list(plainNumber),
      to: list(plainNumber),
      row: z.string(),
      grade,
    }),
  ),
  use: list(countedNumber),
  missing: list(countedNumber),
  surplus: list(countedNumber),
  open: words,
  todo: words,
  cautions: words,
}
export const checkNumberResponse = z
  .strictObject({
    ...answer,
    others: list(z.strictObject(answer)),
    current: list(plainNumber),
    didYouMean: list(plainNumber),
  })
  .meta({ id: 'NumberVerdict' })

export const normaliseRequest = z
  .strictObject({
    numbers: z.array(z.strictObject(written)).min(1).max(5000),
    issuers: z
      .array(z.strictObject({ id: name, rule: numberRule.optional() }))
      .max(5000)
      .optional(),
  })
  .meta({
    example: {
      numbers: [
        { issuer: 'MLD', number: 'mld 417.20' },
        { issuer: 'gtin', number: '2000000000015' },
      ],
    },
  })
export const normaliseResponse = z.strictObject({
  numbers: list(
    z.strictObject({
      key: z.string(),
      core: z.string(),
      suffixes: list(
        z.strictObject({ kind: z.enum(SUFFIX_KINDS), text: z.string(), decides: z.boolean() }),
      ),
      fitsShape: z.boolean(),
      check: z.enum(['ok', 'fails', 'none']),
      notes: words,
      didYouMean: list(plainNumber),
      modelYears: z.array(z.number()).readonly().optional(),
    }),
  ),
})
