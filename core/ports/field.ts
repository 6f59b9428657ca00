import { z } from 'zod'
import { isThread } from '../mechanics/thread.ts'
import { markingFault } from '../mechanics/tyre.ts'
import { type Claim, chooseClaim } from '../quantity/claim.ts'
import { type Grade, strength } from '../quantity/grade.ts'
import { type MethodId, methodPlusMinus } from '../quantity/methods.ts'
import { CONTROLS_SAID, NO_CONTROLS } from '../quantity/plain-text.ts'
import type { StoredUnit } from '../quantity/units.ts'
import { isPossible, type Range, rangeWords } from './ranges.ts'

/** Where a field lives: enough to name it and to write a claim on it. */
export interface FieldAddress {
  readonly port: string
  readonly part: string
  readonly partName: string
  readonly field: string
  readonly words: FieldWords<unknown>
}

/** A compiled field: the claim is chosen. Unknown is NaN (numbers) or null (all else) with pm Infinity. */
export interface Field<T> {
  readonly v: T
  readonly pm: number
  /** Strength of the grade, 0–5; −1 when unknown. */
  readonly grade: number
  readonly claim: string | null
  readonly conflict: boolean
  readonly at: FieldAddress
}

/** How a field is named, typed, measured, and what ± it has when a claim states none. */
export interface FieldWords<T> {
  readonly label: string
  readonly unit: StoredUnit
  readonly type:
    | 'number'
    | 'word'
    | 'flag'
    | 'thread'
    | 'numbers'
    | 'holes'
    | 'dowels'
    | 'points'
    | 'zones'
  readonly schema: z.ZodType<T>
  readonly unknown: T
  readonly methods: readonly MethodId[]
  readonly minutes: number
  readonly choices?: readonly string[]
  /** What a figure of it can be; outside it, a value is refused where it enters, and never used. */
  readonly range?: Range
  /** How it is measured or found out, in shop words. */
  readonly how?: string
  /** What is wrong with a word, beyond its form; refused where it enters, and never used. */
  readonly fault?: (value: T) => string | null
  /** Stated by whoever made it, as a limit: a method of measuring says nothing of it. */
  readonly isStated?: true
  /** Named default of the field kind, when neither ± nor method is given. */
  readonly defaultPm: (grade: Grade, value: T) => number
  readonly differ: (a: T, b: T) => number
}

/**
 * What is wrong with a value for a field, in words; null where it may enter.
 * What its form cannot hold, and what no part can have.
 */
export function faultIn(words: AnyFieldWords, value: unknown): string | null {
  const checked = words.schema.safeParse(value)
  if (!checked.success)
    return `${words.label}: ${checked.error.issues[0]?.message ?? 'cannot be read'}`
  if (words.range && !isPossible(words.range, checked.data))
    return `${words.label}: ${rangeWords(words.range, words.unit)}.`
  return words.fault?.(checked.data) ?? null
}

/** A field's words, whatever it holds: what is typed is read by its type. */
export type AnyFieldWords = FieldWords<any>

type Options = { methods?: readonly MethodId[]; minutes?: number }

const apart = (a: number, b: number): number => Math.abs(a - b)
const fromDrawing = (pm: number) => (grade: Grade) => (isFromDrawing(grade) ? pm : Infinity)
/** Lists and words are compared whole. */
const same = (a: unknown, b: unknown): number =>
  JSON.stringify(a) === JSON.stringify(b) ? 0 : Infinity
/** Words, flags, markings, counts, ratios, torque, speed and mass: what they say is what they are, whoever says it. */
const none = (): number => 0
const unknown = (): number => Infinity
const isFromDrawing = (grade: Grade): boolean => grade === 'maker' || grade === 'catalogue'

/** A machined length or diameter, mm. Default ± 0.1 from a maker or catalogue. */
export const length = (
  label: string,
  { methods = ['bar-caliper', 'caliper', 'rule'], minutes = 10 }: Options = {},
): FieldWords<number> => ({
  label,
  unit: 'mm',
  type: 'number',
  schema: z.number().finite(),
  unknown: Number.NaN,
  methods,
  minutes,
  defaultPm: fromDrawing(0.1),
  differ: apart,
})

/** A length of sheet metal and bays, mm: no default ±. */
export const span = (
  label: string,
  { methods = ['tape-bay', 'tape-shaft'], minutes = 5 }: Options = {},
): FieldWords<number> => ({
  ...length(label, { methods, minutes }),
  defaultPm: unknown,
})

/** A limit its maker states (a rating, the end of a window, plunge, an angle allowed): it stands, unless a ± is typed. */
export const stated = (
  label: string,
  unit: StoredUnit,
  options: Options = {},
): FieldWords<number> => ({
  ...exact(label, unit, options),
  isStated: true,
})

