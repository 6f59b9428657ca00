import { z } from 'zod'
import { KEPT_ASSEMBLIES } from '../core/brief/must-still-work.ts'
import { isTimeZone } from '../core/day.ts'
import { isFactKey } from '../core/facts/index.ts'
import { START_FACTS } from '../core/facts/start.ts'
import { kitQuality } from '../core/kits/quality.ts'
import { markingFault } from '../core/mechanics/tyre.ts'
import { isCatalogueKind } from '../core/needs/catalogue-kinds.ts'
import { LINE_PLACES, OWN_STATES, SORTS, STAGES } from '../core/needs/line.ts'
import { recipeSchema } from '../core/needs/recipe.ts'
import { COUPLING_KINDS } from '../core/pairing/coupling.ts'
import { isStopper } from '../core/pairing/stoppers.ts'
import { FACE_VIEWS } from '../core/patterns/as-stored.ts'
import { isPortKind, PORT_KINDS } from '../core/ports/index.ts'
import { GRADES } from '../core/quantity/grade.ts'
import { CONTROLS_SAID, NO_CONTROLS } from '../core/quantity/plain-text.ts'
import { DECISION_ACTS } from '../core/sourcing/decision.ts'
import { issuerRule } from './issuer-rule.ts'
import { feed, returnDays, standing } from './market-fields.ts'
import { numberInput, supersessionInput } from './number-inputs.ts'
import { partialDate } from './numbers.ts'
import { mappingText, offerList } from './offer-list.ts'
import { answersSchema, PAPERS } from './stored.ts'
import {
  amount,
  count,
  currencySchema,
  day,
  hours,
  id,
  name,
  needId,
  portId,
  sourceId,
  text,
  typedText,
  year,
} from './text.ts'
import { wirePortSchema } from './wire.ts'

const version = z.number().int().positive()
/** What numbers are listed for: its family, its generation, when it was built, its number. */
const targetIdentity = {
  family: name.nullish(),
  generation: name.nullish(),
  built: partialDate.nullish(),
  serial: z.string().trim().max(60).regex(NO_CONTROLS, CONTROLS_SAID).nullish(),
}

export const partInput = z.strictObject({
  id: id.optional(),
  kind: z.string().max(60).refine(isCatalogueKind, 'Choose a kind of part.'),
  name,
  ownerId: id.nullish(),
  isDefault: z.boolean().optional(),
  /** Its type: what is not typed is assumed from it. */
  template: z.string().max(80).optional(),
  fromYear: year.nullish(),
  toYear: year.nullish(),
  massG: z.number().int().nonnegative().max(1e9).nullish(),
  note: text.nullish(),
  ...targetIdentity,
  ports: z.array(wirePortSchema).max(20).optional(),
  numbers: z
    .array(numberInput.extend({ grade: z.enum(GRADES).optional() }))
    .max(20)
    .optional(),
  supersessions: z.array(supersessionInput).max(50).optional(),
  said: z
    .strictObject({
      grade: z.enum(GRADES).optional(),
      by: text.optional(),
      source: text.optional(),
      day: day.optional(),
    })
    .optional(),
})
export const partPatch = z.strictObject({
  version,
  kind: partInput.shape.kind.optional(),
  name: name.optional(),
  ownerId: id.nullish(),
  isDefault: z.boolean().optional(),
  fromYear: year.nullish(),
  toYear: year.nullish(),
  massG: partInput.shape.massG,
  note: text.nullish(),
  ...targetIdentity,
})

/** A kind for many parts at once, each from the version it was seen at. */
export const kindsInput = z.strictObject({
  parts: z
    .array(
      z.strictObject({
        id,
        version,
        kind: z.string().max(60).refine(isCatalogueKind, 'Choose a kind of part.'),
        /** What it hangs on; as it is where nothing is said. */
        family: name.optional(),
      }),
    )
    .min(1, 'Mark at least one part.')
    .max(500),
})

