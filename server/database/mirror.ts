import { onChange } from './changes.ts'
import type { Row } from './row.ts'
import { asideOf } from './set-aside.ts'
import { shapeOf, type TableName } from './tables.ts'

/** What a mirror reads from: the database straight, and when its file was replaced. */
export interface Source {
  readonly root: object
  readonly epoch: number
  read(table: TableName): Promise<Row[]>
  readIn(table: TableName, column: string, values: readonly string[]): Promise<Row[]>
  isThere(table: TableName, id: string): Promise<boolean>
}

export interface Mirror {
  /** Of the file it was read from; −1: read it anew. */
  epoch: number
  readonly rows: Map<string, Row>
  /** Rows written since they were read. */
  readonly stale: Set<string>
  /** The same array until a row changes: what was computed from it may be kept as long. */
  list: readonly Row[]
  syncing: Promise<void>
}

const mirrors = new WeakMap<object, Map<TableName, Mirror>>()

/**
 * A whole table, by id, kept in memory and read again only where it was written. Rows are the same objects until they
 * change, so what was computed from them can be kept by identity. For use outside transactions: inside one, what it
 * wrote itself is not here yet.
 */
export async function mirrored(store: Source, table: TableName): Promise<Mirror> {
  let held = mirrors.get(store.root)
  if (!held) {
    const fresh = new Map<TableName, Mirror>()
    mirrors.set(store.root, (held = fresh))
    onChange(store.root, ({ touched }) => {
      for (const one of touched) {
        const [name, ...id] = one.split(':')
        fresh.get(name as TableName)?.stale.add(id.join(':'))
      }
    })
  }
  let mirror = held.get(table)
  if (mirror?.epoch !== store.epoch) {
    // What a row refers to is read first: whether it can be read counts.
    for (const target of new Set(Object.values(shapeOf(table).refs ?? {}))) if (target !== table && held.get(target)?.epoch !== store.epoch) await mirrored(store, target)
    mirror = held.get(table)
  }
  if (mirror?.epoch !== store.epoch) {
    const made: Mirror = { epoch: store.epoch, rows: new Map(), stale: new Set(), list: [], syncing: Promise.resolve() }
    held.set(table, (mirror = made))
    made.syncing = store.read(table).then((rows) => {
      for (const row of rows) made.rows.set(row.id, row)
      made.list = rows
    })
    made.syncing.catch(() => held.delete(table))
  }
  const whole = mirror
  whole.syncing = whole.syncing.then(() => sync(store, table, whole))
  await whole.syncing
  return whole
}

async function sync(store: Source, table: TableName, mirror: Mirror): Promise<void> {
  if (mirror.stale.size === 0) return
  const ids = [...mirror.stale]
  mirror.stale.clear()
  const aside = asideOf(store.root)
  const before = ids.map((id) => aside.has(`${table}:${id}`))
  const found = new Map((await store.readIn(table, 'id', ids)).map((row) => [row.id, row]))
  for (const id of ids) {
    const row = found.get(id)
    if (row) mirror.rows.set(id, row)
    else mirror.rows.delete(id)
  }
  for (const id of ids) if (!found.has(id) && !(await store.isThere(table, id))) aside.delete(`${table}:${id}`)
  // What hangs on a row that was mended, or can no longer be read, is read anew.
  if (ids.some((id, i) => aside.has(`${table}:${id}`) !== before[i])) for (const [name, one] of mirrors.get(store.root) ?? []) if (name !== table) one.epoch = -1
  mirror.list = [...mirror.rows.values()].sort((p, q) => (p.id < q.id ? -1 : 1))
}
