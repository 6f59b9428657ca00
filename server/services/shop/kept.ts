import type { z } from 'zod'
import type { keptInput } from '../../../contract/kept.ts'
import type { RowOf, Store } from '../../database/store.ts'

/** Keeps something under a name, in place of what was kept under it; nothing is written where it is the same. */
export const keep = (store: Store, input: z.output<typeof keptInput>): Promise<RowOf<'kept'>> =>
  store.transaction(async (tx) => {
    const { what, name, value } = input
    const [held] = await tx.list('kept', { what, name })
    if (!held) return tx.insert('kept', input)
    if (JSON.stringify(held.value) === JSON.stringify(value)) return held
    return tx.update('kept', held.id, held.version, { value })
  })
