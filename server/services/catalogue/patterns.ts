import { compilePart, portsOf } from '../../../core/ports/index.ts'
import type { RowOf, Store } from '../../database/store.ts'
import type { PatternFace } from '../../documents/pattern-dxf.ts'
import { toCoreParts } from '../shop/core-parts.ts'

/** The faces of a part whose holes are known, by slot. */
export async function facesOf(
  store: Store,
  partId: string,
): Promise<{ part: RowOf<'part'>; faces: (PatternFace & { looks: 'forward' | 'rearward' })[] }> {
  const part = await store.get('part', partId)
  const ports = await store.list('port', { partId, kind: 'face' })
  const claims = await store.listIn(
    'claim',
    'portId',
    ports.map((port) => port.id),
  )
  const compiled = compilePart(toCoreParts([part], ports, claims)[0]!)
  const faces = portsOf(compiled, 'face').flatMap(
    ({
      slot,
      looks,
      holes,
      dowels,
      outline,
    }): (PatternFace & {
      looks: 'forward' | 'rearward'
    })[] => {
      return holes.v
        ? [
            {
              name: slot,
              looks: looks ?? 'rearward',
              holes: holes.v,
              dowels: dowels.v ?? [],
              outline: outline.v ?? [],
            },
          ]
        : []
    },
  )
  return { part, faces }
}
