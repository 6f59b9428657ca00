import { v7 as uuidv7 } from 'uuid'
import { DEFAULT_RULE, readNumber, ruleOf } from '../../core/identity/number-rule.ts'
import { daysOld } from '../../core/sourcing/freshness.ts'
import type { OfferMapping } from '../../core/tables/offer-columns.ts'
import type { StagedRows } from '../database/sqlite/stage.ts'
import type { RowOf, Store } from '../database/store.ts'
import type { BadCell, OfferLine } from '../documents/offer-cells.ts'
import type { OffersRead } from '../documents/offers-csv.ts'
import type { Reading } from './lay-rows.ts'

export interface ImportPreview {
  readonly rows: number
  readonly added: number
  readonly updated: number
  /** Stand as they are: nothing is written for them. */
  readonly unchanged: number
  /** Of those updated: another price is asked. The first of them, by line. */
  readonly moved: number
  readonly moves: readonly PriceMove[]
  /** Offers of a supplier that its whole list does not name any more. The first of them. */
  readonly gone: number
  readonly goneNames: readonly string[]
  /** The first of them. */
  readonly newParts: readonly { issuer: string; number: string; description: string }[]
  readonly newPartCount: number
  readonly newIssuers: readonly string[]
  /** The first of them, by line. */
  readonly bad: readonly BadCell[]
  readonly badCount: number
  readonly heads: readonly string[]
  readonly columns: NonNullable<OfferMapping['columns']>
}

/** A price that moved; both in the minor units of their currency. */
export interface PriceMove {
  readonly line: number
  readonly number: string
  readonly fromMinor: number
  readonly fromCurrency: string
  readonly toMinor: number
  readonly toCurrency: string
}

/** How offers are taken in. */
export interface OfferTerms {
  /** The day it is, at the shop. */
  readonly day: string
  /** All that its suppliers sell: what it does not name has ended. */
  readonly isWhole: boolean
  /** What is wrong is left out, and told; otherwise nothing of it is taken. */
  readonly leavesBadOut: boolean
}

/** The same list within so many days says nothing new: it is not even noted that it was seen. */
const SAID_AGAIN_AFTER_DAYS = 7

const NAMED_PARTS = 50
const NAMED_FAULTS = 1000

interface Matched {
  readonly line: OfferLine
  readonly supplierId: string
  readonly normalised: string
  readonly issuerKey: string
  readonly held: RowOf<'offer'> | undefined
}

const issuerKey = (name: string): string => name.trim().toLowerCase()
const offerKey = (...parts: readonly unknown[]): string => JSON.stringify(parts)

/** A list that does not say how far something has come leaves that as it is; what it names is sold again. */
const patchOf = (line: OfferLine, held: RowOf<'offer'>) => ({
  ...valuesOf(line),
  standing: line.standing ?? (held.standing === 'ended' ? null : held.standing),
})
const isSameOffer = (line: ReturnType<typeof valuesOf>, held: RowOf<'offer'>): boolean =>
  (Object.keys(line) as (keyof typeof line)[]).every((name) => held[name] === line[name])
const isPriceMoved = (line: OfferLine, held: RowOf<'offer'>): boolean =>
  line.priceMinor !== held.priceMinor || line.currency !== held.currency

const valuesOf = (line: OfferLine) => ({
  description: line.description || null,
  priceMinor: line.priceMinor,
  currency: line.currency,
  taxIncluded: line.taxIncluded,
  stock: line.stock,
  leadDays: line.leadDays,
  number: line.number,
  standing: line.standing,
})

