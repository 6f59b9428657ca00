import { z } from 'zod'
import type { BuildTotals } from '../../core/money/budget.ts'
import { STOPPERS, type Stopper } from '../../core/pairing/stoppers.ts'
import { METHOD_IDS } from '../../core/quantity/methods.ts'
import { code, grade, known, list, range, words } from './basics.ts'
import { build } from './rows.ts'

export const totals: z.ZodType<BuildTotals> = z
  .strictObject({
    currency: z.string(),
    likely: range,
    middleMinor: z.number(),
    outer: range,
    dots: list(z.number()),
    hours: range,
    hoursMiddle: z.number(),
    labour: range,
    openLines: range,
    unpriced: z.number(),
    againstRepair: range.nullable(),
    drives: list(
      z.strictObject({ words: z.string(), fact: z.string().nullable(), spreadMinor: z.number() }),
    ),
    settled: z.number(),
    lines: z.number(),
    open: z.number(),
    questions: z.number(),
    contingency: z.number(),
    contingencyMinor: z.number(),
    committedMinor: z.number(),
    likeForLikeMinor: known,
    planMinor: known,
    leftoversMinor: z.number(),
    planStatus: z.string().nullable(),
    planIsCurrent: z.boolean(),
    proven: z.string().nullable(),
    pairing: z.string().nullable(),
  })
  .meta({ id: 'BuildTotals' })

/** What stops a build until it is answered. */
const blocker = z.strictObject({ id: z.string(), words: z.string(), why: z.string() })

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
      known: z.number(),
      pairing: z.number(),
      parts: z.number(),
      sourcing: z.number(),
    }),
    blockers: list(blocker),
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

/** A fact that is not known, as it is asked. */
export const question = z
  .strictObject({
    key: z.string(),
    asks: z.string(),
    found: z.string().nullable(),
    values: words,
    assumed: z.string().nullable(),
    spreadMinor: z.number(),
    lines: list(z.strictObject({ id: z.string(), words: z.string() })),
  })
  .meta({ id: 'Question' })

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
    /** Lines by how they stand. */
    counts: z.strictObject({
      yes: z.number(),
      leansYes: z.number(),
      open: z.number(),
      folded: z.number(),
      assumed: z.number(),
    }),
    totals: totals.nullable(),
    /** Facts that decide most, dearest first, with what they may move. */
    questions: list(question),
    /** What stops the build. */
    blockers: list(blocker),
    measure: list(
      z.strictObject({
        field: z.string(),
        port: z.string(),
        label: z.string(),
        partName: z.string(),
        minutes: z.number(),
        methods: list(z.enum(METHOD_IDS)),
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
        id: z.string(),
        words: z.string(),
        group: z.string(),
        stage: z.string(),
        source: z.string(),
        from: z.string(),
        outcome: z.enum(['yes', 'leans yes', 'open', 'folded']),
        low: known,
        minor: known,
        high: known,
        hours: z.number(),
      }),
    ),
    byGroup: list(z.strictObject({ name: z.string(), minor: z.number() })),
    bySource: list(z.strictObject({ name: z.string(), minor: z.number() })),
    byStage: list(z.strictObject({ name: z.string(), minor: z.number() })),
    open: openLines,
  })
  .meta({ id: 'Budget' })

export type BuildHeader = z.output<typeof buildHeader>
export type FirstAnswer = z.output<typeof firstAnswer>
export type BudgetPage = z.output<typeof budgetPage>
