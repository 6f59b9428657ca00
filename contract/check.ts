import { z } from 'zod'
import { CODES } from '../core/joints/code.ts'
import { limitsSchema, tolerancesSchema, wirePartSchema, wirePortSchema } from './wire.ts'

const contextSchema = z.strictObject({
  stack: z.array(wirePartSchema).max(12).optional(),
  recipient: wirePartSchema.optional(),
  placement: z.enum(['keep', 'set-back']).optional(),
  tolerances: tolerancesSchema.optional(),
  limits: limitsSchema.optional(),
})

export const checkJointRequest = z
  .strictObject({
    joint: z.union([z.string(), z.number().int()]),
    a: z.array(wirePortSchema).max(60),
    b: z.array(wirePortSchema).max(60),
    context: contextSchema.optional(),
  })
  .meta({
    example: {
      joint: 'pilot',
      a: [
        {
          kind: 'pilot-bore',
          slot: 'crank',
          fields: {
            finished: { value: true, grade: 'measured' },
            boreMm: { value: 25, method: 'micrometer', grade: 'measured' },
          },
        },
      ],
      b: [
        {
          kind: 'pilot-piece',
          fields: {
            type: { value: 'bush', grade: 'maker' },
            outerMm: { value: 25.02, grade: 'maker' },
            boreMm: { value: 15.05, grade: 'maker' },
          },
        },
        {
          kind: 'input-shaft',
          fields: { noseMm: { value: 15, method: 'micrometer', grade: 'measured' } },
        },
      ],
    },
  })

export const checkPairingRequest = z
  .strictObject({
    engine: wirePartSchema,
    transmission: wirePartSchema,
    transfer: wirePartSchema.optional(),
    coupling: z.array(wirePartSchema).max(20).optional(),
    recipient: wirePartSchema.optional(),
    placement: z.enum(['keep', 'set-back']).optional(),
    parts: z.array(wirePartSchema).max(300).optional(),
    tolerances: tolerancesSchema.optional(),
    limits: limitsSchema.optional(),
  })
  .meta({
    example: {
      engine: {
        id: 'engine',
        kind: 'engine',
        ports: [
          {
            kind: 'engine-output',
            fields: {
              peakTorqueNm: { value: 160, grade: 'maker' },
              redlineRpm: { value: 5800, grade: 'maker' },
            },
          },
        ],
      },
      transmission: {
        id: 'box',
        kind: 'transmission',
        ports: [
          { kind: 'ratios', fields: { type: { value: 'manual', grade: 'maker' } } },
          {
            kind: 'ratings',
            fields: {
              torqueNm: { value: 220, grade: 'maker' },
              reference: { value: 'engine', grade: 'maker' },
              basis: { value: 'nominal', grade: 'maker' },
            },
          },
        ],
      },
      limits: { use: 'delivery' },
    },
  })

const nullable = z.number().nullable()
const missingSchema = z.object({
  part: z.string(),
  partName: z.string(),
  port: z.string(),
  field: z.string(),
  label: z.string(),
  methods: z.array(z.string()),
  minutes: z.number(),
})
const taskSchema = z.object({
  id: z.string(),
  words: z.string(),
  hours: z.number(),
  skills: z.array(z.string()),
  reversible: z.boolean(),
  caution: z.string().optional(),
})

export const verdictSchema = z
  .object({
    joint: z.string(),
    code: z.enum(CODES),
    limits: z.array(
      z.object({
        id: z.string(),
        label: z.string(),
        at: z.string().optional(),
        unit: z.string(),
        terms: z.array(
          z.object({
            sign: z.union([z.literal(1), z.literal(-1)]),
            label: z.string(),
            part: z.string(),
            port: z.string(),
            field: z.string(),
            value: nullable,
            plusMinus: nullable,
            grade: z.string().nullable(),
          }),
        ),
        value: nullable,
        plusMinus: nullable,
        rootSumSquare: nullable,
        low: nullable,
        high: nullable,
        margin: nullable,
        worstMargin: nullable,
        damage: z.boolean(),
        code: z.enum(CODES),
        words: z.string(),
        pieces: z.array(z.string()),
        task: taskSchema.optional(),
      }),
    ),
    stated: z.number(),
    known: z.number(),
    agreed: z.number(),
    outside: z.number(),
    lean: z.enum(['likely', 'doubtful', 'open']),
    missing: z.array(missingSchema),
    minutes: z.number(),
    evidence: z.string().nullable(),
    fields: z.array(missingSchema),
    tasks: z.array(taskSchema),
    pieces: z.array(z.string()),
    shown: z.array(
      z.object({ label: z.string(), value: z.union([z.number(), z.string()]), unit: z.string() }),
    ),
    cautions: z.array(z.string()),
  })
  .meta({ id: 'Verdict' })

export const closingSetSchema = z.object({
  parts: z.array(z.string()),
  closes: z.enum(['yes', 'may']),
  missing: z.array(z.string()),
})
export const jointResultSchema = z.object({
  id: z.string(),
  joint: z.string(),
  a: z.string(),
  b: z.string(),
  bare: verdictSchema,
  closed: verdictSchema.optional(),
})
export const checkPairingResponse = z.object({
  joints: z.array(jointResultSchema),
  closedBy: z.array(closingSetSchema),
  notes: z.array(z.string()),
})
export const checkJointResponse = z.object({
  applies: z.boolean(),
  verdict: verdictSchema.nullable(),
})