/** Rows of a file looked up, batch by batch: what each would add or change. */
export class OfferReading implements Reading<OffersRead, ImportPreview> {
  readonly #store: Store
  readonly terms: OfferTerms
  readonly #moves: PriceMove[] = []
  readonly #goneNames: string[] = []
  /** Suppliers that rows are of: their whole lists, where these are that. */
  readonly #ofSuppliers = new Set<string>()
  /** Offers that the file names, as they were found. */
  readonly #inFile = new Set<string>()
  #tables: Promise<{
    suppliers: Map<string, RowOf<'supplier'>>
    issuers: Map<string, RowOf<'issuer'>>
  }> | null = null
  readonly #seen = new Map<string, number>()
  readonly #newParts = new Set<string>()
  readonly #named: { issuer: string; number: string; description: string }[] = []
  readonly #bad: BadCell[] = []
  #head: Pick<ImportPreview, 'heads' | 'columns'> = { heads: [], columns: {} }
  #counts = { rows: 0, added: 0, updated: 0, unchanged: 0, moved: 0, gone: 0 }
  readonly newIssuers = new Map<string, string>()
  /** Rows that would be written, where they are kept for it. */
  readonly matched: Matched[] = []
  readonly gone: RowOf<'offer'>[] = []
  readonly partOf = new Map<string, string>()
  issuers: ReadonlyMap<string, RowOf<'issuer'>> = new Map()

  constructor(store: Store, terms: OfferTerms) {
    this.#store = store
    this.terms = terms
  }

  async match({ rows, bad, spoilt, heads, columns }: OffersRead, keep: boolean): Promise<void> {
    if (heads) this.#head = { heads, columns: columns ?? {} }
    this.#bad.push(...bad)
    this.#tables ??= this.#load()
    const { suppliers, issuers } = await this.#tables
    this.issuers = issuers
    for (const line of spoilt)
      if (line.supplier !== '' && !suppliers.has(issuerKey(line.supplier))) this.#noSupplier(line)
    const found = rows.flatMap((line) => {
      this.#counts.rows++
      const supplier = suppliers.get(issuerKey(line.supplier))
      if (!supplier) return this.#noSupplier(line)
      const issuer = issuers.get(issuerKey(line.issuer))
      const normalised = readNumber(line.number, issuer ? ruleOf(issuer) : DEFAULT_RULE).key
      if (normalised === '')
        return this.#fault(
          line,
          'number',
          `"${line.number}" has nothing left once separators are dropped. Write the part number.`,
        )
      const key = offerKey(
        supplier.id,
        issuer?.id ?? issuerKey(line.issuer),
        normalised,
        line.condition,
        line.pack,
      )
      const twin = this.#seen.get(key)
      if (twin !== undefined)
        return this.#fault(
          line,
          'number',
          `The same supplier, issuer, number, condition and pack stand on line ${twin}. Keep one of them.`,
        )
      this.#seen.set(key, line.line)
      return [{ line, supplier, issuer, normalised, key }]
    })
    const [held, parts] = await Promise.all([this.#offersOf(found), this.#partsOf(found)])
    for (const { line, supplier, issuer, normalised, key } of found) {
      if (!issuer)
        this.newIssuers.set(
          issuerKey(line.issuer),
          this.newIssuers.get(issuerKey(line.issuer)) ?? line.issuer,
        )
      const partId = issuer ? parts.get(`${issuer.id}:${normalised}`) : undefined
      if (partId !== undefined) this.partOf.set(`${issuer!.id}:${normalised}`, partId)
      else this.#newPart(`${issuerKey(line.issuer)}:${normalised}`, line)
      const other = issuer ? held.get(key) : undefined
      this.#ofSuppliers.add(supplier.id)
      if (other) this.#inFile.add(other.id)
      const isSame =
        other !== undefined && isSameOffer(patchOf(line, other), other) && !this.#isOld(other)
      this.#counts[other ? (isSame ? 'unchanged' : 'updated') : 'added']++
      if (other && isPriceMoved(line, other)) this.#moved(line, other)
      if (keep && !isSame)
        this.matched.push({
          line,
          supplierId: supplier.id,
          normalised,
          issuerKey: issuerKey(line.issuer),
          held: other,
        })
    }
  }

  /** What a whole list does not name any more; looked up once all of it was read. */
  async end(keep: boolean): Promise<void> {
    // What could not be read may be what seems gone.
    if (!this.terms.isWhole || this.#bad.length > 0) return
    for (const supplierId of this.#ofSuppliers)
      for (const offer of await this.#store.read('offer', { supplierId })) {
        // What nobody gave a number was not in its list before either.
        if (offer.normalised === null || offer.standing === 'ended' || this.#inFile.has(offer.id))
          continue
        this.#counts.gone++
        if (this.#goneNames.length < NAMED_PARTS)
          this.#goneNames.push(offer.number ?? offer.description ?? offer.id)
        if (keep) this.gone.push(offer)
      }
  }

  preview(): ImportPreview {
    const bad = [...this.#bad].sort((p, q) => p.line - q.line)
    return {
      ...this.#counts,
      moves: this.#moves,
      goneNames: this.#goneNames,
      newParts: this.#named,
      newPartCount: this.#newParts.size,
      newIssuers: [...this.newIssuers.values()],
      bad: bad.slice(0, NAMED_FAULTS),
      badCount: bad.length,
      ...this.#head,
    }
  }

  /** Of a file one bad cell refuses all; where what is bad is left out, more than a tenth does: then it is not what it should be. */
  get isRefused(): boolean {
    return this.#bad.length > (this.terms.leavesBadOut ? this.#counts.rows / 10 : 0)
  }

  staged(): StagedRows {
    return rowsOf(this)
  }

  async #load() {
    const [suppliers, issuers] = await Promise.all([
      this.#store.list('supplier'),
      this.#store.list('issuer'),
    ])
    const byName = <R extends { readonly name: string }>(rows: readonly R[]) =>
      new Map(rows.map((row) => [issuerKey(row.name), row]))
    return { suppliers: byName(suppliers), issuers: byName(issuers) }
  }

  #noSupplier(line: OffersRead['spoilt'][number]): [] {
    return this.#fault(
      line,
      'supplier',
      `There is no supplier "${line.supplier}". Add it under Suppliers first, or mend the name.`,
    )
  }

  #isOld({ seenOn }: RowOf<'offer'>): boolean {
    return (daysOld(seenOn, null, this.terms.day) ?? Infinity) >= SAID_AGAIN_AFTER_DAYS
  }

  #moved(line: OfferLine, { priceMinor, currency }: RowOf<'offer'>): void {
    this.#counts.moved++
    if (this.#moves.length < NAMED_PARTS)
      this.#moves.push({
        line: line.line,
        number: line.number,
        fromMinor: priceMinor,
        fromCurrency: currency,
        toMinor: line.priceMinor,
        toCurrency: line.currency,
      })
  }

  #fault(line: { readonly line: number }, column: string, message: string): [] {
    this.#bad.push({ line: line.line, column, message })
    return []
  }

  #newPart(key: string, { issuer, number, description }: OfferLine): void {
    if (this.#newParts.has(key)) return
    this.#newParts.add(key)
    if (this.#named.length < NAMED_PARTS) this.#named.push({ issuer, number, description })
  }

  async #partsOf(
    found: readonly { issuer: RowOf<'issuer'> | undefined; normalised: string }[],
  ): Promise<Map<string, string>> {
    const parts = new Map<string, string>()
    for (const [issuerId, numbers] of grouped(found, ({ issuer }) => issuer?.id ?? null))
      for (const row of await this.#store.readIn('partNumber', 'normalised', numbers, { issuerId }))
        parts.set(`${issuerId}:${row.normalised}`, row.partId)
    return parts
  }

  async #offersOf(
    found: readonly {
      supplier: RowOf<'supplier'>
      issuer: RowOf<'issuer'> | undefined
      normalised: string
    }[],
  ): Promise<Map<string, RowOf<'offer'>>> {
    const offers = new Map<string, RowOf<'offer'>>()
    for (const [pair, numbers] of grouped(found, ({ supplier, issuer }) =>
      issuer ? `${supplier.id}\n${issuer.id}` : null,
    )) {
      const [supplierId, issuerId] = pair.split('\n')
      for (const row of await this.#store.readIn('offer', 'normalised', numbers, {
        supplierId,
        issuerId,
      }))
        offers.set(
          offerKey(row.supplierId, row.issuerId, row.normalised, row.condition, row.pack),
          row,
        )
    }
    return offers
  }
}

