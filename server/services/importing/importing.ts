import type { ListKind } from '../../../core/tables/lists.ts'
import type { Store } from '../../database/store.ts'
import type { ListRead } from '../../documents/list-rows.ts'
import type { OffersRead } from '../../documents/offers-csv.ts'
import type { Reading } from './lay-rows.ts'
import type { ListPreview, ListTerms } from './lists/list-reading.ts'
import { readingOf } from './lists/readers.ts'
import { type ImportPreview, OfferReading, type OfferTerms } from './offer-reading.ts'

/** What is imported, and how. */
export type Wanted =
  | { readonly kind: 'offers'; readonly terms: OfferTerms }
  | { readonly kind: ListKind; readonly terms: ListTerms }
export type Chunk = OffersRead | ListRead
export type Previewed = ImportPreview | ListPreview

/** Begins to look rows of a file up. Chunks are of the kind that is wanted: they come from its reader. */
export function startReading(store: Store, wanted: Wanted): Reading<Chunk, Previewed> {
  const reading: unknown =
    wanted.kind === 'offers'
      ? new OfferReading(store, wanted.terms)
      : readingOf(store, wanted.kind, wanted.terms)
  return reading as Reading<Chunk, Previewed>
}
