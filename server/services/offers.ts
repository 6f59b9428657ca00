import { setImmediate } from 'node:timers/promises'
import type { z } from 'zod'
import type { offerInput, offerPatch } from '../../contract/rows.ts'
import { actorNow } from '../database/actor.ts'
import { ChangedMeanwhile, type Landed, merge, stage } from '../database/sqlite/stage.ts'
import type { RowOf, Store } from '../database/store.ts'
import type { OffersRead } from '../documents/offers-csv.ts'
import { ConflictError, UnprocessableError } from '../errors.ts'
import { shopDay } from './day.ts'
import { keyFor } from './issuers.ts'
import { issuerNamed } from './number-claims.ts'
import {
  type ImportPreview,
  OfferReading,
  type OfferTerms,
  pastPriceOf,
  rowsOf,
} from './offer-reading.ts'

export type Chunks = AsyncIterable<OffersRead> | Iterable<OffersRead>

/** What an import would do, without doing it; others are answered between its batches. */
export async function previewOffers(
  store: Store,
  chunks: Chunks,
  terms: OfferTerms,
): Promise<ImportPreview> {
  const reading = new OfferReading(store, terms)
  for await (const chunk of chunks) {
    await reading.match(chunk, false)
    await setImmediate()
  }
  await reading.end(false)
  return reading.preview()
}

/** Of a file one bad cell refuses all; where what is bad is left out, more than a tenth does: then it is not what it should be. */
const isRefused = ({ badCount, rows }: ImportPreview, { leavesBadOut }: OfferTerms): boolean =>
  badCount > (leavesBadOut ? rows / 10 : 0)

/** Where somebody changes what an import is about to change, it looks again; so often. */
const TRIES = 3

/**
 * Looks an import up, lays it ready beside the data, and lands it in one short merge; all or nothing.
 * @param land runs the merge when nobody else writes
 * @returns what it does, and what landed: null where a row is bad, and nothing was written
 * @throws ConflictError when others change the same offers all the while
 */
export async function layOffers(
  store: Store,
  chunks: Chunks,
  terms: OfferTerms,
  actor: { readonly who: string; readonly command: string | null },
  land: (merge: () => Promise<Landed>) => Promise<Landed>,
): Promise<{ preview: ImportPreview; landed: Landed | null }> {
  const read: OffersRead[] = []
  for await (const chunk of chunks) read.push(chunk)
  for (let attempt = 0; attempt < TRIES; attempt++) {
    const reading = new OfferReading(store, terms)
    for (const chunk of read) {
      await reading.match(chunk, true)
      await setImmediate()
    }
    await reading.end(true)
    const preview = reading.preview()
    if (isRefused(preview, terms)) return { preview, landed: null }
    await stage(store.knex, rowsOf(reading), actor)
    try {
      return { preview, landed: await land(() => merge(store.knex)) }
    } catch (error) {
      if (!(error instanceof ChangedMeanwhile)) throw error
    }
  }
  throw new ConflictError(
    'Others change the same offers just now: nothing was imported. Try again in a moment.',
  )
}

/**
 * Imports offers, all or nothing: any bad row and nothing is written.
 * @throws UnprocessableError listing every bad row
 */
export async function importOffers(
  store: Store,
  chunks: Chunks,
  terms: OfferTerms,
): Promise<ImportPreview> {
  const actor = actorNow()
  const { preview, landed } = await layOffers(
    store,
    chunks,
    terms,
    { who: actor?.who ?? store.who, command: actor?.command ?? null },
    (merge) => merge(),
  )
  if (!landed) refuseBad(preview)
  else store.landed(landed)
  return preview
}

/** @throws UnprocessableError listing every bad row */
export function refuseBad({ badCount, bad }: ImportPreview): void {
  if (badCount > 0)
    throw new UnprocessableError(
      `${badCount} ${badCount === 1 ? 'cell is' : 'cells are'} wrong: nothing was imported. Mend them and try again.`,
      bad.map((cell) => ({
        path: `line ${cell.line}${cell.column ? `, ${cell.column}` : ''}`,
        message: cell.message,
      })),
    )
}

/** Adds an offer by hand; an issuer nobody knew yet is made. */
export const addOffer = (
  store: Store,
  { issuer, ...offer }: z.output<typeof offerInput>,
): Promise<RowOf<'offer'>> =>
  store.transaction(async (tx) => {
    const by = issuer && offer.number ? await issuerNamed(tx, issuer) : null
    const normalised = by ? keyFor(by, offer.number!) : null
    return tx.insert('offer', {
      ...offer,
      issuerId: by?.id ?? null,
      normalised,
      seenOn: offer.seenOn ?? (await shopDay(tx)),
    })
  })

/** Changes an offer by hand: heard of today; what it asked before is kept, unless that was heard today too. */
export const changeOffer = (
  store: Store,
  id: string,
  { version, ...patch }: z.output<typeof offerPatch>,
): Promise<RowOf<'offer'>> =>
  store.transaction(async (tx) => {
    const today = await shopDay(tx)
    const before = await tx.get('offer', id)
    const isMoved = patch.priceMinor !== undefined && patch.priceMinor !== before.priceMinor
    if (isMoved && before.seenOn !== null && before.seenOn !== today)
      await tx.insert('pastPrice', pastPriceOf(before, before.seenOn))
    return tx.update('offer', id, version, { ...patch, seenOn: today })
  })

/** What was asked for an offer by day, oldest first; the last is what is asked now, unless nobody knows since when. */
export async function pricesOf(
  store: Store,
  id: string,
): Promise<{ day: string; priceMinor: number; currency: string }[]> {
  const { seenOn, priceMinor, currency } = await store.get('offer', id)
  const past = await store.read('pastPrice', { offerId: id })
  const all = [...past, ...(seenOn === null ? [] : [{ day: seenOn, priceMinor, currency }])]
  return all
    .map((one) => ({ day: one.day, priceMinor: one.priceMinor, currency: one.currency }))
    .sort((p, q) => (p.day < q.day ? -1 : p.day > q.day ? 1 : 0))
}
