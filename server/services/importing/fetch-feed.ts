import { setTimeout as sleep } from 'node:timers/promises'
import type { OffersRead } from '../../documents/offers-csv.ts'
import { type FeedPage, offersOfPage, readFeedPage } from '../../documents/price-feed.ts'

/** A feed that could not be read, with what to do. */
export class FeedFault extends Error {
  override readonly name = 'FeedFault'
}

/** How a feed is fetched; shorter in tests. */
export interface FetchTerms {
  /** How long one answer may take. */
  readonly answerMs: number
  /** The first wait before asking again; doubled each time. */
  readonly waitMs: number
  readonly mostWaitMs: number
}
const TERMS: FetchTerms = { answerMs: 10_000, waitMs: 500, mostWaitMs: 30_000 }
const MOST_TRIES = 5
const MOST_PAGES = 2000
const MOST_BYTES = 8 * 2 ** 20

/** What fetching took beside reading. */
export interface FetchNotes {
  /** Times it was asked again. */
  again: number
  waitedMs: number
}

/**
 * Fetches every page of a supplier's prices, one after the other. Late, busy (429, 5xx) and broken answers are asked for
 * again, each time after twice the wait, or after what the answer says (`Retry-After`).
 * @throws FeedFault where a page cannot be had
 */
export async function* fetchFeed(
  address: string,
  supplier: string,
  notes: FetchNotes,
  terms: FetchTerms = TERMS,
): AsyncGenerator<OffersRead> {
  let before = 0
  for (let page = 1, pages = 1; page <= pages; page++) {
    const read = await fetchPage(address, page, notes, terms)
    pages = read.pages
    if (pages > MOST_PAGES)
      throw new FeedFault(`It says it has ${pages} pages; at most ${MOST_PAGES} are read.`)
    yield offersOfPage(read, supplier, before)
    before += read.items.length
  }
}

async function fetchPage(
  address: string,
  page: number,
  notes: FetchNotes,
  terms: FetchTerms,
): Promise<FeedPage> {
  const url = new URL(address)
  url.searchParams.set('page', String(page))
  for (let tries = 1; ; tries++) {
    const { found, why, after } = await ask(url, terms)
    if (found) return found
    if (after === null || tries >= MOST_TRIES)
      throw new FeedFault(
        `Page ${page} ${why}${tries > 1 ? `, ${tries} times over` : ''}. Look at the address, or try later.`,
      )
    const waitMs = Math.min(terms.mostWaitMs, Math.max(after, terms.waitMs * 2 ** (tries - 1)))
    notes.again++
    notes.waitedMs += waitMs
    await sleep(waitMs)
  }
}

/** One answer: the page, or why not and the least wait before it is worth asking again; null where it never is. */
async function ask(
  url: URL,
  { answerMs }: FetchTerms,
): Promise<{ found: FeedPage | null; why: string; after: number | null }> {
  const not = (why: string, after: number | null = 0) => ({ found: null, why, after })
  try {
    const answer = await fetch(url, {
      redirect: 'error',
      signal: AbortSignal.timeout(answerMs),
      headers: { accept: 'application/json' },
    })
    if (answer.status === 429 || answer.status >= 500) {
      await answer.body?.cancel()
      const seconds = Number(answer.headers.get('retry-after') ?? 0)
      return not(`was refused with ${answer.status}`, Number.isFinite(seconds) ? seconds * 1000 : 0)
    }
    if (!answer.ok) {
      await answer.body?.cancel()
      return not(`was refused with ${answer.status}`, null)
    }
    const text = await textOf(answer)
    if (text === null) return not(`is larger than ${MOST_BYTES / 2 ** 20} MB`, null)
    const found = readFeedPage(text)
    return found ? { found, why: '', after: 0 } : not('is not a page of prices')
  } catch (error) {
    const { name } = error as Error
    return not(
      name === 'TimeoutError' ? `did not come within ${answerMs / 1000} s` : 'could not be reached',
    )
  }
}

/** The text of an answer, no more than is taken; null beyond. */
async function textOf(answer: Response): Promise<string | null> {
  const decoder = new TextDecoder()
  let text = ''
  let bytes = 0
  for await (const chunk of answer.body ?? []) {
    bytes += (chunk as Uint8Array).length
    if (bytes > MOST_BYTES) return null
    text += decoder.decode(chunk as Uint8Array, { stream: true })
  }
  return text + decoder.decode()
}