/** What narrows a list of parts. */
export const partsQuery = z.object({
  kind: z.string().max(2000).optional(),
  q: z.string().max(200).optional(),
  owner: z.string().max(80).optional(),
  place: z.enum(LINE_PLACES).optional(),
  /** `port.field`, such as pilot-bore.boreMm. */
  size: z
    .string()
    .max(120)
    .refine((one) => {
      const [port = '', field = ''] = one.split('.')
      return isPortKind(port) && Object.hasOwn(PORT_KINDS[port].fields, field)
    }, 'Name a port and a field of it, such as pilot-bore.boreMm.')
    .optional(),
  sizeFrom: z.coerce.number().optional(),
  sizeTo: z.coerce.number().optional(),
  /** A family of vehicle, engine or transmission. */
  fits: z.string().max(120).optional(),
  isInStock: z.enum(['true']).optional(),
  priceTo: z.coerce.number().int().nonnegative().optional(),
  currency: currencySchema.optional(),
  /** At least so well known. */
  evidence: z.enum(GRADES).optional(),
  after: z.string().max(80).optional(),
  limit: z.coerce.number().int().min(1).max(1000).optional(),
})

export const claimInput = z.strictObject({
  portId,
  field: z.string().min(1).max(60),
  typed: typedText.optional(),
  value: z.unknown().optional(),
  /** What a comma in `typed` means to whoever typed it. */
  decimal: z.enum(['point', 'comma', 'ask']).default('ask'),
  /** How a face that looks forward was seen, where places on it are typed: what was seen looking at it is mirrored. */
  view: z.enum(FACE_VIEWS).optional(),
  /** What is typed is unusual, and it is so: asked once. */
  isSo: z.boolean().optional(),
  plusMinus: z.number().nonnegative().nullish(),
  method: z.string().max(60).nullish(),
  grade: z.enum(GRADES).default('measured'),
  by: text.nullish(),
  source: text.nullish(),
  day: day.nullish(),
  /** This very part, in this build; absent = one like it. */
  build: id.nullish(),
  thisVeryPart: z.boolean().default(false),
})

/** What is typed and not recorded yet. */
export const measureNextInput = z.strictObject({
  typed: z
    .array(
      z.strictObject({
        port: portId,
        field: z.string().min(1).max(60),
        typed: typedText,
        decimal: z.enum(['point', 'comma', 'ask']).default('ask'),
      }),
    )
    .max(60),
})

/** Why a claim is struck out. */
export const strikeInput = z.strictObject({
  version,
  why: text.refine((one) => one.trim() !== '', 'Say why: a slip, another variant, a worn part.'),
  by: text.nullish(),
})

export const personInput = z.strictObject({
  id: id.optional(),
  name,
  decimal: z.enum(['ask', 'point', 'comma']).default('ask'),
})

export const supplierInput = z.strictObject({
  id: id.optional(),
  name,
  place: text.nullish(),
  currency: currencySchema,
  minimumMinor: amount.default(0),
  shippingMinor: amount.default(0),
  freeOverMinor: amount.nullish(),
  offerList: offerList.nullish(),
  feed: feed.nullish(),
  returnDays,
})
export const issuerInput = z.strictObject({
  id: id.optional(),
  name,
  upper: z.boolean().default(true),
  noise: z.string().max(10).default(' .-'),
  rule: issuerRule.nullish(),
})
/** A rule that is tried on the numbers there are. */
export const rulePreviewInput = z.strictObject({
  upper: z.boolean(),
  noise: z.string().max(10),
  rule: issuerRule.nullish(),
})
const rateShape = z.strictObject({
  id: id.optional(),
  fromCurrency: currencySchema,
  toCurrency: currencySchema,
  rate: z.number().positive('A rate is more than 0.').max(1e9),
  day,
  source: text.nullish(),
})
/** A currency is worth itself: a rate to itself says nothing, or something false. */
const betweenTwo = ({ fromCurrency, toCurrency }: Readonly<Record<string, unknown>>): boolean =>
  fromCurrency === undefined || fromCurrency !== toCurrency
