import { setImmediate } from 'node:timers/promises'
import type { z } from 'zod'
import type { offerInput } from '../../contract/rows.ts'
import { actorNow } from '../database/actor.ts'
import { ChangedMeanwhile, type Landed, merge, stage } from '../database/sqlite/stage.ts'
import type { RowOf, Store } from '../database/store.ts'
import type { OffersRead } from '../documents/offers-csv.ts'
import { ConflictError, UnprocessableError } from '../errors.ts'
import { keyFor } from './issuers.ts'
import { issuerNamed } from './number-claims.ts'
import { type ImportPreview, OfferReading, rowsOf } from './offer-reading.ts'

export type Chunks = AsyncIterable<OffersRead> | Iterable<OffersRead>

/** What an import would do, without doing it; others are answered between its batches. */
export async function previewOffers(store: Store, chunks: Chunks): Promise<ImportPreview> {
  const reading = new OfferReading(store)
  for await (const chunk of chunks) {
    await reading.match(chunk, false)
    await setImmediate()
  }
  return reading.preview()
}

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
  actor: { readonly who: string; readonly command: string | null },
  land: (merge: () => Promise<Landed>) => Promise<Landed>,
): Promise<{ preview: ImportPreview; landed: Landed | null }> {
  const read: OffersRead[] = []
  for await (const chunk of chunks) read.push(chunk)
  for (let attempt = 0; attempt < TRIES; attempt++) {
    const reading = new OfferReading(store)
    for (const chunk of read) {
      await reading.match(chunk, true)
      await setImmediate()
    }
    const preview = reading.preview()
    if (preview.badCount > 0) return { preview, landed: null }
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
export async function importOffers(store: Store, chunks: Chunks): Promise<ImportPreview> {
  const actor = actorNow()
  const { preview, landed } = await layOffers(
    store,
    chunks,
    { who: actor?.who ?? store.who, command: actor?.command ?? null },
    (merge) => merge(),
  )
  refuseBad(preview)
  if (landed) store.landed(landed)
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
    return tx.insert('offer', { ...offer, issuerId: by?.id ?? null, normalised })
  })
