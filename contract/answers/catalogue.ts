import { z } from 'zod'
import { MARKS } from '../../core/identity/claims.ts'
import { NUMBER_MATCHES } from '../../core/identity/number-search.ts'
import { NUMBER_CLAIMS } from '../number-inputs.ts'
import { where } from '../numbers.ts'
import { columnWords } from '../offer-list.ts'
import { dowel, grade, hole, known, list, point, words } from './basics.ts'
import { method } from './judging.ts'
import { offer, rowOf, rowWith } from './rows.ts'

/** The index is taking in what was written: not all of it is found yet. */
const behind = z.boolean()
export const partsPage = z.strictObject({
  items: list(
    rowWith('part', {
      numbers: words,
      /** Of a part without a kind: what it probably is, and why. */
      suggested: z
        .strictObject({ kind: z.string(), family: z.string().nullable(), because: z.string() })
        .nullable(),
    }),
  ),
  next: z.string().nullable(),
  mended: list(z.strictObject({ typed: z.string(), as: z.string() })),
  isBehind: behind,
})

const field = z
  .strictObject({
    name: z.string(),
    label: z.string(),
    unit: z.string(),
    type: z.string(),
    choices: words.nullable(),
    minutes: z.number(),
    methods: list(method),
    value: z.unknown(),
    plusMinus: known,
    grade: grade.nullable(),
    conflict: z.boolean(),
    claims: list(
      rowWith('claim', {
        used: z.boolean(),
        /** Outside what a part can have: kept from before, never used. */
        isImpossible: z.boolean(),
        thisVeryPart: z.boolean(),
        shown: z.string(),
      }),
    ),
  })
  .meta({ id: 'PartField' })
export const fieldView = field

/** A number as it is spelled, and what it is one with in any spelling. */
const spelled = { issuer: z.string(), number: z.string(), key: z.string() }
const counted = z.strictObject({ ...spelled, quantity: z.number() })

export const partDetail = rowWith('part', {
  numbers: list(
    rowWith('partNumber', {
      key: z.string(),
      issuer: z.string().nullable(),
      /** Parts that bear it as well. */
      alsoOn: list(z.strictObject({ id: z.string(), name: z.string(), mark: z.enum(MARKS) })),
    }),
  ),
  supersessions: list(rowWith('supersession', { old: list(counted), new: list(counted) })),
  interchanges: list(
    rowWith('interchange', {
      members: list(
        z.strictObject({
          ...spelled,
          way: z.enum(['both', 'serves', 'served']),
          scope: where.nullable(),
        }),
      ),
    }),
  ),
  applications: list(rowWith('application', { issuer: z.string() })),
  usedIn: list(z.strictObject({ build: z.string(), name: z.string(), as: words })),
  ports: list(
    z.strictObject({
      id: z.string(),
      kind: z.string(),
      slot: z.string(),
      looks: z.enum(['forward', 'rearward']).nullable(),
      title: z.string(),
      fields: list(field),
    }),
  ),
}).meta({ id: 'PartWithPorts' })

/** Numbers of what came with a part, and those said to fit its family, or not to, with how that stands for this very one. */
export const listedFor = z
  .strictObject({
    items: list(
      z.strictObject({
        id: z.string(),
        issuer: z.string(),
        number: z.string(),
        fits: z.boolean(),
        /** Of a part that came with it. */
        isOwn: z.boolean(),
        grade,
        stands: z.enum(['holds', 'unknown', 'other generation', 'fails']),
        /** What would settle it. */
        open: words,
        todo: words,
        scope: where.nullable(),
        parts: list(z.strictObject({ id: z.string(), name: z.string(), kind: z.string() })),
      }),
    ),
    /** How many there are: the first 300 are told. */
    total: z.number(),
  })
  .meta({ id: 'ListedFor' })

