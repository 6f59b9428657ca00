import { onChange } from './changes.ts'
import type { Row, RowOf } from './row.ts'
import { asideOf } from './set-aside.ts'
import { shapeOf, type TableName } from './tables.ts'

/** What a mirror reads from: the database straight, and when its file was replaced. */
export interface Source {
  readonly root: object
  readonly epoch: number
  read(table: TableName): Promise<Row[]>
  readIn(table: TableName, column: string, values: readonly string[]): Promise<Row[]>
  isThere(table: TableName, id: string): Promise<boolean>
  readReferred(table: TableName, column: string, target: TableName): Promise<unknown>
}

/** One row as it was and as it is; either absent where it was added or removed. */
export interface RowChange<R = Row> {
  readonly from: R | undefined
  readonly to: R | undefined
}

/** Changes kept for those who follow; who is further behind reads everything anew. */
const FOLLOWED = 100_000
/** More rows at once than are put in one by one. */
const MANY = 300

/** A mirror of one table as it is read. */
export interface TableMirror<T extends TableName> {
  readonly rows: ReadonlyMap<string, RowOf<T>>
  /** By id: the same array until a row changes. */
  readonly list: readonly RowOf<T>[]
  /** How many changes there were. */
  readonly seq: number
  /** Rows of one value of a column, by id. */
  group(column: keyof RowOf<T> & string, value: string): readonly RowOf<T>[]
  /** Changes after so many; null where they are forgotten. */
  since(seq: number): readonly RowChange<RowOf<T>>[] | null
}

/**
 * A whole table, by id, kept in memory. Rows are the same objects until they change, so what was computed from them can be
 * kept by identity; groups and the list are new arrays where something in them changed, and the same ones elsewhere.
 */
export class Mirror {
  /** Of the file it was read from; −1: read it anew. */
  epoch: number
  readonly rows = new Map<string, Row>()
  /** Rows written since they were read. */
  readonly stale = new Set<string>()
  /** By id: the same array until a row changes. */
  list: readonly Row[] = []
  syncing: Promise<void> = Promise.resolve()
  readonly #groups = new Map<string, Map<string, readonly Row[]>>()
  readonly #changes: RowChange[] = []
  #forgotten = 0

  constructor(epoch: number) {
    this.epoch = epoch
  }

  fill(rows: readonly Row[]): void {
    for (const row of rows) this.rows.set(row.id, row)
    this.list = rows
  }

  /** Rows of one value of a column, by id. */
  group(column: string, value: string): readonly Row[] {
    let groups = this.#groups.get(column)
    if (!groups) {
      const gathered = new Map<string, Row[]>()
      for (const row of this.list) {
        const key = String(row[column])
        const held = gathered.get(key)
        if (held) held.push(row)
        else gathered.set(key, [row])
      }
      this.#groups.set(column, (groups = gathered))
    }
    return groups.get(value) ?? []
  }

  /** Takes in what was written; many rows at once are laid into the list in one pass. */
  take(rows: readonly (readonly [id: string, to: Row | undefined])[]): void {
    if (rows.length <= MANY) {
      for (const [id, to] of rows) this.#put(id, to)
      return
    }
    for (const [id, to] of rows) {
      this.#follow({ from: this.rows.get(id), to })
      if (to) this.rows.set(id, to)
      else this.rows.delete(id)
    }
    const written = new Map(rows)
    const fresh = [...written].flatMap(([, to]) => to ?? []).sort((p, q) => (p.id < q.id ? -1 : 1))
    this.list = merged(
      this.list.filter(({ id }) => !written.has(id)),
      fresh,
    )
    this.#groups.clear()
  }

  #follow(change: RowChange): void {
    this.#changes.push(change)
    if (this.#changes.length > 2 * FOLLOWED)
      this.#forgotten += this.#changes.splice(0, FOLLOWED).length
  }

