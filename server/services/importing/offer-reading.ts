import { formatISO, parseISO, subDays } from 'date-fns'
import { DEFAULT_RULE, readNumber, ruleOf } from '../../../core/identity/number-rule.ts'
import type { OfferMapping } from '../../../core/tables/offer-columns.ts'
import { newId } from '../../database/new-id.ts'
import type { StagedRows } from '../../database/sqlite/stage.ts'
import type { RowOf, Store } from '../../database/store.ts'
import type { BadCell, OfferLine } from '../../documents/offer-cells.ts'
import type { OffersRead } from '../../documents/offers-csv.ts'
import { LookAlikes } from '../numbers/look-alikes.ts'
import { keyOf } from '../numbers/numbers-of-part.ts'
import type { Reading } from './lay-rows.ts'
import { Bearers } from './lists/bearers.ts'

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
  /** What is worth a look before it is taken in. */
  readonly notes: readonly string[]
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
  readonly #pairs = new Map<string, number>()
  /** Parts that are made for numbers no part bears, by issuer and number. */
  readonly #newParts = new Map<string, string>()
  readonly #newIssuers = new Map<string, { readonly id: string; readonly name: string }>()
  readonly #named: { issuer: string; number: string; description: string }[] = []
  readonly #bad: BadCell[] = []
  #head: Pick<ImportPreview, 'heads' | 'columns'> = { heads: [], columns: {} }
  #counts = { rows: 0, added: 0, updated: 0, unchanged: 0, moved: 0, gone: 0 }
  readonly #likes = new LookAlikes()
  /** New numbers of the rows at hand. */
  #fresh: { line: number; issuerId: string; normalised: string; number: string }[] = []
  #rows = noRows()

  /** What was last heard of on this day or before is said again. */
  readonly #oldFrom: string

  constructor(store: Store, terms: OfferTerms) {
    this.#store = store
    this.terms = terms
    const oldFrom = subDays(parseISO(terms.day), SAID_AGAIN_AFTER_DAYS)
    this.#oldFrom = formatISO(oldFrom, { representation: 'date' })
  }

  async match({ rows, bad, spoilt, heads, columns }: OffersRead): Promise<void> {
    if (heads) this.#head = { heads, columns: columns ?? {} }
    this.#bad.push(...bad)
    this.#tables ??= this.#load()
    const { suppliers, issuers } = await this.#tables
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
      // Kept for every row of the file: as short as it can be.
      const pair = this.#pairOf(`${supplier.id} ${issuer?.id ?? issuerKey(line.issuer)}`)
      const brief = `${pair} ${line.pack} ${line.condition} ${normalised}`
      const twin = this.#seen.get(brief)
      if (twin !== undefined)
        return this.#fault(
          line,
          'number',
          `The same supplier, issuer, number, condition and pack stand on line ${twin}. Keep one of them.`,
        )
      this.#seen.set(brief, line.line)
      return [{ line, supplier, issuer, normalised, key }]
    })
    const { day } = this.terms
    const bearers = new Bearers(this.#store)
    const [held] = await Promise.all([
      this.#offersOf(found),
      bearers.load(
        found.flatMap(({ issuer, normalised }) =>
          issuer ? [{ issuerId: issuer.id, normalised }] : [],
        ),
      ),
    ])
    for (const { line, supplier, issuer, normalised, key } of found) {
      const issuerId = issuer?.id ?? this.#newIssuer(line.issuer)
      const borne = issuer && bearers.of({ issuerId, normalised })
      const partId = borne?.partId ?? this.#newPart(issuerId, normalised, line)
      const other = issuer ? held.get(key) : undefined
      this.#ofSuppliers.add(supplier.id)
      if (other && this.terms.isWhole) this.#inFile.add(other.id)
      if (!other) {
        this.#counts.added++
        this.#rows.offer.push({
          id: newId(),
          partId,
          supplierId: supplier.id,
          issuerId,
          normalised,
          pack: line.pack,
          condition: line.condition,
          ...valuesOf(line),
          seenOn: day,
        })
        continue
      }
      const patch = patchOf(line, other)
      if (isSameOffer(patch, other) && !this.#isOld(other)) {
        this.#counts.unchanged++
        continue
      }
      this.#counts.updated++
      this.#rows.updates.push({ table: 'offer', before: other, patch: { ...patch, seenOn: day } })
      if (!isPriceMoved(line, other)) continue
      this.#moved(line, other)
      // What was asked on the same day was a slip, or is of the same list.
      if (other.seenOn !== null && other.seenOn !== day)
        this.#rows.pastPrice.push(pastPriceOf(other, other.seenOn))
    }
    await this.#likes.add(this.#store, this.#fresh, (one) => this.#newParts.has(keyOf(one)))
    this.#fresh = []
  }

  /** What a whole list does not name any more; looked up once all of it was read. */
  async end(): Promise<void> {
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
        this.#rows.updates.push({
          table: 'offer',
          before: offer,
          patch: { ...heldValues(offer), standing: 'ended', seenOn: offer.seenOn },
        })
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
      notes: this.#likes.notes(),
      newIssuers: [...this.#newIssuers.values()].map(({ name }) => name),
      bad: bad.slice(0, NAMED_FAULTS),
      badCount: bad.length,
      ...this.#head,
    }
  }

  /** Of a file one bad cell refuses all; where what is bad is left out, more than a tenth does: then it is not what it should be. */
  get isRefused(): boolean {
    return this.#bad.length > (this.terms.leavesBadOut ? this.#counts.rows / 10 : 0)
  }

  take(): StagedRows {
    const { updates, ...inserts } = this.#rows
    this.#rows = noRows()
    return {
      inserts: (Object.keys(inserts) as (keyof typeof inserts)[]).map((table) => [
        table,
        inserts[table],
      ]),
      updates,
    }
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
    return seenOn === null || seenOn <= this.#oldFrom
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

  #pairOf(supplierAndIssuer: string): number {
    const known = this.#pairs.get(supplierAndIssuer)
    if (known !== undefined) return known
    this.#pairs.set(supplierAndIssuer, this.#pairs.size)
    return this.#pairs.size - 1
  }

  #newIssuer(name: string): string {
    const known = this.#newIssuers.get(issuerKey(name))
    if (known) return known.id
    const issuer = { id: newId(), name }
    this.#newIssuers.set(issuerKey(name), issuer)
    this.#rows.issuer.push(issuer)
    return issuer.id
  }

  /** The part made for a number that no part bears. */
  #newPart(issuerId: string, normalised: string, line: OfferLine): string {
    const key = keyOf({ issuerId, normalised })
    const known = this.#newParts.get(key)
    if (known !== undefined) return known
    const { issuer, number, description } = line
    const id = newId()
    this.#newParts.set(key, id)
    this.#fresh.push({ line: line.line, issuerId, normalised, number })
    if (this.#named.length < NAMED_PARTS) this.#named.push({ issuer, number, description })
    this.#rows.part.push({
      id,
      kind: 'unsorted',
      name: (description || `${issuer} ${number}`).replace(/\p{Cc}+/gu, ' ').slice(0, 120),
    })
    this.#rows.partNumber.push({
      id: newId(),
      partId: id,
      issuerId,
      number,
      normalised,
      mark: 'catalogue',
      again: false,
      grade: 'catalogue',
    })
    return id
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
  id: newId(),
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

type New = Record<string, unknown>
const noRows = () => ({
  issuer: [] as New[],
  part: [] as New[],
  partNumber: [] as New[],
  offer: [] as New[],
  pastPrice: [] as New[],
  updates: [] as NonNullable<StagedRows['updates']>[number][],
})