export const partNumber = rowOf('partNumber')
/** A number that was added, and what it brings along. */
export const addedNumber = rowWith('partNumber', { changed: words })
export const supersession = rowOf('supersession')
export const interchange = rowOf('interchange')
export const application = rowOf('application')
/** What was said of numbers, and what that touches. */
export const addedSupersession = rowWith('supersession', { changed: words })
export const addedInterchange = rowWith('interchange', { changed: words })
export const addedApplication = rowWith('application', { changed: words })
export const generation = rowOf('generation')
export const numberClaim = z.union([partNumber, supersession, interchange, application])
export const numberConflicts = z.strictObject({
  items: list(
    z.strictObject({
      kind: z.enum(['two parts', 'ring', 'denied']),
      words: z.string(),
      claims: list(
        z.strictObject({
          table: z.enum(NUMBER_CLAIMS),
          id: z.string(),
          version: z.number(),
          words: z.string(),
          grade,
          source: z.string().nullable(),
          saidBy: z.string().nullable(),
        }),
      ),
      parts: list(z.strictObject({ id: z.string(), name: z.string() })),
      /** Builds that stand on them. */
      hangs: list(z.strictObject({ build: z.string(), name: z.string(), as: words })),
    }),
  ),
})
export const offers = z.strictObject({ items: list(offer) })
/** What was asked on a day. */
export const priceOn = z.strictObject({
  day: z.string(),
  priceMinor: z.number(),
  currency: z.string(),
})

export const sameInside = z
  .strictObject({
    fields: list(
      z.object({
        port: z.string(),
        field: z.string(),
        label: z.string(),
        unit: z.string(),
        one: z.unknown(),
        other: z.unknown(),
        apart: known,
        within: known,
        verdict: z.enum(['equal', 'differs', 'unproved']),
      }),
    ),
    verdict: z.enum(['same', 'different', 'unproved']),
  })
  .meta({ id: 'SameInside' })

export const chordsPattern = z.strictObject({
  holes: list(point),
  isAxisKnown: z.boolean(),
  misfits: list(z.number()),
  rmsMm: z.number(),
  spare: z.number(),
})
export const tracedPattern = z.strictObject({
  holes: list(hole),
  dowels: list(dowel),
  mmPerPixel: z.tuple([z.number(), z.number()]).readonly(),
  skew: known,
  misfits: list(z.number()),
  plusMinus: known,
  isMirrored: z.boolean(),
})
export const drawnFaces = z.strictObject({
  faces: list(
    z.strictObject({
      name: z.string(),
      holes: list(hole),
      dowels: list(dowel),
      outline: list(point),
      registerMm: z.number().optional(),
    }),
  ),
  notes: words,
})

export const importPreview = z
  .strictObject({
    rows: z.number(),
    added: z.number(),
    updated: z.number(),
    unchanged: z.number(),
    /** Of those updated: another price is asked. The first of them, in minor units. */
    moved: z.number(),
    moves: list(
      z.strictObject({
        line: z.number(),
        number: z.string(),
        fromMinor: z.number(),
        fromCurrency: z.string(),
        toMinor: z.number(),
        toCurrency: z.string(),
      }),
    ),
    /** Offers that a supplier's whole list does not name any more: they end. The first of them. */
    gone: z.number(),
    goneNames: words,
    newParts: list(
      z.strictObject({ issuer: z.string(), number: z.string(), description: z.string() }),
    ),
    newPartCount: z.number(),
    newIssuers: words,
    /** What is worth a look before it is taken in. */
    notes: words,
    bad: list(z.strictObject({ line: z.number(), column: z.string(), message: z.string() })),
    badCount: z.number(),
    /** What the first line names, and which column is read from which of it. */
    heads: words,
    columns: columnWords,
  })
  .meta({ id: 'OffersImport' })

/** What reading a list in would do. */
export const listPreview = z
  .strictObject({
    rows: z.number(),
    added: z.number(),
    updated: z.number(),
    unchanged: z.number(),
    /** What is worth a look before it is taken in. */
    notes: words,
    bad: list(z.strictObject({ line: z.number(), column: z.string(), message: z.string() })),
    badCount: z.number(),
    heads: words,
    columns: z.record(z.string(), z.string()),
  })
  .meta({ id: 'ListPreview' })
export type ListPreview = z.output<typeof listPreview>

/** Kinds of things that are found by words, in the order they are shown. */
export const FOUND_KINDS = [
  'build',
  'vehicle',
  'engine',
  'transmission',
  'part',
  'kit',
  'donor',
  'supplier',
] as const

export const found = z.strictObject({
  items: list(
    z.strictObject({
      kind: z.enum(['number', ...FOUND_KINDS]),
      id: z.string(),
      words: z.string(),
      detail: z.string(),
      match: z.enum(NUMBER_MATCHES).nullable(),
    }),
  ),
  /** Words that are none, and what they were taken for. */
  mended: list(z.strictObject({ typed: z.string(), as: z.string() })),
  isBehind: behind,
})

export type PartDetail = z.output<typeof partDetail>
export type FieldView = z.output<typeof field>
export type ImportPreview = z.output<typeof importPreview>
