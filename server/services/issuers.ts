import type { RowOf, Store } from '../database/store.ts'
import { normaliseFor } from './parts.ts'

/** Changes how an issuer writes its numbers, and spells every number of its parts and offers anew; a clash changes nothing. */
export async function updateIssuer(
  store: Store,
  id: string,
  version: number,
  patch: Record<string, unknown>,
): Promise<RowOf<'issuer'>> {
  return store.transaction(async (tx) => {
    const issuer = await tx.update('issuer', id, version, patch)
    for (const table of ['partNumber', 'offer'] as const)
      for (const row of await tx.list(table, { issuerId: id })) {
        const normalised = row.number === null ? null : normaliseFor(issuer, row.number)
        if (normalised !== row.normalised)
          await tx.update(table, row.id, row.version, { normalised })
      }
    return issuer
  })
}
