import type { z } from 'zod'
import type { partsQuery } from '../../../../contract/rows.ts'
import { groupBy } from '../../../../core/group.ts'
import { writeWhere } from '../../../../core/identity/where-text.ts'
import { minorDigits } from '../../../../core/money/money.ts'
import type { ListKind } from '../../../../core/tables/lists.ts'
import { writeMoreNumbers } from '../../../../core/tables/more-numbers.ts'
import type { RowOf, Store } from '../../../database/store.ts'
import type { TableName } from '../../../database/tables.ts'
import { listParts } from '../../catalogue/parts-found.ts'

/** A row as a list has it, by column; what is blank is left out. */
export type WrittenRow = Readonly<Record<string, string | null | undefined>>

const PAGE = 500

/** All rows of a table that can be read, in the order of their ids, a page at a time. */
async function* pagesOf<T extends TableName>(store: Store, table: T): AsyncGenerator<RowOf<T>[]> {
  for (let last = ''; ; ) {
    const ids = (
      (await store.knex(table).where('id', '>', last).orderBy('id').limit(PAGE).select('id')) as {
        id: string
      }[]
    ).map(({ id }) => id)
    if (ids.length === 0) return
    yield await store.readIn(table, 'id', ids)
    last = ids.at(-1)!
  }
}

const text = (value: number | null): string | null => (value === null ? null : String(value))
const amount = (minor: number | null, currency: string): string | null => {
  const digits = minorDigits(currency)
  return minor === null ? null : (minor / 10 ** digits).toFixed(digits)
}
const said = ({
  grade,
  source,
  day,
}: {
  grade: string
  source: string | null
  day: string | null
}) => ({
  grade,
  source,
  on: day,
})

/**
 * Every row of a list that stands, with the columns it is read by: read in again it changes nothing.
 * @param asked what narrows a list of parts
 */
export async function* writtenRows(
  store: Store,
  kind: ListKind,
  asked: z.output<typeof partsQuery> = {},
): AsyncGenerator<WrittenRow> {
  const issuers = new Map((await store.list('issuer')).map(({ id, name }) => [id, name]))
  const issuer = (id: string): string => issuers.get(id) ?? id
  switch (kind) {
    case 'parts':
      return yield* parts(store, issuer, asked)
    case 'numbers':
      for await (const rows of pagesOf(store, 'partNumber'))
        for (const row of rows)
          if (row.struckDay === null)
            yield {
              part: row.partId,
              issuer: issuer(row.issuerId),
              number: row.number,
              mark: row.mark,
              ...said(row),
            }
      return
    case 'supersessions':
      return yield* supersessions(store, issuer)
    case 'interchange':
      return yield* interchange(store, issuer)
    case 'applications':
      for await (const rows of pagesOf(store, 'application'))
        for (const row of rows)
          if (row.struckDay === null)
            yield {
              issuer: issuer(row.issuerId),
              number: row.number,
              fits: row.fits,
              ...writeWhere(row.scope),
              ...said(row),
            }
      return
    case 'suppliers':
      for (const row of await store.list('supplier'))
        yield {
          name: row.name,
          place: row.place,
          currency: row.currency,
          minimum: amount(row.minimumMinor, row.currency),
          shipping: amount(row.shippingMinor, row.currency),
          freeOver: amount(row.freeOverMinor, row.currency),
          returnDays: text(row.returnDays),
        }
      return
    case 'kits':
      return yield* kits(store, issuer)
  }
}

type Named = (id: string) => string

