import type { FactRow } from '../facts/fact-row.ts'
import { type FieldWords, word } from './field.ts'
import { definePort, type PortKind } from './port.ts'

/** A field by the tail of each key: `engine.throttle` is the field `throttle`. */
type Traits<T> = { readonly [K in keyof T as Tail<K>]: FieldWords<string | null> }
type Tail<K> = K extends `${string}.${infer R}` ? R : never

/** Facts of one owner as the fields of a port, so that they are claimed, graded, contradicted and shared like any other. */
export function traits<const T extends Readonly<Record<string, FactRow>>>(
  kind: string,
  title: string,
  end: 'engine' | 'gearbox',
  facts: T,
): PortKind<Traits<T>> {
  const rows = Object.entries(facts).map(
    ([key, row]) => [key.slice(key.indexOf('.') + 1), row] as const,
  )
  return definePort<Traits<T>>({
    kind,
    title,
    end,
    fields: Object.fromEntries(
      rows.map(([tail, { values }]) => [tail, word(labelOf(tail), values)]),
    ) as Traits<T>,
    how: Object.fromEntries(
      rows.map(([tail, { asks, found }]) => [tail, [asks, found].filter(Boolean).join(' Found: ')]),
    ) as { readonly [K in keyof Traits<T>]: string },
  })
}

const labelOf = (tail: string): string =>
  `${tail[0]!.toUpperCase()}${tail.slice(1).replaceAll('-', ' ')}`