/** An angle or an amount: how closely it is known is what its method or somebody says. */
export const reading = (
  label: string,
  unit: StoredUnit,
  options: Options = {},
): FieldWords<number> => ({
  ...exact(label, unit, options),
  defaultPm: unknown,
})

/** What a maker's figure may be off by, common practice, no published source; measured or heard it is not known. */
export const roughly = (
  label: string,
  unit: StoredUnit,
  pmOf: (value: number) => number,
): FieldWords<number> => ({
  ...exact(label, unit),
  defaultPm: (grade, value) => (isFromDrawing(grade) ? pmOf(value) : Infinity),
})

/** A count, ratio, torque, speed or mass: exact as said. */
export const exact = (
  label: string,
  unit: StoredUnit,
  { methods = [], minutes = 10 }: Options = {},
): FieldWords<number> => ({
  label,
  unit,
  type: 'number',
  schema: z.number().finite(),
  unknown: Number.NaN,
  methods,
  minutes,
  defaultPm: none,
  differ: apart,
})

export const word = (
  label: string,
  choices?: readonly string[],
  { minutes = 2 }: Options = {},
): FieldWords<string | null> => ({
  label,
  unit: '',
  type: 'word',
  schema: choices
    ? z.enum(choices as [string, ...string[]])
    : z.string().min(1).max(200).regex(NO_CONTROLS, CONTROLS_SAID),
  unknown: null,
  methods: [],
  minutes,
  ...(choices ? { choices } : {}),
  defaultPm: none,
  differ: same,
})

/** A tyre by what stands on its side wall. */
export const marking = (label: string): FieldWords<string | null> => ({
  ...word(label),
  fault: (value) => (value === null ? null : markingFault(value)),
})

/** A thread, kept in one spelling: M10x1.25, 3/8-16, 1/8 NPT. */
export const thread = (label: string): FieldWords<string | null> => ({
  ...word(label),
  type: 'thread',
  schema: threadSchema,
})

export const flag = (label: string, { minutes = 2 }: Options = {}): FieldWords<boolean | null> => ({
  label,
  unit: '',
  type: 'flag',
  schema: z.boolean(),
  unknown: null,
  methods: [],
  minutes,
  defaultPm: none,
  differ: same,
})

/** A list of plain figures: gear ratios, hole angles in degrees. */
export const numbers = (
  label: string,
  unit: StoredUnit,
  { methods = [], minutes = 15 }: Options = {},
): FieldWords<readonly number[] | null> => ({
  label,
  unit,
  type: 'numbers',
  schema: z.array(z.number().finite()).min(1).max(400),
  unknown: null,
  methods,
  minutes,
  defaultPm: none,
  differ: same,
})

export const PROCESSES = ['milled', 'reamed', 'drilled', 'cast', 'laser', 'plasma'] as const

/** One bolt hole in the train frame, seen from the gearbox looking at the engine. */
export interface Hole {
  readonly x: number
  readonly y: number
  /** Ø of the through hole, or of the thread. */
  readonly d: number
  readonly thread?: string | undefined
  /** The thread of the bolt that passes it, where it is plain. */
  readonly bolt?: string | undefined
  readonly optional?: boolean | undefined
  readonly process?: (typeof PROCESSES)[number] | undefined
}

/** One dowel pin or its hole; `pin` where the pin stays in this face. */
export interface Dowel {
  readonly x: number
  readonly y: number
  readonly d: number
  readonly pin?: boolean | undefined
  readonly process?: (typeof PROCESSES)[number] | undefined
}

/** No face reaches further from its axis, and no hole of one is larger, mm. */
export const FACE_SPAN_MM = 2000
export const HOLE_MOST_MM = 500

const within = z
  .number()
  .min(-FACE_SPAN_MM, `At most ${FACE_SPAN_MM} mm from the axis.`)
  .max(FACE_SPAN_MM, `At most ${FACE_SPAN_MM} mm from the axis.`)
const place = {
  x: within,
  y: within,
  d: z
    .number()
    .positive('Ø must be more than 0.')
    .max(HOLE_MOST_MM, `Ø at most ${HOLE_MOST_MM} mm.`),
  process: z.enum(PROCESSES).optional(),
}
const threadSchema = z
  .string()
  .max(40)
  .refine(isThread, 'Write a thread as M10x1.25, 3/8-16, 1/8 NPT, or "through" for a plain hole.')
const holeSchema = z.object({
  ...place,
  thread: threadSchema.optional(),
  bolt: threadSchema.optional(),
  optional: z.boolean().optional(),
})
const dowelSchema = z.object({ ...place, pin: z.boolean().optional() })
const isMachined = (list: readonly Dowel[]): boolean =>
  list.every((d) => d.process === 'milled' || d.process === 'reamed')