/** Normalised numbers by what they share; what shares nothing is left out. */
function grouped<T extends { normalised: string }>(
  found: readonly T[],
  keyOf: (one: T) => string | null,
): Map<string, string[]> {
  const groups = new Map<string, string[]>()
  for (const one of found) {
    const key = keyOf(one)
    if (key === null) continue
    const group = groups.get(key)
    if (group) group.push(one.normalised)
    else groups.set(key, [one.normalised])
  }
  return groups
}

/** What was asked for an offer until now, on the day that was last heard. */
export const pastPriceOf = ({ id, priceMinor, currency }: RowOf<'offer'>, day: string) => ({
  id: uuidv7(),
  offerId: id,
  day,
  priceMinor,
  currency,
})

const heldValues = (held: RowOf<'offer'>): ReturnType<typeof valuesOf> => ({
  description: held.description,
  priceMinor: held.priceMinor,
  currency: held.currency,
  taxIncluded: held.taxIncluded,
  stock: held.stock,
  leadDays: held.leadDays,
  number: held.number ?? '',
  standing: held.standing,
})

/** What an import writes: rows to be added, and offers to be changed from the version they were seen at. */
function rowsOf({
  matched,
  gone,
  issuers,
  partOf,
  newIssuers,
  terms: { day },
}: OfferReading): StagedRows {
  const issuerRows = [...newIssuers].map(([key, name]) => ({ key, id: uuidv7(), name }))
  const issuerIds = new Map([
    ...[...issuers].map(([key, row]) => [key, row.id] as const),
    ...issuerRows.map(({ key, id }) => [key, id] as const),
  ])
  const pastPrice: Record<string, unknown>[] = []
  const updates: StagedRows['updates'][number][] = []
  for (const one of gone)
    updates.push({
      table: 'offer',
      before: one,
      patch: { ...heldValues(one), standing: 'ended', seenOn: one.seenOn },
    })
  const known = (one: Matched): string => `${issuerIds.get(one.issuerKey)!}:${one.normalised}`
  const parts = new Map(partOf)
  const made: { readonly partId: string; readonly of: Matched }[] = []
  for (const one of matched) {
    const { line, held } = one
    if (held) {
      updates.push({ table: 'offer', before: held, patch: { ...patchOf(line, held), seenOn: day } })
      // What was asked on the same day was a slip, or is of the same list.
      if (isPriceMoved(line, held) && held.seenOn !== null && held.seenOn !== day)
        pastPrice.push(pastPriceOf(held, held.seenOn))
      continue
    }
    if (parts.has(known(one))) continue
    const partId = uuidv7()
    parts.set(known(one), partId)
    made.push({ partId, of: one })
  }
  // A table at a time: of 100,000 offers all rows at once are more than there is room for.
  function* part(): Generator<Record<string, unknown>> {
    for (const {
      partId,
      of: { line },
    } of made)
      yield {
        id: partId,
        kind: 'unsorted',
        name: (line.description || `${line.issuer} ${line.number}`)
          .replace(/\p{Cc}+/gu, ' ')
          .slice(0, 120),
      }
  }
  function* partNumber(): Generator<Record<string, unknown>> {
    for (const {
      partId,
      of: { line, normalised, issuerKey: key },
    } of made)
      yield {
        id: uuidv7(),
        partId,
        issuerId: issuerIds.get(key)!,
        number: line.number,
        normalised,
        mark: 'catalogue',
        again: false,
        grade: 'catalogue',
      }
  }
  function* offer(): Generator<Record<string, unknown>> {
    for (const one of matched)
      if (!one.held)
        yield {
          id: uuidv7(),
          partId: parts.get(known(one))!,
          supplierId: one.supplierId,
          issuerId: issuerIds.get(one.issuerKey)!,
          normalised: one.normalised,
          pack: one.line.pack,
          condition: one.line.condition,
          ...valuesOf(one.line),
          seenOn: day,
        }
  }
  return {
    inserts: [
      ['issuer', issuerRows.map(({ id, name }) => ({ id, name }))],
      ['part', part()],
      ['partNumber', partNumber()],
      ['offer', offer()],
      ['pastPrice', pastPrice],
    ],
    updates,
  }
}
