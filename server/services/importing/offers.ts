import type { z } from 'zod'
import type { offerInput, offerPatch } from '../../../contract/rows.ts'
import { actorNow } from '../../database/actor.ts'
import type { RowOf, Store } from '../../database/store.ts'
import type { OffersRead } from '../../documents/offers-csv.ts'
import { keyFor } from '../numbers/issuers.ts'
import { issuerNamed } from '../numbers/number-claims.ts'
import { shopDay } from '../shop/day.ts'
import { type Chunks as Laid, layRows, previewRows, refuseBad } from './lay-rows.ts'
import { type ImportPreview, OfferReading, type OfferTerms, pastPriceOf } from './offer-reading.ts'

export type Chunks = Laid<OffersRead>

/** What an import would do, without doing it. */
export const previewOffers = (
  store: Store,
  chunks: Chunks,
  terms: OfferTerms,
): Promise<ImportPreview> => previewRows(chunks, new OfferReading(store, terms))

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
  const { preview, landed } = await layRows(
    store,
    chunks,
    () => new OfferReading(store, terms),
    { who: actor?.who ?? store.who, command: actor?.command ?? null },
    (merge) => merge(),
  )
  if (!landed) refuseBad(preview)
  else store.landed(landed)
  return preview
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
