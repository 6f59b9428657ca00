import type { StoredRow } from '../../contract/stored.ts'
import { shapeOf, type TableName } from './tables.ts'

/** A row of any table as it is read: every one has an id and a version. */
export type Row = { id: string; version: number } & Record<string, unknown>

/** A row of one table as it is read. */
export type RowOf<T extends TableName> = StoredRow<T>

/** JSON columns hold `{v, data}`: v is the frozen shape the data was written in. */
const VERSION = 1
export const pack = (data: unknown): string => JSON.stringify({ v: VERSION, data })
/** @throws SyntaxError where it is not JSON, or was written in a shape that is not read here */
export function unpack(text: unknown): unknown {
  if (typeof text !== 'string') return null
  const held = JSON.parse(text) as { v?: unknown; data?: unknown } | null
  if (held?.v !== VERSION)
    throw new SyntaxError(
      `What is stored is of version ${String(held?.v)}; version ${VERSION} is read.`,
    )
  return held.data
}

/** What was told of a row, without columns that are no more. */
export function withoutRetired<T extends Record<string, unknown> | null>(
  table: TableName,
  values: T,
): T {
  const { retired = [] } = shapeOf(table)
  return values === null || retired.length === 0
    ? values
    : (Object.fromEntries(Object.entries(values).filter(([key]) => !retired.includes(key))) as T)
}

/** A row as it is stored: JSON packed, flags as 0 or 1. */
export function toRow(table: TableName, values: Record<string, unknown>): Record<string, unknown> {
  const { json = [], flags = [], retired = [] } = shapeOf(table)
  const out: Record<string, unknown> = {}
  for (const [key, value] of Object.entries(values)) {
    if (value === undefined || retired.includes(key)) continue
    if (json.includes(key)) out[key] = value === null ? null : pack(value)
    else if (flags.includes(key)) out[key] = value === null ? null : value ? 1 : 0
    else out[key] = value
  }
  return out
}
