import { z } from 'zod'
import { JOINTS } from '../../core/joints/index.ts'
import { STRIP_PLACES } from '../../core/joints/joint.ts'
import type { JointDescription } from '../../core/joints/judging/describe.ts'
import type { LimitRecord, MissingField, TermRecord, Verdict } from '../../core/joints/verdict.ts'
import type { ClosingSet } from '../../core/pairing/closing.ts'
import type { JointResult } from '../../core/pairing/pairing.ts'
import { METHOD_IDS } from '../../core/quantity/methods.ts'
import { byName, code, grade, known, list, task, words } from './basics.ts'

/** As core reads it: numbers that JSON cannot carry are null. */
const term: z.ZodType<TermRecord> = z.object({
  sign: z.union([z.literal(1), z.literal(-1)]),
  label: z.string(),
  part: z.string(),
  port: z.string(),
  field: z.string(),
  value: known,
  plusMinus: known,
  grade: grade.nullable(),
})
const limit: z.ZodType<LimitRecord> = z.object({
  id: z.string(),
  label: z.string(),
  at: z.string().optional(),
  unit: z.string(),
  terms: list(term),
  value: known,
  plusMinus: known,
  rootSumSquare: known,
  low: known,
  high: known,
  margin: known,
  worstMargin: known,
  loosest: z.object({ part: z.string(), label: z.string(), share: known }).nullable(),
  damage: z.boolean(),
  code,
  words: z.string(),
  pieces: words,
  task: task.optional(),
})
export const missingField: z.ZodType<MissingField> = z
  .object({
    part: z.string(),
    partName: z.string(),
    port: z.string(),
    field: z.string(),
    label: z.string(),
    methods: list(z.enum(METHOD_IDS)),
    minutes: z.number(),
  })
  .meta({ id: 'MissingField' })

export const verdict: z.ZodType<Verdict> = z
  .object({
    joint: z.string(),
    code,
    limits: list(limit),
    stated: z.number(),
    known: z.number(),
    agreed: z.number(),
    outside: z.number(),
    lean: z.enum(['likely', 'doubtful', 'open']),
    missing: list(missingField),
    minutes: z.number(),
    evidence: grade.nullable(),
    fields: list(missingField),
    tasks: list(task),
    pieces: words,
    shown: list(
      z.object({ label: z.string(), value: z.union([z.number(), z.string()]), unit: z.string() }),
    ),
    cautions: words,
  })
  .meta({ id: 'Verdict' })

export const closingSetShape = {
  parts: words,
  closes: z.enum(['yes', 'may']),
  missing: words,
} as const
export const closingSet: z.ZodType<ClosingSet> = z.object(closingSetShape)

export const jointResultShape = {
  id: z.string(),
  joint: z.string(),
  a: z.string(),
  b: z.string(),
  bare: verdict,
  closed: verdict.optional(),
} as const
export const jointResult: z.ZodType<JointResult> = z.object(jointResultShape)

export const stripPlace = z.enum(STRIP_PLACES)
export const drawingId = z.enum(['stacks', 'holes', 'torque line', 'shafts'])
export const method = z.object({ id: z.string(), words: z.string(), plusMinus: z.number() })
const field = z.object({
  port: z.string(),
  field: z.string(),
  label: z.string(),
  unit: z.string(),
  minutes: z.number(),
  methods: list(method),
})
export const jointDescription: z.ZodType<JointDescription> = z
  .object({
    id: z.string(),
    number: z.number(),
    title: z.string(),
    place: z.enum(['coupling', 'vehicle']),
    decides: z.string(),
    strip: stripPlace,
    drawing: drawingId.nullable(),
    cures: byName(z.enum(['face', 'flange', 'pilot', 'instead', 'elsewhere'])),
    limits: list(
      z.object({ id: z.string(), label: z.string(), unit: z.string(), damage: z.boolean() }),
    ),
    reads: list(field),
  })
  .meta({ id: 'Joint', description: `One of ${JOINTS.length} kinds of joint.` })
