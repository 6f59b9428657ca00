import { z } from 'zod'
import { standing } from '../market-fields.ts'
import { code, grade, known, list, words } from './basics.ts'
import { rowOf, rowWith } from './rows.ts'

export const report = rowOf('report')
export const kitChoice = rowOf('kitChoice')
export const watched = rowWith('watch', {
  partName: z.string(),
  buildName: z.string().nullable(),
  best: z
    .strictObject({ supplier: z.string(), minor: z.number(), heardOn: z.string().nullable() })
    .nullable(),
  announced: z.boolean(),
  isHad: z.boolean(),
}).meta({ id: 'Watched' })
export type Watched = z.output<typeof watched>
export const watchRow = rowOf('watch')

/** Kits with a piece between engine and gearbox, the best joined first; and the one that was taken. */
export const kitsAtHand = z.strictObject({
  items: list(
    z.strictObject({
      id: z.string(),
      name: z.string(),
      joints: z.number(),
      good: z.number(),
      open: z.number(),
      clashes: z.number(),
      pieces: z.number(),
      /** Pieces of the catalogue that it takes beside its own. */
      beside: z.number(),
    }),
  ),
  choice: kitChoice.nullable(),
})

const wall = z
  .strictObject({ between: z.string(), wallMm: z.number(), wantedMm: z.number() })
  .nullable()
const column = z.strictObject({
  id: z.string(),
  name: z.string(),
  supplier: z.string().nullable(),
  standing,
  priceMinor: known,
  omits: z.string().nullable(),
  note: z.string().nullable(),
  quality: list(
    z.strictObject({ label: z.string(), value: z.string(), from: z.enum(['known', 'said']) }),
  ),
  cautions: words,
  joints: list(
    z.strictObject({
      joint: z.string(),
      title: z.string(),
      code,
      lean: z.enum(['likely', 'open', 'doubtful']),
      evidence: grade.nullable(),
      words: z.string(),
      limit: z
        .strictObject({
          label: z.string(),
          unit: z.string(),
          value: known,
          margin: known,
          worstMargin: known,
        })
        .nullable(),
    }),
  ),
  /** Pieces of the catalogue that close the pairing beside its own. */
  beside: words,
  /** Flywheel forward of where the gearbox had it, mm. */
  depthMm: known,
  /** Axis of the crank to that of the gearbox, mm. */
  offset: z.strictObject({ valueMm: known, plusMinusMm: known, mostMm: known }).nullable(),
  /** Least metal of its plate beside what is wanted there. */
  wall,
  pieces: list(
    z.strictObject({
      id: z.string(),
      name: z.string(),
      kind: z.string(),
      quantity: z.number(),
      wears: z.boolean(),
      hadAgain: z.string().nullable(),
    }),
  ),
  reports: list(
    z.strictObject({
      id: z.string(),
      about: z.enum(['kit', 'part', 'maker']),
      outcome: z.enum(['held', 'failed']),
      what: z.string(),
      howMany: z.number(),
      grade,
      source: z.string().nullable(),
      day: z.string().nullable(),
    }),
  ),
  /** Lines between engine and gearbox: of this kit, from elsewhere, or nobody's yet at what is likely. */
  lines: list(
    z.strictObject({
      need: z.string(),
      words: z.string(),
      from: z.enum(['this kit', 'elsewhere', 'open']),
      source: z.string().nullable(),
      minor: known,
    }),
  ),
  clashes: z.number(),
  bridges: z.number(),
  unmeasured: z.number(),
  /** The best plan with it; what nobody sells at what is likely; the hours; and all three. */
  partsMinor: known,
  openMinor: z.number(),
  hours: z.number(),
  labourMinor: z.number(),
  totalMinor: known,
  status: z.string(),
})
export const kitsCompared = z
  .strictObject({
    currency: z.string(),
    kits: list(column),
    recommended: z.strictObject({ kitId: z.string().nullable(), because: words }),
  })
  .meta({ id: 'KitsCompared' })
export type KitsCompared = z.output<typeof kitsCompared>
