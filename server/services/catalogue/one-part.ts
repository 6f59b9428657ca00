import { type CompiledPart, compilePart, fieldOf, PORT_KINDS } from '../../../core/ports/index.ts'
import type { Port } from '../../../core/ports/port.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { toCoreParts } from '../shop/core-parts.ts'

/** One part, compiled from its own rows and no others. @throws MissingError */
export async function onePart(store: Store, partId: string): Promise<CompiledPart> {
  const part = await store.get('part', partId)
  const ports = await store.list('port', { partId })
  const claims = await store.listIn(
    'claim',
    'portId',
    ports.map((port) => port.id),
  )
  return compilePart(toCoreParts([part], ports, claims)[0]!)
}

/** Rebuilds the chosen value of each field of a part, as columns for filtering and joining. */
export async function rebuildPortValues(store: Store, partId: string): Promise<void> {
  const ports = await store.list('port', { partId })
  await store
    .knex('portValue')
    .whereIn(
      'portId',
      ports.map((port) => port.id),
    )
    .delete()
  const rows = (await onePart(store, partId)).ports.flatMap((port) =>
    Object.keys(PORT_KINDS[port.kind].fields).flatMap((field) => {
      const { v, claim } = fieldOf(port, field)!
      return claim === null
        ? []
        : [
            {
              portId: port.id,
              field,
              number: typeof v === 'number' ? v : null,
              text: typeof v === 'number' ? null : typeof v === 'string' ? v : JSON.stringify(v),
              claimId: claim,
            },
          ]
    }),
  )
  for (let i = 0; i < rows.length; i += 100)
    await store.knex('portValue').insert(rows.slice(i, i + 100))
}

/** Writes a port of a part, as core has it. */
export const insertPort = (
  tx: Store,
  partId: string,
  { id, kind, slot, looks }: Pick<Port, 'id' | 'kind' | 'slot' | 'looks'>,
): Promise<RowOf<'port'>> => tx.insert('port', { id, partId, kind, slot, looks: looks ?? null })
