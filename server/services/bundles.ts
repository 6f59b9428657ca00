import type { Row, Store } from '../database/store.ts'

type Bundle = 'kit' | 'donor'
const ITEMS = { kit: ['kitItem', 'kitId'], donor: ['donorItem', 'donorId'] } as const

const withItems = async (store: Store, kind: Bundle, rows: readonly Row[]): Promise<Row[]> => {
  const [table, column] = ITEMS[kind]
  const items = await store.listIn(
    table,
    column,
    rows.map((row) => row.id),
  )
  const parts = new Map(
    (
      await store.listIn(
        'part',
        'id',
        items.map((item) => String(item.partId)),
      )
    ).map((part) => [part.id, part]),
  )
  return rows.map((row) => ({
    ...row,
    items: items
      .filter((item) => item[column] === row.id)
      .map((item) => ({
        ...item,
        partName: parts.get(String(item.partId))?.name,
        partKind: parts.get(String(item.partId))?.kind,
      })),
  }))
}

export async function listBundles(store: Store, kind: Bundle): Promise<Row[]> {
  return withItems(store, kind, await store.list(kind))
}

export async function getBundle(store: Store, kind: Bundle, id: string): Promise<Row> {
  return (await withItems(store, kind, [await store.get(kind, id)]))[0]!
}

/** Adds a kit or donor with its items, whole or not at all. */
export async function createBundle(
  store: Store,
  kind: Bundle,
  { items, ...row }: Record<string, unknown> & { items: readonly object[] },
): Promise<Row> {
  return store.transaction(async (tx) => {
    const [table, column] = ITEMS[kind]
    const made = await tx.insert(kind, row)
    for (const item of items) await tx.insert(table, { ...item, [column]: made.id })
    return getBundle(tx, kind, made.id)
  })
}

/** Changes a kit or donor; items given replace those there. */
export async function updateBundle(
  store: Store,
  kind: Bundle,
  id: string,
  {
    version,
    items,
    ...patch
  }: Record<string, unknown> & { version: number; items?: readonly object[] },
): Promise<Row> {
  return store.transaction(async (tx) => {
    const [table, column] = ITEMS[kind]
    await tx.update(kind, id, version, patch)
    if (items) {
      for (const old of await tx.list(table, { [column]: id })) await tx.remove(table, old.id)
      for (const item of items) await tx.insert(table, { ...item, [column]: id })
    }
    return getBundle(tx, kind, id)
  })
}
