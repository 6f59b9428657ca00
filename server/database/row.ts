import type { StoredRow } from '../../contract/stored.ts'
import type { SqlValue } from './sqlite/run-many.ts'
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

const asFlag = (value: unknown): SqlValue => (value == null ? null : value ? 1 : 0)
const asJson = (value: unknown): SqlValue => (value == null ? null : pack(value))
const asIs = (value: unknown): SqlValue =>
  typeof value === 'boolean' ? Number(value) : ((value ?? null) as SqlValue)

/** How the values of a column are stored: JSON packed, flags as 0 or 1. */
export function storing(table: TableName, column: string): (value: unknown) => SqlValue {
  const { json = [], flags = [] } = shapeOf(table)
  if (json.includes(column)) return asJson
  return flags.includes(column) ? asFlag : asIs
}

/** Columns of rows that are stored: those that are no more are left out. */
export const storedColumns = (table: TableName, row: object): readonly string[] => {
  const { retired = [] } = shapeOf(table)
  return Object.keys(row).filter((column) => !retired.includes(column))
}

/** A row as it is stored. */
export function toRow(table: TableName, values: Record<string, unknown>): Record<string, unknown> {
  const out: Record<string, unknown> = {}
  for (const column of storedColumns(table, values)) {
    const value = values[column]
    if (value !== undefined) out[column] = storing(table, column)(value)
  }
  return out
}
