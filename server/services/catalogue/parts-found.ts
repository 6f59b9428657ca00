import type { Knex } from 'knex'
import type { z } from 'zod'
import type { partsQuery } from '../../../contract/rows.ts'
import { groupBy } from '../../../core/group.ts'
import { TARGETS } from '../../../core/identity/claims.ts'
import { convert } from '../../../core/money/money.ts'
import { rateBetween } from '../../../core/money/offer-price.ts'
import { LINE_ROWS } from '../../../core/needs/lines/index.ts'
import { GRADES } from '../../../core/quantity/grade.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { rangeOf } from '../../search/entries.ts'
import { followFor } from '../../search/follow.ts'
import { findNumbers } from '../../search/numbers.ts'
import { askedWords } from '../../search/words.ts'
import { placements } from '../numbers/placements.ts'
import { shopNumbers } from '../numbers/shop-numbers.ts'
import { toRate } from '../shop/rate.ts'
import { knownIssuers, ofNumbers, PATIENCE_MS } from './find.ts'

type Asked = Partial<z.output<typeof partsQuery>>

/** Parts that bear a number like what was typed, at most. */
const NUMBERED = 40

/**
 * A page of parts: by kind (several with commas between), owner, place on the list, the size of a port, what it is listed for,
 * stock, price and evidence. With words: first those whose numbers are like them, then those that hold every word.
 */
export async function listParts(store: Store, asked: Asked) {
  const { q, after, limit = 100 } = asked
  const narrow = await filterOf(store, asked)
  const found =
    q && q.trim() !== ''
      ? await searched(store, q, narrow, after, limit)
      : await paged(store, narrow, after, limit)
  const items = found.rows
  const suggested = await placements(store, items)
  const numbers = groupBy(
    await store.listIn(
      'partNumber',
      'partId',
      items.map((row) => row.id),
    ),
    (row) => row.partId,
  )
  return {
    items: items.map((row) => ({
      ...row,
      numbers: (numbers.get(row.id) ?? []).flatMap((one) =>
        one.struckDay === null ? one.number : [],
      ),
      suggested: suggested.get(row.id) ?? null,
    })),
    next: found.next,
    mended: found.mended,
    isBehind: found.isBehind,
  }
}

interface Page {
  readonly rows: readonly RowOf<'part'>[]
  readonly next: string | null
  readonly mended: readonly { readonly typed: string; readonly as: string }[]
  readonly isBehind: boolean
}
type Narrow = (query: Knex.QueryBuilder) => void

async function paged(
  store: Store,
  narrow: Narrow,
  after: string | undefined,
  limit: number,
): Promise<Page> {
  const query = store
    .knex('part')
    .orderBy('part.id')
    .limit(limit + 1)
  narrow(query)
  if (after) query.where('part.id', '>', after)
  const rows = (await query) as { id: string }[]
  return {
    rows: store.sound('part', rows.slice(0, limit)),
    next: rows.length > limit ? rows[limit - 1]!.id : null,
    mended: [],
    isBehind: false,
  }
}

/** Entries of parts, whatever their kind, lie one behind the other. */
const PARTS_FROM = rangeOf('vehicle')[0]
const PARTS_BELOW = rangeOf('part')[1]

async function searched(
  store: Store,
  q: string,
  narrow: Narrow,
  after: string | undefined,
  limit: number,
): Promise<Page> {
  const isThere = await followFor(store, PATIENCE_MS)
  const byNumber = await numbered(store, q, narrow)
  const words = await askedWords(store.knex, q)
  const from = Math.max(PARTS_FROM, after ? Number(after) || 0 : 0)
  const rows: ({ entry: number } & Record<string, unknown>)[] = []
  if (words.match !== '') {
    const query = store
      .knex('searchWord')
      .join('searchEntry', 'search_entry.id', 'search_word.rowid')
      .join('part', 'part.id', 'search_entry.row_id')
      .whereRaw('search_word MATCH ?', [words.match])
      .whereRaw('search_word.rowid > ? AND search_word.rowid < ?', [from, PARTS_BELOW])
      .select('part.*', 'search_word.rowid as entry')
      .limit(limit + 1)
    narrow(query)
    rows.push(...((await query) as typeof rows))
  }
  const own = new Set(byNumber.map(({ id }) => id))
  const page = rows.slice(0, limit)
  const named = store.sound(
    'part',
    page.flatMap(({ entry: _, ...row }): Record<string, unknown>[] =>
      own.has(String(row.id)) ? [] : [row],
    ),
  )
  return {
    rows: after ? named : [...byNumber, ...named],
    next: rows.length > limit ? String(page.at(-1)!.entry) : null,
    mended: [...words.mended].map(([typed, as]) => ({ typed, as })),
    isBehind: !isThere,
  }
}