  #put(id: string, to: Row | undefined): void {
    const from = this.rows.get(id)
    if (to) this.rows.set(id, to)
    else this.rows.delete(id)
    this.list = placed(this.list, id, to)
    for (const [column, groups] of this.#groups) {
      const [before, after] = [from && String(from[column]), to && String(to[column])]
      if (before !== undefined && before !== after)
        groups.set(before, placed(groups.get(before) ?? [], id, undefined))
      if (after !== undefined) groups.set(after, placed(groups.get(after) ?? [], id, to))
    }
    this.#follow({ from, to })
  }

  /** How many changes there were. */
  get seq(): number {
    return this.#forgotten + this.#changes.length
  }

  /** Changes after so many; null where they are forgotten. */
  since(seq: number): readonly RowChange[] | null {
    return seq < this.#forgotten ? null : this.#changes.slice(seq - this.#forgotten)
  }
}

/** Two lists by id as one. */
function merged(one: readonly Row[], other: readonly Row[]): readonly Row[] {
  const list: Row[] = []
  let at = 0
  for (const row of one) {
    while (at < other.length && other[at]!.id < row.id) list.push(other[at++]!)
    list.push(row)
  }
  return [...list, ...other.slice(at)]
}

/** A list by id with one row put in, changed or taken out. */
function placed(list: readonly Row[], id: string, row: Row | undefined): readonly Row[] {
  let [low, high] = [0, list.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (list[middle]!.id < id) low = middle + 1
    else high = middle
  }
  const isThere = list[low]?.id === id
  if (!isThere && !row) return list
  return [...list.slice(0, low), ...(row ? [row] : []), ...list.slice(isThere ? low + 1 : low)]
}

const mirrors = new WeakMap<object, Map<TableName, Mirror>>()

/**
 * A whole table, read again only where it was written. For use outside transactions: inside one, what it wrote itself is
 * not here yet.
 */
export async function mirrored<T extends TableName>(
  store: Source,
  table: T,
): Promise<TableMirror<T>> {
  let held = mirrors.get(store.root)
  if (!held) {
    const fresh = new Map<TableName, Mirror>()
    mirrors.set(store.root, (held = fresh))
    onChange(store.root, (change) => {
      for (const [table, { stale }] of fresh) for (const id of change.rowsOf(table)) stale.add(id)
    })
  }
  if (held.get(table)?.epoch !== store.epoch) await meet(store, table)
  let mirror = held.get(table)
  if (mirror?.epoch !== store.epoch) {
    const made = new Mirror(store.epoch)
    held.set(table, (mirror = made))
    made.syncing = store.read(table).then((rows) => made.fill(rows))
    made.syncing.catch(() => held.delete(table))
    await made.syncing
  }
  const whole = mirror
  // One after the other; one that failed is tried again by the next, not waited on for ever.
  whole.syncing = whole.syncing.catch(() => undefined).then(() => sync(store, table, whole))
  await whole.syncing
  // Rows are held against the contract of their table where they are read.
  return whole as unknown as TableMirror<T>
}

/**
 * Reads what rows of a table refer to, so that whether it can be read is known: small tables whole, and of large ones
 * the rows that a small table refers to.
 */
export async function meet(store: Source, table: TableName): Promise<void> {
  const held = mirrors.get(store.root)
  for (const [column, target] of Object.entries(shapeOf(table).refs ?? {})) {
    if (target === table) continue
    if (!shapeOf(target).isLarge) {
      if (held?.get(target)?.epoch !== store.epoch) await mirrored(store, target)
    } else if (!shapeOf(table).isLarge) await store.readReferred(table, column, target)
  }
}

async function sync(store: Source, table: TableName, mirror: Mirror): Promise<void> {
  if (mirror.stale.size === 0) return
  const ids = [...mirror.stale]
  mirror.stale.clear()
  try {
    const aside = asideOf(store.root)
    const before = ids.map((id) => aside.has(`${table}:${id}`))
    const found = new Map((await store.readIn(table, 'id', ids)).map((row) => [row.id, row]))
    for (const id of ids)
      if (!found.has(id) && aside.has(`${table}:${id}`) && !(await store.isThere(table, id)))
        aside.delete(`${table}:${id}`)
    mirror.take(ids.map((id) => [id, found.get(id)] as const))
    // What hangs on a row that was mended, or can no longer be read, is read anew.
    if (ids.some((id, i) => aside.has(`${table}:${id}`) !== before[i]))
      for (const [name, one] of mirrors.get(store.root) ?? []) if (name !== table) one.epoch = -1
  } catch (error) {
    for (const id of ids) mirror.stale.add(id)
    throw error
  }
}
