import { z } from 'zod'
import { KEPT_ASSEMBLIES } from '../core/brief/must-still-work.ts'
import { isTimeZone } from '../core/day.ts'
import { jointNamed } from '../core/joints/index.ts'
import { TOLERANCES } from '../core/joints/tolerances.ts'
import { kitQuality } from '../core/kits/quality.ts'
import { isCatalogueKind } from '../core/needs/catalogue-kinds.ts'
import { LINE_PLACES, OWN_STATES, SORTS, STAGES } from '../core/needs/line.ts'
import { recipeSchema } from '../core/needs/recipe.ts'
import { COUPLING_KINDS } from '../core/pairing/coupling.ts'
import { isStopper } from '../core/pairing/stoppers.ts'
import { WEIGHTS } from '../core/pairing/weigh.ts'
import type { FieldWords } from '../core/ports/field.ts'
import { isPortKind, PORT_KINDS } from '../core/ports/index.ts'
import { GRADES } from '../core/quantity/grade.ts'
import { METHODS } from '../core/quantity/methods.ts'
import { CONTROLS_SAID, NO_CONTROLS } from '../core/quantity/plain-text.ts'
import { UNIT_CHOICES } from '../core/quantity/units.ts'
import { DECISION_ACTS } from '../core/sourcing/decision.ts'
import { issuerRule } from './issuer-rule.ts'
import { keptInput } from './kept.ts'
import { feed, returnDays, standing } from './market-fields.ts'
import { partialDate } from './numbers.ts'
import { offerList } from './offer-list.ts'
import { pairingReasons } from './pairing-reasons.ts'
import { keptPlan } from './sourced-plan.ts'
import { NUMBER_ROWS } from './stored-numbers.ts'
import {
  amount,
  count,
  currencySchema,
  day,
  hours,
  id,
  line,
  minor,
  name,
  needId,
  portId,
  sourceId,
  text,
  year,
} from './text.ts'

/**
 * Each table's row as it is stored and as a build document carries it: the same kinds, ranges and lengths as where it is
 * typed. Version and history stay out. What is read from a file or from the database is held against this.
 */

const grade = z.enum(GRADES)
const rate = z.number().positive('A rate is more than 0.').max(1e9)
const share = z.number().min(0).max(1)
const tax = z.number().min(0).max(1, 'Write 21 % as 0.21.')
const method = z
  .string()
  .max(60)
  .refine((one) => Object.hasOwn(METHODS, one), 'Not a method that is known.')

export const answersSchema = z.record(
  z.string().min(1).max(200),
  z.strictObject({
    value: z.string().max(2000),
    at: z.iso.datetime('Say when it was answered, in UTC.'),
    by: z.string().max(120).nullable(),
    method: z.string().max(60).optional(),
  }),
)
const answers = answersSchema.refine(
  (one) => Object.keys(one).length <= 5000,
  'More answers than any sheet asks.',
)

/** Sizes of paper a shop prints on. */
export const PAPERS = ['A4', 'Letter'] as const

const settingValues = {
  paper: z.enum(PAPERS),
  weights: z
    .record(z.string().max(20), z.number().min(0).max(100_000))
    .refine(
      (one) => Object.keys(one).every((key) => Object.hasOwn(WEIGHTS, key)),
      'Not a weight that is known.',
    ),
  units: z
    .record(z.string().max(20), z.string().max(20))
    .refine(
      (units) =>
        Object.entries(units).every(
          ([stored, shown]) =>
            Object.hasOwn(UNIT_CHOICES, stored) &&
            (UNIT_CHOICES as Record<string, readonly string[]>)[stored]!.includes(shown),
        ),
      'Not a unit that it can be shown in.',
    ),
  timeZone: z.string().max(60).refine(isTimeZone, 'Not a time zone that is known.'),
  tolerances: z
    .record(z.string().max(60), z.number().finite())
    .refine(
      (one) => Object.keys(one).every((key) => Object.hasOwn(TOLERANCES, key)),
      'Not a tolerance that is known.',
    ),
}
const setting = z
  .strictObject({
    id: z.enum(['units', 'tolerances', 'timeZone', 'paper', 'weights']),
    value: z.unknown(),
  })
  .superRefine((row, ctx) => {
    for (const issue of settingValues[row.id]?.safeParse(row.value).error?.issues ?? [])
      ctx.addIssue({ code: 'custom', path: ['value', ...issue.path], message: issue.message })
  })

