import { groupBy } from '../../../core/group.ts'
import type { RowOf, Store } from '../../database/store.ts'

type Items = { kit: 'kitItem'; donor: 'donorItem' }
type Item = Given & { readonly partId: string }
type Given = Readonly<Record<string, unknown>>

/** What comes together: kits, or donors, each with its items and the names of their parts. */
function bundlesOf<K extends keyof Items>(
  kind: K,
  table: Items[K],
  column: 'kitId' | 'donorId',
  ownerOf: (item: RowOf<Items[K]>) => string,
) {
  const withItems = async (store: Store, rows: readonly RowOf<K>[]) => {
    const ids = rows.map((row) => row.id)
    const items = await store.listIn(table, column, ids)
    const partIds = items.map((item) => item.partId)
    const parts = new Map((await store.listIn('part', 'id', partIds)).map((one) => [one.id, one]))
    const named = items.map((item) => ({
      ...item,
      partName: parts.get(item.partId)?.name ?? null,
      partKind: parts.get(item.partId)?.kind ?? null,
    }))
    const ofEach = groupBy(named, ownerOf)
    return rows.map((row) => ({ ...row, items: ofEach.get(row.id) ?? [] }))
  }
  const get = async (store: Store, id: string) =>
    (await withItems(store, [await store.get(kind, id)]))[0]!
  /** What stays keeps its row: locks and plans name it by that. */
  const putItems = async (tx: Store, id: string, items: readonly Item[]): Promise<void> => {
    // A part may stand in it twice.
    const before = groupBy(await tx.list(table, { [column]: id }), (one) => one.partId)
    for (const item of items) {
      const old = before.get(item.partId)?.shift()
      if (!old) await tx.insert(table, { ...item, [column]: id })
      else if (Object.entries(item).some(([name, value]) => old[name as 'id'] !== value))
        await tx.update(table, old.id, old.version, item)
    }
    for (const { id: gone } of [...before.values()].flat()) await tx.remove(table, gone)
  }
  return {
    list: async (store: Store) => withItems(store, await store.list(kind)),
    get,

    /** Adds one with its items, whole or not at all. */
    create: (store: Store, { items, ...row }: Given & { items: readonly object[] }) =>
      store.transaction(async (tx) => {
        const { id } = await tx.insert(kind, row)
        for (const item of items) await tx.insert(table, { ...item, [column]: id })
        return get(tx, id)
      }),

    /** Changes one; items given replace those there. */
    update: (
      store: Store,
      id: string,
      {
        version,
        items,
        ...patch
      }: Given & { version: number; items?: readonly Item[] | undefined },
    ) =>
      store.transaction(async (tx) => {
        await tx.update(kind, id, version, patch)
        if (items) await putItems(tx, id, items)
        return get(tx, id)
      }),
  }
}

export const kits = bundlesOf('kit', 'kitItem', 'kitId', (item) => item.kitId)
export const donors = bundlesOf('donor', 'donorItem', 'donorId', (item) => item.donorId)