/** Parts whose numbers are like what was typed, the closest first. */
async function numbered(store: Store, q: string, narrow: Narrow): Promise<RowOf<'part'>[]> {
  const all = await findNumbers(store.knex, q, await knownIssuers(store), NUMBERED)
  // Where the very number is there, nobody looks for its neighbours.
  const hits = all.some(({ match }) => match === 'equal')
    ? all.filter(({ match }) => match === 'equal' || match === 'begins')
    : all
  const { borne } = await ofNumbers(store, hits)
  const ids = [
    ...new Set(
      hits.flatMap(({ issuerId, key }) =>
        (borne.get(`${issuerId} ${key}`) ?? []).map(({ partId }) => partId),
      ),
    ),
  ]
  if (ids.length === 0) return []
  const query = store.knex('part').whereIn('part.id', ids).select('part.*')
  narrow(query)
  const rows = new Map(store.sound('part', await query).map((row) => [row.id, row]))
  return ids.flatMap((id) => rows.get(id) ?? [])
}

/** What narrows a list of parts, as conditions on `part`. */
async function filterOf(store: Store, asked: Asked): Promise<Narrow> {
  const {
    kind,
    owner,
    place,
    size,
    sizeFrom,
    sizeTo,
    fits,
    isInStock,
    priceTo,
    currency,
    evidence,
  } = asked
  const fitting = fits ? await listedFor(store, fits) : null
  const prices = priceTo !== undefined && currency ? await pricesTo(store, priceTo, currency) : null
  return (query) => {
    if (kind) query.whereIn('part.kind', kind.split(','))
    if (owner) query.where('part.ownerId', owner)
    if (place) query.whereIn('part.kind', kindsAt(place))
    if (fitting)
      query.whereRaw('part.id IN (SELECT value FROM json_each(?))', [JSON.stringify(fitting)])
    if (size) {
      const [port, field] = size.split('.')
      query.whereExists((sub) => {
        sub
          .from('portValue')
          .join('port', 'port.id', 'port_value.port_id')
          .whereRaw('port.part_id = part.id')
          .where({ 'port.kind': port, 'port_value.field': field })
          .where('port_value.number', '>=', sizeFrom ?? -1e12)
          .where('port_value.number', '<=', sizeTo ?? 1e12)
          .select('port.id')
      })
    }
    if (isInStock)
      query.whereExists((sub) => {
        sub
          .from('offer')
          .whereRaw('offer.part_id = part.id')
          .where('offer.stock', '>', 0)
          .select('id')
      })
    if (prices)
      query.whereExists((sub) => {
        sub
          .from('offer')
          .whereRaw('offer.part_id = part.id')
          .where((any) => {
            for (const [code, most] of prices)
              any.orWhere((one) => {
                one.where('offer.currency', code).where('offer.priceMinor', '<=', most)
              })
          })
          .select('id')
      })
    if (evidence)
      query.whereExists((sub) => {
        sub
          .from('claim')
          .join('port', 'port.id', 'claim.port_id')
          .whereRaw('port.part_id = part.id')
          .whereIn('claim.grade', GRADES.slice(GRADES.indexOf(evidence)))
          .whereNull('claim.struckDay')
          .select('claim.id')
      })
  }
}

/** Kinds that stand at a place of a list. */
const kindsAt = (place: string): string[] => [
  ...new Set(LINE_ROWS.filter((row) => row.place === place).map(({ kind, part }) => part ?? kind)),
]

/** Parts whose numbers are listed for a family of vehicle, engine or transmission. */
async function listedFor(store: Store, family: string): Promise<string[]> {
  const index = await shopNumbers(store)
  return [
    ...new Set(
      TARGETS.flatMap((target) =>
        index
          .listedFor(target, family)
          .flatMap(({ mention }) => index.nodes[mention.at]!.parts.map(({ part }) => part)),
      ),
    ),
  ]
}

/** An amount in each currency that a rate leads to. */
async function pricesTo(
  store: Store,
  minor: number,
  currency: string,
): Promise<readonly (readonly [string, number])[]> {
  const rates = (await store.list('rate')).map(toRate)
  const codes = new Set([currency, ...rates.flatMap(({ from, to }) => [from, to])])
  return [...codes].flatMap((code): (readonly [string, number])[] => {
    const rate = rateBetween(rates, currency, code)
    return rate === null ? [] : [[code, convert(minor, currency, code, rate)]]
  })
}