const port = z
  .strictObject({
    id: portId,
    partId: id,
    kind: z.string().max(60).refine(isPortKind, 'Not a kind of port.'),
    slot: z.string().min(1).max(60),
    looks: z.enum(['forward', 'rearward']).nullish(),
  })
  .refine((one) => one.id.startsWith(`${one.partId}/${one.kind}/`), {
    path: ['id'],
    message: 'A port is called part/kind/slot.',
  })

const claim = z
  .strictObject({
    id,
    portId,
    field: z.string().min(1).max(60),
    value: z.unknown(),
    plusMinus: z.number().nonnegative().nullish(),
    grade,
    method: method.nullish(),
    source: text.nullish(),
    saidBy: text.nullish(),
    day: day.nullish(),
    specimenId: id.nullish(),
    typed: z.string().max(20_000).nullish(),
    /** Who struck it out, why and when: it is kept, and never used. */
    struckBy: text.nullish(),
    struckWhy: text.nullish(),
    struckDay: day.nullish(),
  })
  .superRefine((row, ctx) => {
    const kind = row.portId.split('/')[1] ?? ''
    const words =
      isPortKind(kind) && Object.hasOwn(PORT_KINDS[kind].fields, row.field)
        ? (PORT_KINDS[kind].fields as Record<string, FieldWords<unknown>>)[row.field]!
        : null
    if (!words)
      return ctx.addIssue({
        code: 'custom',
        path: ['field'],
        message: `A ${kind} has no field "${row.field}".`,
      })
    const checked = words.schema.safeParse(row.value)
    if (!checked.success)
      ctx.addIssue({
        code: 'custom',
        path: ['value'],
        message: `${words.label}: ${checked.error.issues[0]?.message ?? 'cannot be read'}`,
      })
  })

const money = { currency: currencySchema }
const place = text.nullish()

