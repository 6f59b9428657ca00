import { z } from 'zod'
import type { ShaftSearch, ShaftWanted } from '../../core/driveline/shaft-search.ts'
import type { JointHardware } from '../../core/fasteners/bolt-set.ts'
import { COUPLING_KINDS } from '../../core/pairing/coupling.ts'
import type { TorqueStep } from '../../core/pairing/torque-line.ts'
import { FIGURES } from '../../core/pairing/working.ts'
import type { PlateDesign } from '../../core/patterns/plate.ts'
import { byName, code, dowel, grade, hole, known, list, point, words } from './basics.ts'
import { closingSetShape, drawingId, jointResultShape } from './judging.ts'
import { road } from './road.ts'
import { jointClaim } from './rows.ts'
import { engineFigure, gearboxFigure, trainFigure } from './train-figure.ts'

const range = z.strictObject({ low: z.number(), high: z.number() })
/** One letter a joint, in the order of `joints`: f fits, w work, b bridge, u unmeasured, c clash, - does not apply. */
const letters = z.string().max(60)
/** Every engine with every gearbox and transfer case by bare codes, the most promising first; `of` counts them all. */
export const pairings = z
  .strictObject({
    school: z.enum(['keep', 'set-back']),
    currency: z.string(),
    /** Minor units of the build's money for a euro; null where no rate is known. */
    euroMinor: known,
    /** What the like-for-like repair costs. */
    repairMinor: known,
    /** Limits of the brief: minor units, hours. */
    limits: z.strictObject({
      money: known,
      hours: known,
      boltIn: z.boolean(),
      uncut: z.boolean(),
    }),
    of: z.number(),
    joints: words,
    parts: list(
      z.strictObject({
        id: z.string(),
        name: z.string(),
        family: z.string().nullable(),
        /** Of a gearbox: manual or automatic. */
        type: z.string().nullable(),
        /** Where it could come from: the vehicle itself, our shelf, a donor that is known, or elsewhere. */
        at: z.enum(['vehicle', 'shelf', 'donor', 'elsewhere']),
        /** What it is drawn from. */
        engine: engineFigure.nullable(),
        gearbox: gearboxFigure.nullable(),
      }),
    ),
    rows: list(
      z.strictObject({
        /** Places in `parts`. */
        engine: z.number(),
        transmission: z.number(),
        /** Another transfer case than the build's own. */
        transfer: known,
        chosen: z.boolean(),
        codes: letters,
        /** Weakest grade leaned on, a digit a joint from 0 assumed to 5 fitted. */
        grades: letters,
        /** Where a joint leans to: l likely, d doubtful, o open. */
        leans: letters,
      }),
    ),
  })
  .meta({ id: 'Pairings' })

const figures = z
  .strictObject({
    engineId: z.string(),
    transmissionId: z.string(),
    transferId: z.string().nullable(),
    codes: letters,
    /** With the set in that closes it; - where it is as it was. */
    closed: letters,
    grades: letters,
    /** Joints that a claim answers, and those that one disagrees with. */
    claimed: words,
    conflicting: words,
    open: z.number(),
    /** Questions that stop builds and are not answered. */
    stoppers: z.number(),
    minutes: z.number(),
    /** Of the whole list: one build in ten takes less than the first, one in ten more than the second. */
    hours: range,
    /** The same of its money with the work, minor units; null where no rate is known. */
    money: range.extend({ likely: z.number() }).nullable(),
    /** Hours of its joints alone, and their tasks that cannot be undone, or are welded or machined. */
    jointHours: z.number(),
    cuts: z.number(),
    makes: z.number(),
    /** The least the pieces that close it cost; null where one has no price. */
    piecesMinor: known,
    closedBy: words,
    marginNm: known,
    /** What the new train weighs more than the old one, kg, and how much of it stands on the front axle. */
    massChangeKg: known,
    frontChangeKg: known,
    /** Engine speed in top at 80 km/h. */
    cruiseRpm: known,
    /** The fastest it holds a hill of 6 % in top, km/h; 0 where it does not. */
    hillTopKmh: known,
    toHundredS: known,
  })
  .meta({ id: 'PairingFigures' })
const workingLine = z.strictObject({
  words: z.string(),
  note: z.string(),
  low: known,
  value: known,
  high: known,
  /** `minor` for the build's money, else a unit. */
  unit: z.string(),
})
/** How one figure of a pairing came about. */
export const pairingWorking = z
  .strictObject({
    figure: z.enum(FIGURES),
    title: z.string(),
    method: z.string(),
    lines: list(workingLine),
    result: workingLine,
  })
  .meta({ id: 'PairingWorking' })

/** As many as were ready soon, in the order asked for; the rest is asked for again. */
export const pairingFigures = z.strictObject({ items: list(figures) })

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
      /** Its id, where it is another than the build's own. */
      other: z.string().nullable(),
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

export type Pairings = z.output<typeof pairings>
export type PairingFigures = z.output<typeof figures>
export type PairingWorking = z.output<typeof pairingWorking>
export type PairingDetail = z.output<typeof pairingDetail>
export type JointDetail = z.output<typeof jointDetail>
export type PlateView = z.output<typeof plate>

/** A joint of the chosen pairing that a newer program judges otherwise from the same claims. */
export const changedCode = z.strictObject({ joint: z.string(), was: code, is: code })
export type ChangedCode = z.output<typeof changedCode>
