import { z } from 'zod'
import type { Claim } from '../quantity/claim.ts'
import { compileField, type Field, type FieldWords } from './field.ts'
import { RANGES } from './ranges.ts'

export type Looks = 'forward' | 'rearward'

/** A port as rows and wire hold it: claims by field. Its id is `part/kind/slot`. */
export interface Port {
  readonly id: string
  readonly kind: string
  readonly slot: string
  readonly looks?: Looks | undefined
  readonly claims: Readonly<Record<string, readonly Claim[]>>
}

/** A part as rows and wire hold it. */
export interface Part {
  readonly id: string
  readonly kind: string
  readonly name: string
  readonly ports: readonly Port[]
}

export interface PortHead {
  readonly id: string
  readonly part: string
  readonly kind: string
  readonly slot: string
  readonly looks: Looks | null
  /** False for the stand-in of a piece nobody has named: all its fields are unknown. */
  readonly present: boolean
}

type Fields = Readonly<Record<string, FieldWords<any>>>
/** How each field is measured or found out, in shop words. */
type How<F extends Fields> = { readonly [K in keyof F]: string }
export type CompiledPort<F extends Fields = Fields> = PortHead & {
  readonly [K in keyof F]: F[K] extends FieldWords<infer T> ? Field<T> : never
}

export interface PortKind<F extends Fields = Fields> {
  readonly kind: string
  readonly title: string
  /** Which end of the train carries it when it looks neither way. */
  readonly end: 'engine' | 'gearbox'
  /** Which way it looks unless the port says otherwise; null where it does not look. */
  readonly looks: Looks | null
  readonly fields: F
  /** Values by field name, as the wire and rows must hold them. */
  readonly schema: z.ZodType<Partial<Record<string, unknown>>>
  readonly compile: (
    port: Port,
    part: { id: string; name: string },
    specimen?: string,
    present?: boolean,
  ) => CompiledPort<F>
  /** The piece nobody has named yet: every field unknown, never skipped. */
  readonly missing: CompiledPort<F>
}

/** Every field with how it is found out, every figure with its range. @throws TypeError where the table of ranges leaves one out */
function withRanges<F extends Fields>(kind: string, fields: F, how: How<F>): F {
  const ranged = Object.entries(fields).map(([name, words]) => {
    const told = { ...words, how: how[name]! }
    if (!['number', 'numbers', 'zones'].includes(words.type)) return [name, told]
    const range = RANGES[kind]?.[name]
    if (!range) throw new TypeError(`The field ${kind}.${name} has no range: see ranges.ts.`)
    return [name, { ...told, range }]
  })
  return Object.fromEntries(ranged) as F
}

/** Declares a port kind from the words of its fields. */
export function definePort<const F extends Fields>(declared: {
  kind: string
  title: string
  end: 'engine' | 'gearbox'
  looks?: Looks
  fields: F
  how: How<NoInfer<F>>
}): PortKind<F> {
  const { kind, title, end } = declared
  const fields = withRanges(kind, declared.fields, declared.how)
  const looks = declared.looks ?? null
  const names = Object.keys(fields)
  const compile = (
    port: Port,
    part: { id: string; name: string },
    specimen?: string,
    present = true,
  ): CompiledPort<F> => {
    const compiled: Record<string, unknown> = {
      id: port.id,
      part: part.id,
      kind,
      slot: port.slot,
      looks: port.looks ?? looks,
      present,
    }
    for (const name of names) {
      const words = fields[name]!
      compiled[name] = compileField(
        port.claims[name],
        { port: port.id, part: part.id, partName: part.name, field: name, words },
        specimen,
      )
    }
    return Object.freeze(compiled) as CompiledPort<F>
  }
  const shape = Object.fromEntries(names.map((name) => [name, fields[name]!.schema.optional()]))
  return {
    kind,
    title,
    end,
    looks,
    fields,
    schema: z.strictObject(shape),
    compile,
    missing: compile(
      { id: `?/${kind}/main`, kind, slot: 'main', claims: {} },
      { id: '?', name: title },
      undefined,
      false,
    ),
  }
}