const BETWEEN_TWO = { path: ['toCurrency'], message: 'A rate is between two different currencies.' }
export const rateInput = rateShape.refine(betweenTwo, BETWEEN_TWO)
/** A piece of a kit: a part of the catalogue, or a number with its kind; a number nobody knows yet makes a part. */
const kitItemInput = z
  .strictObject({
    partId: id.optional(),
    kind: z.string().max(60).refine(isCatalogueKind, 'Choose a kind of part.').optional(),
    issuer: name.optional(),
    number: name.optional(),
    words: name.optional(),
    quantity: count.default(1),
    hadAgain: text.nullish(),
  })
  .refine(
    ({ partId, kind, issuer, number }) =>
      partId !== undefined || (kind !== undefined && issuer !== undefined && number !== undefined),
    'Name a part, or a kind with whose number it is and the number.',
  )
export const reportInput = z
  .strictObject({
    id: id.optional(),
    kitId: id.nullish(),
    partId: id.nullish(),
    supplierId: id.nullish(),
    outcome: z.enum(['held', 'failed']),
    what: text.refine((one) => one.trim() !== '', 'Say what held or failed.'),
    howMany: count.default(1),
    grade: z.enum(GRADES).default('heard'),
    source: text.nullish(),
    saidBy: text.nullish(),
    day: day.nullish(),
  })
  .refine(
    ({ kitId, partId, supplierId }) =>
      [kitId, partId, supplierId].filter((one) => one != null).length === 1,
    'It speaks of one kit, one part or one supplier.',
  )
/** Taking a kit; another than was recommended is taken for a reason. */
export const kitChoiceInput = z.strictObject({
  kitId: id,
  recommendedId: id.nullish(),
  reasons: z.array(z.string().max(300)).max(20).default([]),
  because: text.nullish(),
  saidBy: text.nullish(),
})
export const watchInput = z.strictObject({
  id: id.optional(),
  partId: id,
  buildId: id.nullish(),
  mostMinor: amount.nullish(),
  currency: currencySchema,
  note: text.nullish(),
})
export const arrivalInput = z.strictObject({
  needId,
  batch: z.string().trim().max(120).regex(NO_CONTROLS, CONTROLS_SAID).nullish(),
  day: day.nullish(),
  saidBy: text.nullish(),
})
export const kitInput = z.strictObject({
  id: id.optional(),
  name,
  supplierId: id.nullish(),
  priceMinor: amount,
  currency: currencySchema,
  taxIncluded: z.boolean().default(true),
  weightG: z.number().int().nonnegative().max(1e9).nullish(),
  omits: text.nullish(),
  note: text.nullish(),
  standing,
  quality: kitQuality.nullish(),
  items: z.array(kitItemInput).min(1, 'A kit holds at least one part.').max(100),
})
export const donorInput = z.strictObject({
  id: id.optional(),
  name,
  place: text.nullish(),
  currency: currencySchema,
  priceMinor: amount.default(0),
  fetchMinor: amount.default(0),
  repairMinor: amount.default(0),
  missingMinor: amount.default(0),
  /** Its kind: where a build has a line of it, nothing is charged for it here. */
  missingKind: z.string().max(60).nullish(),
  disposalMinor: amount.default(0),
  storageMinor: amount.default(0),
  scrapMinor: amount.default(0),
  saleFee: z
    .number()
    .min(0)
    .max(1)
    .default(1 / 6),
  note: text.nullish(),
  items: z
    .array(
      z.strictObject({
        partId: id,
        quantity: count.default(1),
        stripHours: hours.default(0),
        saleMinor: amount.default(0),
        chance: z.number().min(0).max(1, 'A chance is from 0 to 1.').default(0),
        sellingHours: hours.default(0),
        held: z.boolean().default(false),
      }),
    )
    .max(200),
})
export const offerInput = z.strictObject({
  id: id.optional(),
  partId: id,
  supplierId: id,
  issuer: name.nullish(),
  number: name.nullish(),
  description: text.nullish(),
  priceMinor: amount,
  currency: currencySchema,
  taxIncluded: z.boolean().default(true),
  pack: count.default(1),
  stock: z.number().int().nonnegative().max(1e6).nullish(),
  leadDays: z.number().int().nonnegative().max(1e6).nullish(),
  condition: z.string().trim().min(1).max(40).default('new'),
  standing,
  seenOn: day.nullish(),
})
/** What may change of an offer; what it asked before is kept. */
export const offerPatch = z.strictObject({
  version,
  priceMinor: amount.optional(),
  stock: offerInput.shape.stock,
  leadDays: offerInput.shape.leadDays,
  standing,
})

