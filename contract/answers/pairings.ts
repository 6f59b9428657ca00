import { z } from 'zod'
import type { ShaftSearch, ShaftWanted } from '../../core/driveline/shaft-search.ts'
import type { JointHardware } from '../../core/fasteners/bolt-set.ts'
import { COUPLING_KINDS } from '../../core/pairing/coupling.ts'
import type { TorqueStep } from '../../core/pairing/torque-line.ts'
import type { PlateDesign } from '../../core/patterns/plate.ts'
import { byName, code, dowel, grade, hole, known, list, point, words } from './basics.ts'
import { closingSetShape, drawingId, jointResultShape } from './judging.ts'
import { road } from './road.ts'
import { jointClaim } from './rows.ts'
import { trainFigure } from './train-figure.ts'

const pairingRow = z
  .strictObject({
    engineId: z.string(),
    engine: z.string(),
    transmissionId: z.string(),
    transmission: z.string(),
    recipients: words,
    chosen: z.boolean(),
    joints: list(
      z.strictObject({
        joint: z.string(),
        code,
        closed: code.nullable(),
        evidence: grade.nullable(),
        missing: z.number(),
        claimed: z.boolean(),
        conflicts: z.number(),
      }),
    ),
    open: z.number(),
    minutes: z.number(),
    hours: z.number(),
    /** The least the pieces that close it cost, in the build's money; null where one has no price. */
    piecesMinor: known,
    closedBy: words,
    marginNm: known,
    /** What the new train weighs more than the old one, kg. */
    massChangeKg: known,
    /** Engine speed in top at 80 km/h. */
    cruiseRpm: known,
    /** The fastest it holds a hill of 6 % in top, km/h; 0 where it does not. */
    hillTopKmh: known,
    toHundredS: known,
  })
  .meta({ id: 'PairingRow' })
/** The most promising; `of` counts every engine with every transmission. */
export const pairings = z.strictObject({ items: list(pairingRow), of: z.number() })

const hardware: z.ZodType<JointHardware> = z.object({
  bolts: list(
    z.object({
      words: z.string(),
      count: known,
      thread: z.string(),
      pitchMm: known,
      boltClass: z.string() as z.ZodType<JointHardware['bolts'][number]['boltClass']>,
      gripMm: known,
      lengthMm: known,
      engagedMm: z.number(),
      tightness: z.string(),
      drillMm: known,
      edgeMm: z.number(),
      wallMm: z.number(),
    }),
  ),
  fits: list(
    z.object({
      words: z.string(),
      leastMm: z.number(),
      greatestMm: z.number(),
      nominal: z.string().nullable(),
    }),
  ),
})

const jointDetail = z
  .strictObject({
    ...jointResultShape,
    title: z.string(),
    decides: z.string(),
    number: z.number(),
    drawing: drawingId.nullable(),
    hardware,
    answer: z
      .strictObject({ run: z.enum(['bare', 'closed']), code, evidence: grade, claim: jointClaim })
      .nullable(),
    conflicts: list(jointClaim),
  })
  .meta({ id: 'JointDetail' })

const face = z.strictObject({
  name: z.string(),
  holes: list(hole),
  dowels: list(dowel),
  outline: list(point),
})
const design: z.ZodType<PlateDesign> = z.object({
  turnDeg: z.number(),
  spareMm: z.number(),
  thin: list(z.object({ a: z.string(), b: z.string(), wallMm: z.number(), wantedMm: z.number() })),
  outside: words,
  thicknessMm: known,
  kind: z.enum(['plain', 'turned', 'stepped']),
  because: z.string(),
  tasks: words,
})
const plate = z
  .strictObject({
    engine: face,
    gearbox: face,
    match: z.strictObject({
      met: list(z.object({ a: z.number(), b: z.number(), residual: z.number(), play: z.number() })),
      missingA: list(z.number()),
      missingB: list(z.number()),
      /** Holes without a partner: side, index, and how far the nearest of the other face stands off, mm. */
      odd: list(z.object({ face: z.enum(['a', 'b']), index: z.number(), offMm: z.number() })),
      offsetMm: z.number(),
      turnDeg: z.number(),
      placement: z.object({ turn: z.number(), x: z.number(), y: z.number() }),
      worstMm: known,
    }),
    design,
  })
  .meta({ id: 'Plate' })

const torqueStep: z.ZodType<TorqueStep> = z.object({
  part: z.string(),
  demandNm: known,
  isCapped: z.boolean(),
  ratingNm: known,
})

export const pairingDetail = z
  .strictObject({
    engine: z.string(),
    transmission: z.string(),
    engineName: z.string(),
    transmissionName: z.string(),
    engineFamily: z.string().nullable(),
    transmissionFamily: z.string().nullable(),
    chosenPairing: z.boolean(),
    joints: list(jointDetail),
    closedBy: list(z.object(closingSetShape)),
    sets: list(z.strictObject({ ...closingSetShape, names: words, kits: words })),
    chosen: words,
    chosenNames: words,
    counts: byName(z.number()),
    notes: words,
    torqueLine: list(torqueStep),
    plate: plate.nullable(),
    transfer: z.strictObject({
      partId: z.string().nullable(),
      name: z.string().nullable(),
      isOffered: z.boolean(),
    }),
    coupling: list(
      z.strictObject({
        kind: z.enum(COUPLING_KINDS),
        words: z.string(),
        partId: z.string().nullable(),
        name: z.string().nullable(),
      }),
    ),
    train: trainFigure,
    road,
    columns: list(
      z.strictObject({
        id: z.string(),
        short: z.string(),
        title: z.string(),
        number: z.number(),
      }),
    ),
  })
  .meta({ id: 'Pairing' })

const wanted: z.ZodType<ShaftWanted> = z.object({
  inner: z.string(),
  outer: z.string(),
  lengthMm: z.number(),
  withinMm: z.number(),
})
const search: z.ZodType<ShaftSearch> = z.object({
  options: list(
    z.object({
      kind: z.enum(['off the shelf', 'custom']),
      halves: words,
      lengthMm: z.number(),
      overlapMm: known,
      priceMinor: known,
      words: z.string(),
    }),
  ),
  tried: z.number(),
  refused: z.object({
    'inner end': z.number(),
    'outer end': z.number(),
    bar: z.number(),
    length: z.number(),
  }),
})
export const shafts = z
  .strictObject({
    shafts: list(
      z.strictObject({
        name: z.string(),
        kind: z.enum(['propshaft', 'drive-shaft']),
        wanted: wanted.nullable(),
        unknown: z.string().nullable(),
        search: search.nullable(),
      }),
    ),
    names: byName(z.string()),
    currency: z.string(),
  })
  .meta({ id: 'Shafts' })

export type PairingRow = z.output<typeof pairingRow>
export type PairingDetail = z.output<typeof pairingDetail>
export type JointDetail = z.output<typeof jointDetail>
export type PlateView = z.output<typeof plate>

/** A joint of the chosen pairing that a newer program judges otherwise from the same claims. */
export const changedCode = z.strictObject({ joint: z.string(), was: code, is: code })
export type ChangedCode = z.output<typeof changedCode>