async function* parts(
  store: Store,
  issuer: Named,
  asked: z.output<typeof partsQuery>,
): AsyncGenerator<WrittenRow> {
  for (let after = asked.after; ; ) {
    const { items, next } = await listParts(store, { ...asked, after, limit: PAGE })
    const ids = items.map(({ id }) => id)
    const numbers = groupBy(
      (await store.readIn('partNumber', 'partId', ids)).filter(
        ({ mark, struckDay, again }) => mark === 'catalogue' && struckDay === null && !again,
      ),
      ({ partId }) => partId,
    )
    for (const part of items) {
      const [number, ...more] = numbers.get(part.id) ?? []
      yield {
        name: part.name,
        kind: part.kind,
        issuer: number ? issuer(number.issuerId) : null,
        number: number?.number,
        otherNumbers: writeMoreNumbers(
          more.map((one) => ({ issuer: issuer(one.issuerId), number: one.number })),
        ),
        mass: part.massG === null ? null : `${part.massG} g`,
        fromYear: text(part.fromYear),
        toYear: text(part.toYear),
        family: part.family,
        generation: part.generation,
        note: part.note,
      }
    }
    if (next === null) return
    after = next
  }
}

async function* supersessions(store: Store, issuer: Named): AsyncGenerator<WrittenRow> {
  for await (const rows of pagesOf(store, 'supersession')) {
    const numbers = groupBy(
      await store.readIn(
        'supersessionNumber',
        'supersessionId',
        rows.map(({ id }) => id),
      ),
      ({ supersessionId }) => supersessionId,
    )
    for (const row of rows) {
      if (row.struckDay !== null) continue
      const own = numbers.get(row.id) ?? []
      const [old, next] = (['old', 'new'] as const).map((side) =>
        own.filter((one) => one.side === side),
      )
      for (const before of old!)
        for (const after of next!)
          yield {
            set: row.id,
            issuer: issuer(before.issuerId),
            old: before.number,
            oldQuantity: String(before.quantity),
            newIssuer: issuer(after.issuerId),
            new: after.number,
            newQuantity: String(after.quantity),
            back: row.back,
            since: row.since,
            until: row.until,
            ...writeWhere(row.scope),
            ...said(row),
          }
    }
  }
}

async function* interchange(store: Store, issuer: Named): AsyncGenerator<WrittenRow> {
  for await (const rows of pagesOf(store, 'interchange')) {
    const numbers = groupBy(
      await store.readIn(
        'interchangeNumber',
        'interchangeId',
        rows.map(({ id }) => id),
      ),
      ({ interchangeId }) => interchangeId,
    )
    for (const row of rows) {
      if (row.struckDay !== null) continue
      yield { group: row.id, serves: row.serves, ...writeWhere(row.scope), ...said(row) }
      for (const member of numbers.get(row.id) ?? [])
        yield {
          group: row.id,
          issuer: issuer(member.issuerId),
          number: member.number,
          way: member.way,
          ...writeWhere(member.scope),
        }
    }
  }
}

async function* kits(store: Store, issuer: Named): AsyncGenerator<WrittenRow> {
  const [all, items, suppliers] = await Promise.all([
    store.list('kit'),
    store.list('kitItem'),
    store.list('supplier'),
  ])
  const ofKit = groupBy(items, ({ kitId }) => kitId)
  for (const kit of all) {
    const own = ofKit.get(kit.id) ?? []
    const ids = own.map(({ partId }) => partId)
    const [parts, numbers] = await Promise.all([
      store.readIn('part', 'id', ids),
      store.readIn('partNumber', 'partId', ids),
    ])
    for (const { partId, quantity, hadAgain } of own) {
      const number = numbers.find(
        (one) => one.partId === partId && one.mark === 'catalogue' && one.struckDay === null,
      )
      const part = parts.find(({ id }) => id === partId)
      yield {
        kit: kit.name,
        supplier: suppliers.find(({ id }) => id === kit.supplierId)?.name,
        price: amount(kit.priceMinor, kit.currency),
        currency: kit.currency,
        taxIncluded: kit.taxIncluded ? 'yes' : 'no',
        omits: kit.omits,
        kind: part?.kind,
        issuer: number && issuer(number.issuerId),
        number: number?.number,
        words: part?.name,
        quantity: String(quantity),
        hadAgain,
      }
    }
  }
}