/** A part that stands on the shop's own shelf. */
export const ownedInput = z.strictObject({
  pieces: count.default(1),
  /** What one would fetch if it were sold: the plan counts it. */
  worthMinor: amount.default(0),
  currency: currencySchema,
})

export const buildInput = z.strictObject({
  id: id.optional(),
  name,
  recipientId: id.nullish(),
  why: text.nullish(),
  use: z.enum(['road', 'delivery', 'towing', 'trail', 'track']).nullish(),
  currency: currencySchema,
  taxRate: z.number().min(0).max(1, 'Write 21 % as 0.21.').default(0),
  labourRateMinor: amount.default(0),
  contingency: z.number().min(0).max(5).default(0.2),
  likeForLikeMinor: amount.nullish(),
  /** What the old engine and the recipient's leftovers are hoped to bring. */
  leftoversMinor: amount.nullish(),
  mustWork: z.array(z.enum(KEPT_ASSEMBLIES)).max(50).default([]),
  inspection: z.boolean().nullish(),
  school: z.enum(['keep', 'set-back']).default('keep'),
  maxSuppliers: count.nullish(),
  maxDonors: z.number().int().nonnegative().max(1e6).nullish(),
})
const chosenPart = z
  .strictObject({
    /** A part of the catalogue; or a type template, with or without a pattern family; or a family alone. */
    partId: id.nullish(),
    template: z.string().max(80).nullish(),
    family: z.string().trim().min(1).max(80).nullish(),
    name: z.string().trim().max(120).nullish(),
    /** Of a type: what goes by age is assumed by it. */
    year: year.nullish(),
    /** The vehicle has it already. */
    isRecipients: z.boolean().default(false),
  })
  .nullish()
const stopperSays = z.enum(['yes', 'no', 'unknown'])
const stopperId = z.string().max(60).refine(isStopper, 'Not one of the twelve questions.')

export const startInput = z.strictObject({
  name,
  currency: currencySchema,
  /** What one euro is in it, where the shop has no rate yet: ranges of kinds are in euros. */
  euroRate: z.number().positive('A rate is more than 0.').max(10_000_000).nullish(),
  recipient: chosenPart,
  tyre: z
    .string()
    .trim()
    .max(40)
    .superRefine((marking, ctx) => {
      const fault = markingFault(marking)
      if (fault) ctx.addIssue({ code: 'custom', message: fault })
    })
    .nullish(),
  massKg: z
    .number()
    .min(100, 'Less than 100 kg is no vehicle. Type kilograms, such as 1450.')
    .max(60_000, 'More than 60 t is no road vehicle.')
    .nullish(),
  engine: chosenPart,
  transmission: chosenPart,
  transfer: chosenPart,
  use: z.enum(['road', 'delivery', 'towing', 'trail', 'track']).nullish(),
  labourRateMinor: amount.default(0),
  mustWork: z.array(z.enum(KEPT_ASSEMBLIES)).max(50).default([]),
  stoppers: z.partialRecord(stopperId, stopperSays).default({}),
  /** Facts answered at once, such as the service school. */
  facts: z.partialRecord(z.enum(START_FACTS), z.string().max(40)).default({}),
  saidBy: text.nullish(),
})
export const stopperInput = z.strictObject({
  question: stopperId,
  says: stopperSays,
  saidBy: text.nullish(),
})
export const jointClaimInput = z
  .strictObject({
    subject: z.enum(['joint', 'kit', 'build']),
    joint: z.string().max(60).nullish(),
    engineId: id.nullish(),
    transmissionId: id.nullish(),
    engineFamily: z.string().trim().min(1).max(80).nullish(),
    transmissionFamily: z.string().trim().min(1).max(80).nullish(),
    kitId: id.nullish(),
    says: z.enum(['yes', 'no']),
    grade: z.enum(GRADES),
    sentence: text.nullish(),
    source: text.nullish(),
    saidBy: text.nullish(),
    day: day.nullish(),
    distanceKm: z.number().nonnegative().max(5e6).nullish(),
    changes: text.nullish(),
    known: count.nullish(),
  })
  .refine(
    (claim) =>
      Boolean(claim.engineId ?? claim.engineFamily) &&
      Boolean(claim.transmissionId ?? claim.transmissionFamily),
    'Say of which engine and which transmission, by part or by family.',
  )
  .refine((claim) => (claim.subject === 'kit') === Boolean(claim.kitId), {
    path: ['kitId'],
    message: 'A claim on a kit names the kit; others do not.',
  })