export const holes = (label: string): FieldWords<readonly Hole[] | null> => ({
  label,
  unit: 'mm',
  type: 'holes',
  schema: z.array(holeSchema).min(1).max(60),
  unknown: null,
  methods: ['rubbing', 'punch', 'machine'],
  minutes: 45,
  defaultPm: fromDrawing(0.1),
  differ: () => 0,
})

/** Dowels; an empty list says "known to have none". Default ± 0.05 from a maker, or from a catalogue with a machined process. */
export const dowels = (label: string): FieldWords<readonly Dowel[] | null> => ({
  label,
  unit: 'mm',
  type: 'dowels',
  schema: z.array(dowelSchema).max(8),
  unknown: null,
  methods: ['rubbing', 'punch', 'machine'],
  minutes: 20,
  defaultPm: (grade, value) =>
    grade === 'maker' || (grade === 'catalogue' && isMachined(value ?? [])) ? 0.05 : Infinity,
  differ: () => 0,
})

export interface Point {
  readonly x: number
  readonly y: number
}

export const points = (label: string): FieldWords<readonly Point[] | null> => ({
  label,
  unit: 'mm',
  type: 'points',
  schema: z
    .array(z.object({ x: within, y: within }))
    .min(3)
    .max(400),
  unknown: null,
  methods: ['rubbing'],
  minutes: 30,
  defaultPm: fromDrawing(0.5),
  differ: () => 0,
})

/**
 * A box along the train, mm: from and to along x, depth below the reference the field names; left and right of the crank axis
 * along y, left negative, absent for the whole width.
 */
export interface Zone {
  readonly fromMm: number
  readonly toMm: number
  readonly depthMm: number
  readonly leftMm?: number | undefined
  readonly rightMm?: number | undefined
  /** Swept by something that moves: steering, axle, suspension. */
  readonly moving?: boolean | undefined
  readonly name?: string | undefined
}

/** Boxes along the train; an empty list says "known to have none". */
export const zones = (
  label: string,
  { methods = ['tape-bay', 'bar-caliper', 'rule'], minutes = 20 }: Options = {},
): FieldWords<readonly Zone[] | null> => ({
  label,
  unit: 'mm',
  type: 'zones',
  schema: z
    .array(
      z
        .object({
          fromMm: z.number().finite(),
          toMm: z.number().finite(),
          depthMm: z.number().finite(),
          leftMm: z.number().finite().optional(),
          rightMm: z.number().finite().optional(),
          moving: z.boolean().optional(),
          name: z.string().max(60).regex(NO_CONTROLS, CONTROLS_SAID).optional(),
        })
        .refine(({ fromMm, toMm }) => fromMm < toMm, {
          path: ['toMm'],
          message: 'A box must end further back than it starts.',
        })
        .refine(({ leftMm, rightMm }) => (leftMm ?? -Infinity) < (rightMm ?? Infinity), {
          path: ['rightMm'],
          message: 'The right edge of a box must be further right than its left.',
        }),
    )
    .max(20),
  unknown: null,
  methods,
  minutes,
  defaultPm: unknown,
  differ: () => 0,
})

/** The ± of a claim that states none: its method's, else that of its kind of field. */
export const defaultPmOf =
  (words: AnyFieldWords) =>
  (claim: Claim): number =>
    (words.isStated ? undefined : methodPlusMinus(claim.method)) ??
    words.defaultPm(claim.grade, claim.value)

/** Compiles one field: picks the claim, applies the default ±, freezes. */
export function compileField<T>(
  claims: readonly Claim[] | undefined,
  at: FieldAddress & { words: FieldWords<T> },
  specimen: string | undefined,
): Field<T> {
  const { words } = at
  const chosen = chooseClaim(usable(words, claims ?? NONE), specimen, defaultPmOf(words), (a, b) =>
    words.differ(a as T, b as T),
  )
  if (!chosen)
    return Object.freeze({
      v: words.unknown,
      pm: Infinity,
      grade: -1,
      claim: null,
      conflict: false,
      at,
    })
  return Object.freeze({
    v: chosen.claim.value as T,
    pm: chosen.pm,
    grade: strength(chosen.claim.grade),
    claim: chosen.claim.id,
    conflict: chosen.conflict,
    at,
  })
}

/** True where a part can have it. */
export const canBe = ({ range, fault }: AnyFieldWords, value: unknown): boolean =>
  (!range || isPossible(range, value)) && (!fault || fault(value) === null)

const NONE: readonly Claim[] = []
/** Claims of what no part can have, from before that was refused, are kept and never used. */
const usable = (words: AnyFieldWords, claims: readonly Claim[]): readonly Claim[] =>
  claims.every(({ value }) => canBe(words, value))
    ? claims
    : claims.filter(({ value }) => canBe(words, value))

/** True when the field has a value. */
export const isKnown = (field: Field<unknown>): boolean => field.claim !== null
