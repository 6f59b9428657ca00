import type { z } from 'zod'
import { STORED_ROWS } from '../../contract/stored.ts'
import type { Row, RowOf } from './row.ts'
import { shapeOf, type TableName } from './tables.ts'

export interface RowFault {
  readonly field: string
  readonly message: string
}

/** A row that cannot be read as what it should be: kept as it stands, used by nothing, named until somebody mends it. */
export interface AsideRow {
  readonly table: TableName
  readonly id: string
  readonly name: string
  readonly faults: readonly RowFault[]
  /** The row it belongs to, where only that one is at fault. */
  readonly because: string | null
}

const registers = new WeakMap<object, Map<string, AsideRow>>()

/** Rows set aside in a database, as far as they were met. */
export function asideOf(root: object): Map<string, AsideRow> {
  let held = registers.get(root)
  if (!held) registers.set(root, (held = new Map()))
  return held
}

const changes = new WeakMap<object, number>()
/** How often a row was set aside, or could be read again. */
export const asideChanges = (root: object): number => changes.get(root) ?? 0

/** What is wrong with a row by the contract; none where it is as it was typed. `version` is the store's own. */
export function faultsOf(
  table: TableName,
  { version: _, ...row }: Record<string, unknown>,
): RowFault[] {
  const { success, error } = (STORED_ROWS[table] as z.ZodType).safeParse(row)
  return success
    ? []
    : error.issues.map((issue) => ({
        field: issue.path.map(String).join('.') || 'row',
        message: issue.message,
      }))
}

/** What is wrong with a row where it stands: its own faults, or a reference to one that is set aside. */
function verdict(
  aside: ReadonlyMap<string, AsideRow>,
  table: TableName,
  row: Record<string, unknown>,
  unreadable: readonly RowFault[],
): { faults: readonly RowFault[]; because: string | null; without: string[] } {
  const faults = unreadable.length > 0 ? unreadable : faultsOf(table, row)
  if (faults.length > 0 || aside.size === 0) return { faults, because: null, without: [] }
  const { refs = {}, loose = [] } = shapeOf(table)
  const without: string[] = []
  for (const [column, target] of Object.entries(refs)) {
    const owner =
      typeof row[column] === 'string' ? aside.get(`${target}:${row[column]}`) : undefined
    if (!owner || (target === table && owner.id === row.id)) continue
    if (!loose.includes(column))
      return {
        faults: [{ field: column, message: `${owner.name} is set aside.` }],
        because: `${target}:${owner.id}`,
        without: [],
      }
    without.push(column)
  }
  return { faults: [], because: null, without }
}

/**
 * A row as it may be read: itself, or with a loose reference left out, or null when it is set aside. What it refers to
 * counts: a claim on a port that is set aside cannot be read either.
 *
 * @param isKept whether what is found is remembered: not inside a transaction, which may yet be undone
 */
export function soundRow<T extends TableName>(
  root: object,
  table: T,
  row: Row,
  unreadable: readonly RowFault[],
  isKept: boolean,
): RowOf<T> | null {
  const aside = asideOf(root)
  const key = `${table}:${row.id}`
  const { faults, because, without } = verdict(aside, table, row, unreadable)
  if (isKept && faults.length > 0) {
    if (!aside.has(key)) changes.set(root, asideChanges(root) + 1)
    aside.set(key, {
      table,
      id: row.id,
      name: String(row.name ?? row.needId ?? row.field ?? row.id).slice(0, 120),
      faults,
      because,
    })
  } else if (isKept && aside.delete(key)) changes.set(root, asideChanges(root) + 1)
  if (faults.length > 0) return null
  const sound =
    without.length > 0
      ? { ...row, ...Object.fromEntries(without.map((column) => [column, null])) }
      : row
  return sound as RowOf<T>
}