export const sheetInput = z.strictObject({
  answers: answersSchema.refine(
    (answers) => Object.keys(answers).length <= 300,
    'At most 300 answers at once.',
  ),
})

export const offersInput = z.strictObject({
  csv: z.string().min(1, 'The file is empty.'),
  /** What a comma in a price means in this file. */
  decimal: z.enum(['point', 'comma', 'ask']).default('ask'),
  /** Which head holds which column, as JSON; suggested where it is not said. */
  columns: mappingText.optional(),
  /** What counts for all rows where no column says it, as JSON. */
  instead: mappingText.optional(),
  /** It is all that its suppliers sell: what it does not name has ended. */
  whole: z.enum(['true']).optional(),
})
type Plain<S> = S extends z.ZodDefault<infer Inner> ? Inner : S
type Patch<S extends z.ZodRawShape> = { version: typeof version } & {
  [K in keyof S as K extends 'id' ? never : K]: z.ZodOptional<Plain<S[K]> & z.ZodType>
}
/** Every field optional, without defaults: what is absent stays as it is. */
const patchOf = <S extends z.ZodRawShape>(shape: S) =>
  z.strictObject({
    version,
    ...Object.fromEntries(
      Object.entries(shape)
        .filter(([key]) => key !== 'id')
        .map(([key, schema]) => [
          key,
          (schema instanceof z.ZodDefault
            ? (schema.unwrap() as z.ZodType)
            : (schema as z.ZodType)
          ).optional(),
        ]),
    ),
  } as Patch<S>)
/** A row that cannot be read, its fields as typed. */
export const mendInput = z.strictObject({
  version,
  fields: z.record(z.string().max(60), z.string().max(20_000)),
})
export const buildPatch = patchOf(buildInput.shape)
export const supplierPatch = patchOf(supplierInput.shape)
export const issuerPatch = patchOf(issuerInput.shape)
export const personPatch = z.strictObject({
  version,
  name: name.optional(),
  decimal: z.enum(['ask', 'point', 'comma']).optional(),
})
export const ratePatch = patchOf(rateShape.shape).refine(betweenTwo, BETWEEN_TWO)
export const kitPatch = patchOf(kitInput.shape)
export const donorPatch = patchOf(donorInput.shape)

