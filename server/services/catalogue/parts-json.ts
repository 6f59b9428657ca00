import { Readable } from 'node:stream'
import type { z } from 'zod'
import { partDocument } from '../../../contract/parts-document.ts'
import type { partsQuery } from '../../../contract/rows.ts'
import { groupBy } from '../../../core/group.ts'
import type { Store } from '../../database/store.ts'
import { listParts } from './parts-found.ts'

const PAGE = 200

/** Parts as one JSON document, written as they are read: each with its ports, what is claimed of them, and its numbers. */
export function partsJson(
  store: Store,
  asked: z.output<typeof partsQuery>,
): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder()
  async function* pieces(): AsyncGenerator<Uint8Array> {
    yield encoder.encode('{"format":"junket-parts","version":1,"parts":[')
    let isFirst = true
    for await (const part of partsWhole(store, asked)) {
      yield encoder.encode(`${isFirst ? '' : ','}\n${JSON.stringify(partDocument.parse(part))}`)
      isFirst = false
    }
    yield encoder.encode(']}\n')
  }
  return Readable.toWeb(Readable.from(pieces())) as ReadableStream<Uint8Array>
}

async function* partsWhole(store: Store, asked: z.output<typeof partsQuery>) {
  const issuers = new Map((await store.list('issuer')).map(({ id, name }) => [id, name]))
  for (let after = asked.after; ; ) {
    const { items, next } = await listParts(store, { ...asked, after, limit: PAGE })
    const ids = items.map(({ id }) => id)
    const [ports, numbers] = await Promise.all([
      store.readIn('port', 'partId', ids),
      store.readIn('partNumber', 'partId', ids),
    ])
    const claims = groupBy(
      (
        await store.readIn(
          'claim',
          'portId',
          ports.map(({ id }) => id),
        )
      ).filter(({ struckDay, specimenId }) => struckDay === null && specimenId === null),
      ({ portId }) => portId,
    )
    for (const part of items)
      yield {
        id: part.id,
        kind: part.kind,
        name: part.name,
        ...some({
          fromYear: part.fromYear,
          toYear: part.toYear,
          massG: part.massG,
          family: part.family,
          generation: part.generation,
          note: part.note,
        }),
        numbers: numbers
          .filter((one) => one.partId === part.id && one.struckDay === null)
          .map((one) => ({
            issuer: issuers.get(one.issuerId) ?? one.issuerId,
            number: one.number,
            mark: one.mark,
            grade: one.grade,
          })),
        ports: ports
          .filter((port) => port.partId === part.id)
          .map((port) => ({
            kind: port.kind,
            slot: port.slot,
            ...some({ looks: port.looks }),
            claims: (claims.get(port.id) ?? []).map((claim) => ({
              field: claim.field,
              value: claim.value,
              grade: claim.grade,
              ...some({
                plusMinus: claim.plusMinus,
                method: claim.method,
                source: claim.source,
                by: claim.saidBy,
                on: claim.day,
              }),
            })),
          })),
      }
    if (next === null) return
    after = next
  }
}

/** Fields that say something. */
const some = (fields: Readonly<Record<string, unknown>>): Record<string, unknown> =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== null))
