import type { z } from 'zod'
import { feedReading } from '../../../contract/answers/feeds.ts'
import { nextReading } from '../../../core/sourcing/feed-due.ts'
import { actAs } from '../../database/actor.ts'
import { newId } from '../../database/new-id.ts'
import type { RowOf, Store } from '../../database/store.ts'
import type { OffersRead } from '../../documents/offers-csv.ts'
import { ProblemError, UnprocessableError } from '../../errors.ts'
import { shopDay } from '../shop/day.ts'
import { FeedFault, type FetchNotes, type FetchTerms, fetchFeed } from './fetch-feed.ts'
import type { ImportPreview, OfferTerms } from './offer-reading.ts'
import type { Chunks } from './offers.ts'

export type FeedReading = z.output<typeof feedReading>

/** Takes offers in, as an import does. */
export interface TakesOffers {
  import(
    store: Store,
    chunks: Chunks,
    wanted: { readonly kind: 'offers'; readonly terms: OfferTerms },
  ): Promise<ImportPreview>
}

const READINGS_KEPT = 50
const NAMED_FAULTS = 20
/** Suppliers whose feed is being read, by database. */
const busy = new WeakMap<object, Set<string>>()

/** How the newest readings of a supplier's feed went, newest first. */
export async function feedReadings(store: Store, supplierId: string): Promise<FeedReading[]> {
  await store.get('supplier', supplierId)
  const rows = (await store
    .knex('feedReading')
    .where({ supplierId })
    .orderBy('id', 'desc')
    .limit(READINGS_KEPT)) as { outcome: string }[]
  return rows.map(({ outcome }) => feedReading.parse(JSON.parse(outcome)))
}

/**
 * Fetches a supplier's prices and takes them in: what is not named any more has ended; items that cannot be read are left
 * out and told, unless they are more than a tenth. However it goes, it is noted.
 * @throws UnprocessableError where the supplier has no feed · ProblemError 409 while it is being read
 */
export async function readFeed(
  store: Store,
  offers: TakesOffers,
  supplierId: string,
  terms?: FetchTerms,
): Promise<FeedReading> {
  const supplier = await store.get('supplier', supplierId)
  if (!supplier.feed)
    throw new UnprocessableError(
      `${supplier.name} has no address its prices are fetched from. Give it one under Suppliers.`,
    )
  let running = busy.get(store.root)
  if (!running) busy.set(store.root, (running = new Set()))
  if (running.has(supplierId))
    throw new ProblemError(409, `The prices of ${supplier.name} are being read just now.`)
  running.add(supplierId)
  try {
    const reading = await take(store, offers, supplier, supplier.feed.address, terms)
    await note(store, supplierId, reading)
    return reading
  } finally {
    running.delete(supplierId)
  }
}

async function take(
  store: Store,
  offers: TakesOffers,
  supplier: RowOf<'supplier'>,
  address: string,
  terms?: FetchTerms,
): Promise<FeedReading> {
  const notes: FetchNotes = { again: 0, waitedMs: 0 }
  const day = await shopDay(store)
  const outcome = (rest: Partial<FeedReading>): FeedReading => ({
    at: new Date().toISOString(),
    isRead: false,
    ...notes,
    rows: 0,
    added: 0,
    updated: 0,
    moved: 0,
    gone: 0,
    badCount: 0,
    bad: [],
    why: null,
    ...rest,
  })
  try {
    // Fetched whole first: nobody's import waits for a slow answer.
    const pages: OffersRead[] = []
    for await (const page of fetchFeed(address, supplier.name, notes, terms)) pages.push(page)
    if (pages.every(({ rows, bad }) => rows.length + bad.length === 0))
      return outcome({ why: 'It names nothing at all: nothing was changed. Look at the address.' })
    const found = await offers.import(store, pages, {
      kind: 'offers',
      terms: { day, isWhole: true, leavesBadOut: true },
    })
    if (found.badCount === 0) await noteRead(store, supplier.id, day)
    const { rows, added, updated, moved, gone, badCount } = found
    const bad = found.bad.slice(0, NAMED_FAULTS)
    return outcome({ isRead: true, rows, added, updated, moved, gone, badCount, bad })
  } catch (error) {
    if (error instanceof FeedFault) return outcome({ why: error.message })
    if (error instanceof UnprocessableError)
      return outcome({ why: `${error.message} More than a tenth of it is wrong.` })
    // Others change the same rows, or a backup was put back: told, and tried again in its turn.
    if (error instanceof ProblemError) return outcome({ why: error.message })
    throw error
  }
}

/** The day all that a supplier sells was read, once a day. */
const noteRead = (store: Store, id: string, day: string): Promise<unknown> =>
  store.transaction(async (tx) => {
    const now = await tx.get('supplier', id)
    if (now.feedReadOn !== day) await tx.update('supplier', id, now.version, { feedReadOn: day })
  })

async function note(store: Store, supplierId: string, reading: FeedReading): Promise<void> {
  await store
    .knex('feedReading')
    .insert({ supplierId, at: reading.at, outcome: JSON.stringify(reading) })
  const kept = store
    .knex('feedReading')
    .where({ supplierId })
    .orderBy('id', 'desc')
    .limit(READINGS_KEPT)
    .select('id')
  await store.knex('feedReading').where({ supplierId }).whereNotIn('id', kept).del()
}

/** Suppliers whose feed is to be read by now. */
export async function feedsDue(store: Store, now: number): Promise<RowOf<'supplier'>[]> {
  const due: RowOf<'supplier'>[] = []
  for (const supplier of await store.list('supplier')) {
    const every = supplier.feed?.everyHours
    if (!every) continue
    const readings = (await feedReadings(store, supplier.id)).map(({ at, isRead }) => ({
      at: Date.parse(at),
      isRead,
    }))
    if (nextReading(readings, every) <= now) due.push(supplier)
  }
  return due
}

/** Reads a feed as nobody in particular: undone as one command, under its own name. */
export const readFeedUnasked = (
  store: Store,
  offers: TakesOffers,
  { id, name }: RowOf<'supplier'>,
): Promise<FeedReading> =>
  actAs({ who: `Prices of ${name}`, command: newId() }, () => readFeed(store, offers, id))
