import { shapeOf, type TableName } from './tables.ts'

/** A row as it is read: every one has an id and a version. */
export type Row = { id: string; version: number } & Record<string, unknown>

/** JSON columns hold `{v, data}`: v is the frozen shape the data was written in. */
export const pack = (data: unknown): string => JSON.stringify({ v: 1, data })
export const unpack = (text: unknown): unknown => (typeof text === 'string' ? (JSON.parse(text) as { data: unknown }).data : null)

/** A row as it is stored: JSON packed, flags as 0 or 1. */
export function toRow(table: TableName, values: Record<string, unknown>): Record<string, unknown> {
  const { json = [], flags = [] } = shapeOf(table)
  const out: Record<string, unknown> = {}
  for (const [key, value] of Object.entries(values)) {
    if (value === undefined) continue
    if (json.includes(key)) out[key] = value === null ? null : pack(value)
    else if (flags.includes(key)) out[key] = value === null ? null : value ? 1 : 0
    else out[key] = value
  }
  return out
}
