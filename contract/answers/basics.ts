import { z } from 'zod'
import '../words.ts'
import { CODES } from '../../core/joints/code.ts'
import type { Task } from '../../core/joints/verdict.ts'
import type { Range } from '../../core/money/range.ts'
import type { Dowel, Hole, Point, Zone } from '../../core/ports/field.ts'
import { GRADES } from '../../core/quantity/grade.ts'

/** A list as it is answered: read, never written to. */
export const list = <T extends z.ZodType>(item: T): z.ZodType<readonly z.output<T>[]> =>
  z.array(item)
/** Everything of a kind. */
export const items = <T extends z.ZodType>(item: T) => z.strictObject({ items: list(item) })

export const words = list(z.string())
export const code = z.enum(CODES)
export const grade = z.enum(GRADES)
export const known = z.number().nullable()
export const named = z.strictObject({ id: z.string(), name: z.string() })
export const trash = z.strictObject({ trash: z.string() })
export const done = z.strictObject({ done: z.literal(true) })
/** A record by names that are not known beforehand. */
export const byName = <T extends z.ZodType>(
  value: T,
): z.ZodType<Readonly<Record<string, z.output<T>>>> => z.record(z.string(), value)

export const range: z.ZodType<Range> = z
  .strictObject({ low: z.number(), high: z.number() })
  .meta({ id: 'Range' })

export const task: z.ZodType<Task> = z
  .object({
    id: z.string(),
    words: z.string(),
    hours: z.number(),
    skills: z.array(z.enum(['weld', 'machine', 'mechanic'])),
    reversible: z.boolean(),
    caution: z.string().optional(),
  })
  .meta({ id: 'Task' })

const process = z.string().optional() as z.ZodType<Hole['process']>
export const hole: z.ZodType<Hole> = z
  .object({
    x: z.number(),
    y: z.number(),
    d: z.number(),
    thread: z.string().optional(),
    optional: z.boolean().optional(),
    process: process.optional(),
  })
  .meta({ id: 'Hole' })
export const dowel: z.ZodType<Dowel> = z
  .object({
    x: z.number(),
    y: z.number(),
    d: z.number(),
    pin: z.boolean().optional(),
    process: process.optional(),
  })
  .meta({ id: 'Dowel' })
export const point: z.ZodType<Point> = z.object({ x: z.number(), y: z.number() })
export const zone: z.ZodType<Zone> = z
  .object({
    fromMm: z.number(),
    toMm: z.number(),
    depthMm: z.number(),
    leftMm: z.number().optional(),
    rightMm: z.number().optional(),
    moving: z.boolean().optional(),
    name: z.string().optional(),
  })
  .meta({ id: 'Zone' })