export const STORED_ROWS = {
  setting,
  person: z.strictObject({ id, name, decimal: z.enum(['ask', 'point', 'comma']) }),
  issuer: z.strictObject({
    id,
    name,
    upper: z.boolean(),
    noise: z.string().max(10),
    /** What else there is to its numbers; null where nothing is. */
    rule: issuerRule.nullish(),
  }),
  supplier: z.strictObject({
    id,
    name,
    place,
    ...money,
    minimumMinor: amount,
    shippingMinor: amount,
    freeOverMinor: amount.nullish(),
    /** How its list is read. */
    offerList: offerList.nullish(),
    /** Where its prices are fetched, and the day all of them last were. */
    feed: feed.nullish(),
    feedReadOn: day.nullish(),
    /** Days in which what was bought is taken back. */
    returnDays,
  }),
  rate: z
    .strictObject({
      id,
      fromCurrency: currencySchema,
      toCurrency: currencySchema,
      rate,
      day,
      source: text.nullish(),
    })
    .refine((one) => one.fromCurrency !== one.toCurrency, {
      path: ['toCurrency'],
      message: 'A rate is between two different currencies.',
    }),
  part: z
    .strictObject({
      id,
      kind: z.string().max(60).refine(isCatalogueKind, 'Not a kind of part.'),
      name,
      ownerId: id.nullish(),
      isDefault: z.boolean(),
      fromYear: year.nullish(),
      toYear: year.nullish(),
      massG: z.number().int().nonnegative().max(1e9).nullish(),
      note: text.nullish(),
      template: z.string().max(80).nullish(),
      /** What numbers are listed for: its family, its generation, when it was built and its number. */
      family: name.nullish(),
      generation: name.nullish(),
      built: partialDate.nullish(),
      serial: z.string().max(60).regex(NO_CONTROLS, CONTROLS_SAID).nullish(),
    })
    .refine((one) => one.ownerId !== one.id, {
      path: ['ownerId'],
      message: 'A part cannot have come with itself.',
    }),
  port,
  build: z.strictObject({
    id,
    name,
    recipientId: id.nullish(),
    why: text.nullish(),
    use: z.enum(['road', 'delivery', 'towing', 'trail', 'track']).nullish(),
    ...money,
    taxRate: tax,
    labourRateMinor: amount,
    contingency: z.number().min(0).max(5),
    likeForLikeMinor: amount.nullish(),
    leftoversMinor: amount.nullish(),
    mustWork: z.array(z.enum(KEPT_ASSEMBLIES)).max(50),
    inspection: z.boolean().nullish(),
    school: z.enum(['keep', 'set-back']),
    maxSuppliers: count.nullish(),
    maxDonors: z.number().int().nonnegative().max(1e6).nullish(),
  }),
  specimen: z.strictObject({ id, partId: id, buildId: id, name }),
  claim,
  kit: z.strictObject({
    id,
    name,
    supplierId: id.nullish(),
    priceMinor: amount,
    ...money,
    taxIncluded: z.boolean(),
    weightG: z.number().int().nonnegative().max(1e9).nullish(),
    omits: text.nullish(),
    note: text.nullish(),
    standing,
    quality: kitQuality.nullish(),
  }),
  kitItem: z.strictObject({
    id,
    kitId: id,
    partId: id,
    quantity: count,
    /** How a part of it that wears is had again, should its maker be gone. */
    hadAgain: text.nullish(),
  }),
  /** What is said to have held or failed: a kit, a part, or what a maker sells. */
  report: z
    .strictObject({
      id,
      kitId: id.nullish(),
      partId: id.nullish(),
      supplierId: id.nullish(),
      outcome: z.enum(['held', 'failed']),
      what: text,
      howMany: count,
      grade,
      source: text.nullish(),
      saidBy: text.nullish(),
      day: day.nullish(),
    })
    .refine(
      ({ kitId, partId, supplierId }) =>
        [kitId, partId, supplierId].filter((one) => one != null).length === 1,
      'It speaks of one kit, one part or one supplier.',
    ),
  /** Which kit was taken, what was recommended, and why the other was taken. */
  kitChoice: z.strictObject({
    id,
    buildId: id,
    kitId: id,
    recommendedId: id.nullish(),
    because: text.nullish(),
    reasons: z.array(z.string().max(300)).max(20),
    saidBy: text.nullish(),
    day,
  }),
  /** What is kept by name. */
  kept: keptInput.extend({ id }),
  /** A part that is wanted, at most for so much. */
  watch: z.strictObject({
    id,
    partId: id,
    buildId: id.nullish(),
    mostMinor: amount.nullish(),
    ...money,
    note: text.nullish(),
    day,
  }),
  /** What arrived for a line: this very part, of which batch. */
  arrival: z.strictObject({
    id,
    buildId: id,
    needId,
    partId: id,
    specimenId: id,
    supplierId: id.nullish(),
    batch: line.nullish(),
    saidBy: text.nullish(),
    day,
  }),
  donor: z.strictObject({
    id,
    name,
    place,
    ...money,
    priceMinor: amount,
    fetchMinor: amount,
    repairMinor: amount,
    missingMinor: amount,
    missingKind: z.string().max(60).nullish(),
    disposalMinor: amount,
    storageMinor: amount,
    scrapMinor: amount,
    saleFee: share,
    note: text.nullish(),
  }),
  donorItem: z.strictObject({
    id,
    donorId: id,
    partId: id,
    quantity: count,
    stripHours: hours,
    saleMinor: amount,
    chance: share,
    sellingHours: hours,
    held: z.boolean(),
  }),
  offer: z.strictObject({
    id,
    partId: id,
    supplierId: id,
    issuerId: id.nullish(),
    number: name.nullish(),
    normalised: line.nullish(),
    description: text.nullish(),
    priceMinor: amount,
    ...money,
    taxIncluded: z.boolean(),
    pack: count,
    stock: z.number().int().nonnegative().max(1e6).nullish(),
    leadDays: z.number().int().nonnegative().max(1e6).nullish(),
    condition: z.string().min(1).max(40),
    standing,
    /** The day it was last heard of. */
    seenOn: day.nullish(),
  }),
  /** What was asked for an offer before, on the day that was last heard. */
  pastPrice: z.strictObject({ id, offerId: id, day, priceMinor: amount, ...money }),
  donorSheet: z.strictObject({ id, buildId: id, donorId: id, answers }),
  jointClaim: z.strictObject({
    id,
    buildId: id.nullish(),
    subject: z.enum(['joint', 'kit', 'build', 'stopper']),
    joint: z
      .string()
      .max(60)
      .refine((one) => jointNamed(one) !== null, 'Not a joint.')
      .nullish(),
    question: z.string().max(60).refine(isStopper, 'Not one of the twelve questions.').nullish(),
    engineId: id.nullish(),
    transmissionId: id.nullish(),
    engineFamily: line.nullish(),
    transmissionFamily: line.nullish(),
    kitId: id.nullish(),
    says: z.enum(['yes', 'no', 'unknown']),
    grade,
    sentence: text.nullish(),
    source: text.nullish(),
    saidBy: text.nullish(),
    day: day.nullish(),
    distanceKm: z.number().nonnegative().max(5e6).nullish(),
    changes: text.nullish(),
    known: count.nullish(),
  }),
  photo: z.strictObject({
    id,
    partId: id.nullish(),
    donorId: id.nullish(),
    buildId: id.nullish(),
    spot: line.nullish(),
    hash: z
      .string()
      .max(64)
      .regex(/^[0-9a-f]{64}$/, 'Not the hash of a picture.'),
    widthPx: z.number().int().positive().max(20_000),
    heightPx: z.number().int().positive().max(20_000),
    takenAt: z.string().max(30).nullish(),
    note: text.nullish(),
    saidBy: text.nullish(),
  }),
  ...NUMBER_ROWS,
  matingCard: z.strictObject({ id, buildId: id, engineId: id, transmissionId: id, answers }),
  buildSheet: z.strictObject({ id, buildId: id, kind: z.string().min(1).max(60), answers }),
  pairing: z.strictObject({
    id,
    buildId: id,
    engineId: id,
    transmissionId: id,
    chosen: z.boolean(),
    reasons: pairingReasons.nullish(),
  }),
  pairingPart: z.strictObject({ id, pairingId: id, partId: id }),
  couplingChoice: z.strictObject({
    id,
    pairingId: id,
    kind: z.enum([...COUPLING_KINDS, 'transfer-case']),
    partId: id,
  }),
  decision: z.strictObject({
    id,
    buildId: id,
    needId,
    act: z.enum(DECISION_ACTS),
    priceMinor: amount.nullish(),
    source: text.nullish(),
    note: text.nullish(),
    /** A number given by hand. */
    issuerId: id.nullish(),
    number: name.nullish(),
    /** The source that was ticked. */
    candidate: sourceId.nullish(),
    /** What its line rested on when it was made. */
    rests: z.string().max(8000).nullish(),
  }),
  ownLine: z.strictObject({
    id,
    buildId: id,
    words: z.string().min(1).max(300),
    place: z.enum(LINE_PLACES),
    sort: z.enum(SORTS),
    stage: z.enum(STAGES),
    why: text.nullish(),
    quantity: count,
    priceMinor: amount.nullish(),
    hours: hours.nullish(),
    state: z.enum(OWN_STATES).nullish(),
    person: name.nullish(),
    note: text.nullish(),
  }),
  recipe: z.strictObject({ id, name, body: recipeSchema }),
  sourcingLock: z.strictObject({
    id,
    buildId: id,
    way: z.enum(['in', 'out']),
    candidate: sourceId.nullish(),
    bundle: sourceId.nullish(),
    item: sourceId.nullish(),
    supplierId: id.nullish(),
  }),
  plan: z.strictObject({
    id,
    buildId: id,
    status: z.enum(['proven', 'gap', 'infeasible', 'none']),
    totalMinor: minor.nullish(),
    boundMinor: minor.nullish(),
    day,
    madeFrom: z.string().max(64),
    detail: keptPlan,
  }),
  planLine: z.strictObject({
    id,
    planId: id,
    needId,
    source: z.string().max(20),
    candidate: sourceId.nullish(),
    bundle: sourceId.nullish(),
    item: sourceId.nullish(),
    supplierId: id.nullish(),
    partId: id.nullish(),
    packs: z.number().int().nonnegative().max(1e6),
    costMinor: minor,
  }),
} as const satisfies Record<string, z.ZodType>

export type StoredTable = keyof typeof STORED_ROWS

type Read<T> = { [K in keyof T]-?: T[K] }
/** A row of one table as it is read: what may be left out where it is written is null. */
export type StoredRow<T extends StoredTable> = {
  [K in T]: Read<z.output<(typeof STORED_ROWS)[K]>> & { version: number }
}[T]
export const STORED_TABLES = Object.keys(STORED_ROWS) as [StoredTable, ...StoredTable[]]