/** How the train is placed: the gearbox kept where it was, or the engine set back. */
export const school = z.enum(['keep', 'set-back'])
export const pairingChoice = z.strictObject({
  engineId: id,
  transmissionId: id,
  inserted: z.array(id).max(20).nullish(),
  /** Another transfer case than the one behind it. */
  transferId: id.nullish(),
  /** How the train is placed where it is chosen; the build is placed so from then on. */
  school: school.optional(),
})
/** A pairing that was seen to come out better than the chosen one. */
export const pairingSeen = z.strictObject({
  engineId: id,
  transmissionId: id,
  transferId: id.nullable(),
})
export const choiceWords = z.strictObject({ because: z.string().max(2000) })
export const copyInput = z.strictObject({
  name: z.string().trim().min(1).max(200),
  /** A branch has the same vehicle and brief, and no pairing yet. */
  isBranch: z.boolean().default(false),
})
/** Pairings whose figures are asked for. */
export const pairingsAsked = z.strictObject({
  school: school.optional(),
  pairs: z
    .array(z.strictObject({ engineId: id, transmissionId: id, transferId: id.nullable() }))
    .min(1)
    .max(400),
})
export const couplingChoiceInput = z.strictObject({
  engineId: id,
  transmissionId: id,
  kind: z.enum([...COUPLING_KINDS, 'transfer-case']),
  partId: id.nullable(),
})
export const couplingKitInput = z.strictObject({ engineId: id, transmissionId: id, kitId: id })
const ownLineShape = {
  words: z.string().min(1).max(300),
  place: z.enum(LINE_PLACES).default('shop'),
  sort: z.enum(SORTS).default('part'),
  stage: z.enum(STAGES).default('final fit'),
  why: text.nullish(),
  quantity: count.default(1),
  priceMinor: amount.nullish(),
  hours: hours.nullish(),
  state: z.enum(OWN_STATES).nullish(),
  person: name.nullish(),
  note: text.nullish(),
} as const
export const ownLinesInput = z.strictObject({
  lines: z.array(z.strictObject(ownLineShape)).min(1).max(500),
})
export const ownLinePatch = z.strictObject({
  version: z.number().int(),
  ...Object.fromEntries(
    Object.entries(ownLineShape).map(([key, schema]) => [
      key,
      (schema instanceof z.ZodDefault ? schema.unwrap() : schema).optional(),
    ]),
  ),
}) as z.ZodType<{ version: number } & Partial<z.infer<z.ZodObject<typeof ownLineShape>>>>
export const recipeInput = z.strictObject({ name, body: recipeSchema })
export const recipePatch = z.strictObject({
  version: z.number().int(),
  name: name.optional(),
  body: recipeSchema.optional(),
})
export const factInput = z.strictObject({
  key: z.string().max(80).refine(isFactKey, 'Not a fact that is known here.'),
  /** One of its values, or "unknown". */
  value: z.string().min(1).max(40),
  by: name.nullish(),
})
export const whatIfInput = z.strictObject({
  facts: z
    .record(z.string().max(80), z.string().max(40))
    .refine((facts) => Object.keys(facts).length <= 40, 'At most forty answers at once.'),
})
export const decisionInput = z.strictObject({
  needId,
  act: z.enum(DECISION_ACTS),
  priceMinor: amount.nullish(),
  source: text.nullish(),
  note: text.nullish(),
  /** With `number`: the number the line wants, whatever its parts have. */
  issuer: name.nullish(),
  number: name.nullish(),
  /** With `tick`: the source somebody says serves; `source` is who. */
  candidate: sourceId.nullish(),
})
export const lockInput = z
  .strictObject({
    way: z.enum(['in', 'out']),
    candidate: sourceId.nullish(),
    bundle: sourceId.nullish(),
    /** With a bundle: that one piece of it. */
    item: sourceId.nullish(),
    supplierId: id.nullish(),
  })
  .refine(
    (lock) => [lock.candidate, lock.bundle, lock.supplierId].filter(Boolean).length === 1,
    'Lock one offer, bundle or supplier.',
  )
  .refine((lock) => !lock.item || lock.bundle, {
    path: ['item'],
    message: 'A piece is locked with the bundle it is of: name both.',
  })
export const settingsInput = z.strictObject({
  units: z.record(z.string().max(20), z.string().max(20)).optional(),
  tolerances: z.record(z.string().max(60), z.number().finite().nullable()).optional(),
  /** Where the shop is: what day it is there. */
  timeZone: z
    .string()
    .max(60)
    .refine(isTimeZone, 'Not a time zone that is known. Choose one from the list, or UTC.')
    .optional(),
  /** What is printed on. */
  paper: z.enum(PAPERS).optional(),
  /** What pairings are weighed by beside their money, whole euros; null goes back to the usual. */
  weights: z.record(z.string().max(20), z.number().min(0).max(100_000).nullable()).optional(),
})
