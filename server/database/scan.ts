import { setImmediate } from 'node:timers/promises'
import { onChange } from './changes.ts'
import { mirrored } from './mirror.ts'
import { asideOf } from './set-aside.ts'
import type { Store } from './store.ts'
import { shapeOf, TABLE_NAMES, type TableName } from './tables.ts'

/** What was read of the large tables of a database: all once, then what is written. */
interface Scan {
  readonly epoch: number
  isWhole: boolean
  /** Rows to be read again, as `table:id`. */
  readonly stale: Set<string>
  working: Promise<void>
}
const scans = new WeakMap<object, Scan>()
const followed = new WeakSet<object>()
const LARGE = TABLE_NAMES.filter((table) => shapeOf(table).isLarge)
const AT_ONCE = 500

/** Sees to it that every row that cannot be read is known: the first time all are read, later what was written since. */
export async function scan(store: Store): Promise<void> {
  if (!followed.has(store.root)) {
    followed.add(store.root)
    onChange(store.root, (change) => {
      const now = scans.get(store.root)
      if (!now) return
      for (const table of change.tables)
        for (const id of change.rowsOf(table)) now.stale.add(`${table}:${id}`)
    })
  }
  let now = scans.get(store.root)
  if (now?.epoch !== store.epoch)
    scans.set(
      store.root,
      (now = { epoch: store.epoch, isWhole: false, stale: new Set(), working: Promise.resolve() }),
    )
  const held = now
  held.working = held.working.catch(() => undefined).then(() => follow(store, held))
  return held.working
}

async function follow(store: Store, held: Scan): Promise<void> {
  const before = new Set(asideOf(store.root).keys())
  for (const table of TABLE_NAMES) if (!shapeOf(table).isLarge) await mirrored(store, table)
  if (!held.isWhole) {
    held.stale.clear()
    for (const table of LARGE) await readWhole(store, table)
    held.isWhole = true
    return
  }
  let known: ReadonlySet<string> = before
  while (held.stale.size > 0 || isOther(known, asideOf(store.root))) {
    await addHanging(store, held.stale, known)
    known = new Set(asideOf(store.root).keys())
    const ids = [...held.stale]
    held.stale.clear()
    for (const table of LARGE)
      await readAgain(
        store,
        table,
        ids.flatMap((one) => (one.startsWith(`${table}:`) ? [one.slice(table.length + 1)] : [])),
      )
  }
}

async function readWhole(store: Store, table: TableName): Promise<void> {
  for (let last: string | null = ''; last !== null; ) {
    last = await store.readPage(table, last, AT_ONCE)
    await setImmediate()
  }
}

async function readAgain(store: Store, table: TableName, ids: readonly string[]): Promise<void> {
  const found = new Set((await store.readIn(table, 'id', ids)).map((row) => row.id))
  const aside = asideOf(store.root)
  for (const id of ids)
    if (!found.has(id) && aside.has(`${table}:${id}`) && !(await store.isThere(table, id)))
      aside.delete(`${table}:${id}`)
}

const isOther = (known: ReadonlySet<string>, now: ReadonlyMap<string, unknown>): boolean =>
  known.size !== now.size || [...known].some((one) => !now.has(one))

/** What belongs to a row that can be read again, or no longer, is read again too. */
async function addHanging(
  store: Store,
  stale: Set<string>,
  known: ReadonlySet<string>,
): Promise<void> {
  const now = asideOf(store.root)
  const moved = [...new Set([...known, ...now.keys()])].filter(
    (one) => known.has(one) !== now.has(one),
  )
  for (const one of moved) {
    const at = one.indexOf(':')
    for (const table of LARGE)
      for (const [column, target] of Object.entries(shapeOf(table).refs ?? {}))
        if (target === one.slice(0, at))
          for (const { id } of (await store
            .knex(table)
            .where({ [column]: one.slice(at + 1) })
            .select('id')) as { id: string }[])
            stale.add(`${table}:${id}`)
  }
}
