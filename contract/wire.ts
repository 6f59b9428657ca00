import { z } from 'zod'
import './words.ts'
import { TOLERANCES } from '../core/joints/tolerances.ts'
import { own } from '../core/own.ts'
import { contradictionIn } from '../core/ports/contradictions.ts'
import { type FieldWords, faultIn } from '../core/ports/field.ts'
import { PORT_KINDS, type PortKindName } from '../core/ports/index.ts'
import type { Part, Port } from '../core/ports/port.ts'
import type { Claim } from '../core/quantity/claim.ts'
import { GRADES } from '../core/quantity/grade.ts'
import { METHODS } from '../core/quantity/methods.ts'
import { CONTROLS_SAID, NO_CONTROLS } from '../core/quantity/plain-text.ts'

const methodIds = Object.keys(METHODS) as [keyof typeof METHODS, ...(keyof typeof METHODS)[]]

/** One stated value: grade defaults to heard. */
export const statedSchema = z.strictObject({
  value: z.unknown(),
  plusMinus: z.number().nonnegative().optional(),
  method: z.enum(methodIds).optional(),
  grade: z.enum(GRADES).optional(),
  /** What the person wrote, kept beside the value. */
  typed: z.string().max(20_000).optional(),
})

const fieldSchema = z.union([statedSchema, z.array(statedSchema).min(1).max(50)])

/** A port on the wire: fields by name, coordinates in the train frame, nothing mirrored. */
export const wirePortSchema = z
  .strictObject({
    kind: z.enum(Object.keys(PORT_KINDS) as [PortKindName, ...PortKindName[]]),
    slot: z.string().trim().min(1).max(60).regex(NO_CONTROLS, CONTROLS_SAID).default('main'),
    looks: z.enum(['forward', 'rearward']).optional(),
    fields: z.record(z.string().max(60), fieldSchema).default({}),
  })
  .superRefine((port, ctx) => {
    const words = PORT_KINDS[port.kind].fields as Record<string, FieldWords<unknown>>
    for (const [name, stated] of Object.entries(port.fields)) {
      const field = own(words, name)
      if (!field) {
        ctx.addIssue({
          code: 'custom',
          path: ['fields', name],
          message: `A ${port.kind} has no field "${name}". It has: ${Object.keys(words).join(', ')}.`,
        })
        continue
      }
      const list = Array.isArray(stated) ? stated : [stated]
      list.forEach((one, i) => {
        const fault = faultIn(field, one.value)
        if (fault !== null)
          ctx.addIssue({
            code: 'custom',
            path: ['fields', name, ...(Array.isArray(stated) ? [i] : []), 'value'],
            message: fault,
          })
      })
    }
    const against = contradictionIn(port.kind, (name) => {
      const stated = own(port.fields, name)
      return (Array.isArray(stated) ? stated[0] : stated)?.value
    })
    if (against)
      ctx.addIssue({ code: 'custom', path: ['fields', against.fields[0]], message: against.words })
  })
  .meta({ id: 'Port' })

export type WirePort = z.infer<typeof wirePortSchema>

export const wirePartSchema = z
  .strictObject({
    id: z.string().min(1).max(80),
    kind: z.string().max(60).default('part'),
    name: z.string().max(200).optional(),
    ports: z.array(wirePortSchema).max(40),
  })
  .meta({ id: 'Part' })
export type WirePart = z.infer<typeof wirePartSchema>

export const tolerancesSchema = z.partialRecord(
  z.enum(Object.keys(TOLERANCES) as [keyof typeof TOLERANCES, ...(keyof typeof TOLERANCES)[]]),
  z.number().finite(),
)

export const limitsSchema = z.strictObject({
  use: z.enum(['road', 'delivery', 'towing', 'trail', 'track']).optional(),
})

/** Which way a face looks by its slot, where it is not said. */
const FACE_SLOTS: Readonly<Record<string, 'forward' | 'rearward'>> = {
  front: 'forward',
  case: 'forward',
  rear: 'rearward',
}

/** Wire part to the core's: every stated value becomes a claim. */
export function toCorePart(part: WirePart): Part {
  const used = new Map<string, number>()
  return {
    id: part.id,
    kind: part.kind,
    name: part.name ?? part.id,
    ports: part.ports.map((port) => {
      const base = `${part.id}/${port.kind}/${port.slot}${port.looks ? `-${port.looks}` : ''}`
      const count = (used.get(base) ?? 0) + 1
      used.set(base, count)
      return toCorePort(port, count > 1 ? `${base}-${count}` : base)
    }),
  }
}

export function toCorePort(port: WirePort, id: string): Port {
  const claims = Object.fromEntries(
    Object.entries(port.fields).map(([name, stated]) => [
      name,
      (Array.isArray(stated) ? stated : [stated]).map(
        (one, i): Claim => ({
          id: `${id}.${name}.${i}`,
          value: one.value,
          grade: one.grade ?? 'heard',
          ...(one.plusMinus === undefined ? {} : { plusMinus: one.plusMinus }),
          ...(one.method === undefined ? {} : { method: one.method }),
          ...(one.typed === undefined ? {} : { typed: one.typed }),
        }),
      ),
    ]),
  )
  const looks = port.looks ?? (port.kind === 'face' ? own(FACE_SLOTS, port.slot) : undefined)
  return { id, kind: port.kind, slot: port.slot, ...(looks ? { looks } : {}), claims }
}
