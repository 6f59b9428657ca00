import type { Store } from '../database/store.ts'
import type { TableName } from '../database/tables.ts'

/** Where there is nothing more to say. */
export const DONE = { done: true } as const

/** Moves a row with what it owns to the trash: what is answered puts it back. */
export const toTrash = async (
  store: Store,
  table: TableName,
  id: string,
): Promise<{ readonly trash: string }> => ({
  trash: await store.transaction((tx) => tx.remove(table, id)),
})
