import { z } from 'zod'
import type { NetCost } from '../../core/donors/net-cost.ts'
import type { MatingJudgement } from '../../core/mating/card.ts'
import type { SheetAnswers, SheetStep } from '../../core/sheets/sheet.ts'
import { answersSchema } from '../stored.ts'
import { byName, known, list, named, range, words } from './basics.ts'
import { fieldView } from './catalogue.ts'
import { rowWith } from './rows.ts'
import { trainFigure } from './train-figure.ts'

export const answers: z.ZodType<SheetAnswers> = answersSchema
/** A sheet after answers were joined into it, and whose answers came too late. */
export const joined = z.strictObject({ answers, passedOver: words }).meta({ id: 'JoinedSheet' })
export const sheet = z.strictObject({ answers })

const finding = z.strictObject({ id: z.string(), holds: z.boolean(), words: z.string() })
export const brief = z
  .strictObject({
    answers: z.strictObject({ brief: answers, law: answers, uncut: answers }),
    keeps: list(
      z.strictObject({
        kind: z.string(),
        words: z.string(),
        isKept: z.boolean(),
        adds: words,
        price: range.nullable(),
        hours: range,
      }),
    ),
    findings: list(finding),
    /** The torque wanted in the end, N·m. */
    targetNm: known,
    uncut: z.strictObject({
      asItStands: known,
      repaired: known,
      swapped: range.nullable(),
      words: z.string(),
    }),
    toAsk: z.number(),
  })
  .meta({ id: 'Brief' })

export const recipient = z
  .strictObject({
    recipient: named.nullable(),
    /** What it is drawn from, with the chosen train where there is one. */
    train: trainFigure.nullable(),
    known: byName(fieldView),
    rooms: list(
      z.strictObject({ id: z.string(), words: z.string(), spareMm: known, wantedMm: z.number() }),
    ),
    dropMm: known,
    keep: z.string(),
    answers,
  })
  .meta({ id: 'Recipient' })

const step: z.ZodType<SheetStep> = z.object({
  id: z.string(),
  title: z.string(),
  cautions: words,
  questions: list(
    z.object({
      id: z.string(),
      words: z.string(),
      type: z.enum(['yes-no', 'hit', 'text', 'quantity', 'choice', 'date']),
      unit: z.string().optional() as z.ZodType<SheetStep['questions'][number]['unit']>,
      choices: words.optional(),
      risk: z.string().optional(),
    }),
  ),
})
const place = z.object({ x: z.number(), y: z.number() })
const sweep = z.object({
  tirMm: z.number(),
  offset: place,
  offsetMm: z.number(),
  restMm: z.number(),
})
const judgement: z.ZodType<MatingJudgement> = z.object({
  bore: sweep.nullable(),
  face: sweep.nullable(),
  correction: z
    .object({ move: place, degrees: z.number(), dowelMm: z.number(), leftMm: z.number() })
    .nullable(),
  findings: list(z.object({ code: z.enum(['good', 'acceptable', 'stop']), words: z.string() })),
})
export const matingCard = z
  .strictObject({
    pairing: z.string().nullable(),
    isAutomatic: z.boolean(),
    steps: list(step),
    answers,
    judgement: judgement.nullable(),
  })
  .meta({ id: 'MatingCard' })

const risks = list(z.object({ question: z.string(), words: z.string(), risk: z.string() }))
const netCost: z.ZodType<NetCost> = z
  .object({
    terms: list(
      z.object({
        id: z.enum([
          'price',
          'fetch',
          'strip',
          'repair',
          'missing',
          'selling',
          'disposal',
          'storage',
          'sale',
          'scrap',
        ]),
        words: z.string(),
        how: z.string(),
        minor: z.number(),
      }),
    ),
    netMinor: z.number(),
    uses: words,
    sells: words,
    scraps: words,
  })
  .meta({ id: 'NetCost' })
export const donors = z
  .strictObject({
    currency: z.string(),
    labourRateMinor: z.number(),
    donors: list(
      rowWith('donor', { net: netCost.nullable(), answered: z.number(), risks, absent: words }),
    ),
  })
  .meta({ id: 'Donors' })
export const donorSheet = z
  .strictObject({
    donor: z.strictObject({ id: z.string(), name: z.string(), place: z.string().nullable() }),
    build: z.string(),
    pieces: list(z.strictObject({ question: z.string(), words: z.string() })),
    answers,
    risks,
  })
  .meta({ id: 'DonorSheet' })

export type BriefView = z.output<typeof brief>
export type RecipientView = z.output<typeof recipient>
export type MatingCard = z.output<typeof matingCard>
export type DonorSheet = z.output<typeof donorSheet>
