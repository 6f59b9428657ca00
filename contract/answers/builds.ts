import { z } from 'zod'
import type { BuildTotals } from '../../core/money/budget.ts'
import { STOPPERS, type Stopper } from '../../core/pairing/stoppers.ts'
import { code, grade, known, list, range, words } from './basics.ts'
import { build } from './rows.ts'

export const totals: z.ZodType<BuildTotals> = z
  .strictObject({
    likely: range,
    middleMinor: z.number(),
    safeMinor: z.number(),
    labour: range,
    openLines: range,
    unpriced: z.number(),
    againstRepair: range.nullable(),
    widest: list(z.strictObject({ words: z.string(), low: z.number(), high: z.number() })),
    currency: z.string(),
    contingency: z.number(),
    likeForLikeMinor: known,
    planMinor: known,
    leftoversMinor: z.number(),
    planStatus: z.string().nullable(),
    planIsCurrent: z.boolean(),
    proven: z.string().nullable(),
    hours: range,
    pairing: z.string().nullable(),
    open: z.number(),
  })
  .meta({ id: 'BuildTotals' })

/** A build at a glance: what it is, what it costs, what is open, what is next. */
export const buildHeader = z
  .strictObject({
    build,
    recipient: z.string().nullable(),
    pairing: z.string().nullable(),
    engineId: z.string().nullable(),
    transmissionId: z.string().nullable(),
    totals: totals.nullable(),
    open: z.strictObject({
      brief: z.number(),
      pairing: z.number(),
      parts: z.number(),
      sourcing: z.number(),
    }),
    next: z.strictObject({ words: z.string(), stage: z.string() }),
  })
  .meta({ id: 'BuildHeader' })

export const stopperSays = z.enum(['yes', 'no', 'unknown'])
const stopperShape = {
  id: z.string(),
  question: z.string(),
  no: z.string(),
  find: z.string(),
  joint: z.string().nullable(),
} as const
export const stopper: z.ZodType<Stopper> = z.object(stopperShape).meta({
  id: 'Stopper',
  description: `One of the ${STOPPERS.length} questions that stop a build.`,
})

export const firstAnswer = z
  .strictObject({
    pairing: z.string().nullable(),
    engineId: z.string().nullable(),
    transmissionId: z.string().nullable(),
    currency: z.string(),
    joints: list(
      z.strictObject({
        joint: z.string(),
        title: z.string(),
        code,
        lean: z.enum(['likely', 'doubtful', 'open']),
        agreed: z.number(),
        stated: z.number(),
        evidence: grade.nullable(),
        missing: z.number(),
        minutes: z.number(),
      }),
    ),
    stoppers: list(
      z.object({
        ...stopperShape,
        says: stopperSays.nullable(),
        saidBy: z.string().nullable(),
        day: z.string().nullable(),
      }),
    ),
    lines: list(
      z.strictObject({
        need: z.string(),
        price: range.nullable(),
        hours: range,
        from: z.enum(['kept', 'typed', 'offers', 'assumed']),
        words: z.string(),
        group: z.string(),
        quantity: z.number(),
        why: z.string(),
      }),
    ),
    parts: range,
    hours: range,
    labour: range,
    total: range,
    unpriced: z.number(),
    toSettle: words,
    measure: list(
      z.strictObject({
        field: z.string(),
        port: z.string(),
        label: z.string(),
        partName: z.string(),
        minutes: z.number(),
        methods: words,
        joints: words,
      }),
    ),
  })
  .meta({ id: 'FirstAnswer' })

const waiting = z.strictObject({ id: z.string(), words: z.string(), waits: z.string() })
export const openLines = list(waiting)

export const budgetPage = z
  .strictObject({
    totals: totals.nullable(),
    lines: list(
      z.strictObject({
        words: z.string(),
        group: z.string(),
        source: z.string(),
        from: z.string(),
        minor: z.number(),
      }),
    ),
    byGroup: list(z.strictObject({ name: z.string(), minor: z.number() })),
    bySource: list(z.strictObject({ name: z.string(), minor: z.number() })),
    open: openLines,
  })
  .meta({ id: 'Budget' })

export type BuildHeader = z.output<typeof buildHeader>
export type FirstAnswer = z.output<typeof firstAnswer>
export type BudgetPage = z.output<typeof budgetPage>
