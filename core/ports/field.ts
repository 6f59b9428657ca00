import { z } from 'zod'
import { isThread } from '../mechanics/thread.ts'
import { type Claim, chooseClaim } from '../quantity/claim.ts'
import { type Grade, strength } from '../quantity/grade.ts'
import { type MethodId, methodPlusMinus } from '../quantity/methods.ts'
import { CONTROLS_SAID, NO_CONTROLS } from '../quantity/plain-text.ts'
import type { StoredUnit } from '../quantity/units.ts'

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
  /** Named default of the field kind, when neither ± nor method is given. */
  readonly defaultPm: (grade: Grade, value: T) => number
  readonly differ: (a: T, b: T) => number
}

/** A field's words, whatever it holds: what is typed is read by its type. */
export type AnyFieldWords = FieldWords<any>

type Options = { methods?: readonly MethodId[]; minutes?: number }

const fromDrawing = (pm: number) => (grade: Grade) =>
  grade === 'maker' || grade === 'catalogue' ? pm : Infinity
const apart = (a: number, b: number): number => Math.abs(a - b)
const same = (a: unknown, b: unknown): number =>
  JSON.stringify(a) === JSON.stringify(b) ? 0 : Infinity
/** Lists and words are compared whole; hearsay has no ± and so never conflicts. */
const spoken = (grade: Grade): number => (strength(grade) <= strength('heard') ? Infinity : 0)

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
  defaultPm: () => Infinity,
})

/** A count, ratio, rating, torque, speed or mass: exact as stated. */
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
  defaultPm: () => 0,
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
  defaultPm: spoken,
  differ: same,
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
  defaultPm: spoken,
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
  defaultPm: spoken,
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

/** A box along the train, mm: from and to along x, depth below the reference the field names. */
export interface Zone {
  readonly fromMm: number
  readonly toMm: number
  readonly depthMm: number
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
      z.object({
        fromMm: z.number().finite(),
        toMm: z.number().finite(),
        depthMm: z.number().finite(),
        moving: z.boolean().optional(),
        name: z.string().max(60).regex(NO_CONTROLS, CONTROLS_SAID).optional(),
      }),
    )
    .max(20),
  unknown: null,
  methods,
  minutes,
  defaultPm: () => Infinity,
  differ: () => 0,
})

/** Compiles one field: picks the claim, applies the default ±, freezes. */
export function compileField<T>(
  claims: readonly Claim[] | undefined,
  at: FieldAddress & { words: FieldWords<T> },
  specimen: string | undefined,
): Field<T> {
  const { words } = at
  const chosen = chooseClaim(
    claims ?? [],
    specimen,
    (claim) => methodPlusMinus(claim.method) ?? words.defaultPm(claim.grade, claim.value as T),
    (a, b) => words.differ(a as T, b as T),
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

/** True when the field has a value. */
export const isKnown = (field: Field<unknown>): boolean => field.claim !== null
