import { setTimeout as sleep } from 'node:timers/promises'
import { Hono } from 'hono'
import { minorDigits } from '../../core/money/money.ts'
import { priceOn, type SoldItem } from './feed-prices.ts'

/** A supplier whose prices are fetched. */
export interface Feeding {
  readonly currency: string
  readonly taxIncluded: boolean
  readonly items: readonly SoldItem[]
}

const PER_PAGE = 100
const MOST_LATE_MS = 60_000

/**
 * A simulated supplier's service: `/{supplier}?page=N` gives its prices of the day, page by page. On request it misbehaves as
 * such services do: `late` ms before each answer, the first `busy` asks of each page refused with 429, every `malformed`th
 * item broken.
 * @param now the moment it is, in ms
 */
export function priceFeed(suppliers: ReadonlyMap<string, Feeding>, now: () => number): Hono {
  const refused = new Map<string, number>()
  const app = new Hono()
  app.get('/:supplier', async (c) => {
    const id = c.req.param('supplier')
    const supplier = suppliers.get(id)
    if (!supplier) return c.json({ error: `There are no prices of ${id} here.` }, 404)
    const asked = (name: string): number => Math.max(0, Math.trunc(Number(c.req.query(name)) || 0))
    const page = Math.max(1, asked('page'))
    await sleep(Math.min(MOST_LATE_MS, asked('late')))
    const key = `${id} ${page}`
    const before = refused.get(key) ?? 0
    if (before < asked('busy')) {
      refused.set(key, before + 1)
      return c.json({ error: 'Too many at once.' }, 429, { 'retry-after': '1' })
    }
    refused.delete(key)
    const every = asked('malformed')
    const day = Math.floor(now() / 86_400_000)
    const digits = minorDigits(supplier.currency)
    const from = (page - 1) * PER_PAGE
    return c.json({
      format: 'junket-prices',
      version: 1,
      page,
      pages: Math.max(1, Math.ceil(supplier.items.length / PER_PAGE)),
      currency: supplier.currency,
      taxIncluded: supplier.taxIncluded,
      items: supplier.items.slice(from, from + PER_PAGE).map((item, at) => {
        const { priceMinor: _, ...rest } = item
        const price = (priceOn(item, day) / 10 ** digits).toFixed(digits)
        const isBroken = every > 0 && (from + at + 1) % every === 0
        return { ...rest, price: isBroken ? `about ${price}` : price }
      }),
    })
  })
  return app
}
