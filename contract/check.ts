import { z } from 'zod'
import { list, words } from './answers/basics.ts'
import { closingSet, jointResult, verdict } from './answers/judging.ts'
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

export const checkPairingResponse = z.object({
  joints: list(jointResult),
  closedBy: list(closingSet),
  notes: words,
})
export const checkJointResponse = z.object({ applies: z.boolean(), verdict: verdict.nullable() })
