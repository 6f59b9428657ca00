import { createServer, type IncomingMessage, type ServerResponse } from 'node:http'
import { afterAll, expect, test } from 'vitest'
import { priceOn } from '../../stand-ins/feed-prices.ts'
import { soldBy } from '../../stand-ins/sold-by.ts'
import { FeedFault, fetchFeed } from './fetch-feed.ts'

type Answer = (request: IncomingMessage, response: ServerResponse) => void
let answer: Answer = () => undefined
let asked: string[] = []
const server = createServer((request, response) => {
  asked.push(request.url!)
  answer(request, response)
})
const port = await new Promise<number>((found) =>
  server.listen(0, '127.0.0.1', () => found((server.address() as { port: number }).port)),
)
afterAll(() => void server.close())

const QUICK = { answerMs: 500, waitMs: 1, mostWaitMs: 20 }
const page = (number: number, pages: number) =>
  JSON.stringify({ format: 'junket-prices', version: 1, page: number, pages, items: [] })
async function read(by: Answer, terms = QUICK) {
  answer = by
  asked = []
  const notes = { again: 0, waitedMs: 0 }
  let pages = 0
  const address = `http://127.0.0.1:${port}/prices?key=1`
  for await (const _ of fetchFeed(address, 'Counter', notes, terms)) pages++
  return { pages, ...notes }
}
const faultOf = async (by: Answer): Promise<string> => {
  const fault = await read(by).catch((error: unknown) => error)
  expect(fault).toBeInstanceOf(FeedFault)
  return (fault as Error).message
}

test('pages are asked for one after the other, by the address as it was given', async () => {
  const { pages } = await read(({ url }, response) =>
    response.end(page(Number(new URL(url!, 'http://x').searchParams.get('page')), 3)),
  )
  expect(pages).toBe(3)
  expect(asked).toEqual(['/prices?key=1&page=1', '/prices?key=1&page=2', '/prices?key=1&page=3'])
})

test('a wait that the answer asks for is kept to, no longer than is waited at most', async () => {
  let refused = 0
  const { again, waitedMs } = await read((_, response) => {
    if (refused++ < 2) {
      response.writeHead(429, { 'retry-after': '3600' }).end()
      return
    }
    response.end(page(1, 1))
  })
  expect(again).toBe(2)
  expect(waitedMs).toBe(40)
})

test('what is refused for good is not asked again; redirects are not followed; broken answers are asked five times over', async () => {
  expect(await faultOf((_, response) => void response.writeHead(403).end())).toContain(
    'Page 1 was refused with 403.',
  )
  expect(asked).toHaveLength(1)
  expect(
    await faultOf((_, response) => void response.writeHead(302, { location: '/elsewhere' }).end()),
  ).toContain('could not be reached')
  expect(asked.every((url) => url.startsWith('/prices'))).toBe(true)
  expect(await faultOf((_, response) => void response.end('<html>busy</html>'))).toContain(
    'Page 1 is not a page of prices, 5 times over.',
  )
  expect(await faultOf((_, response) => void response.socket!.destroy())).toContain(
    'could not be reached',
  )
})

test('a page that never ends, or tells of more pages than are read, is given up', async () => {
  expect(
    await faultOf((_, response) => {
      response.write('x')
      const more = setInterval(() => response.write('x'.repeat(1 << 20)), 1)
      response.on('close', () => clearInterval(more))
    }),
  ).toMatch(/larger than 8 MB|did not come within/)
  expect(await faultOf((_, response) => void response.end(page(1, 9999)))).toContain(
    'at most 2000 are read',
  )
})

test('the simulated suppliers sell what stands under a number, and ask the same on the same day', () => {
  const sold = soldBy({
    tables: {
      issuer: [{ id: 'i', name: 'OTC' }],
      supplier: [{ id: 's', currency: 'EUR' }],
      offer: [
        {
          supplierId: 's',
          issuerId: 'i',
          number: 'OTC 1',
          priceMinor: 500,
          currency: 'EUR',
          pack: 1,
          condition: 'new',
        },
        { supplierId: 's', priceMinor: 500, currency: 'EUR', pack: 1, condition: 'new' },
        {
          supplierId: 's',
          issuerId: 'i',
          number: 'OTC 2',
          priceMinor: 500,
          currency: 'GBP',
          pack: 1,
          condition: 'new',
        },
      ],
    },
  })
  const items = sold.get('s')!.items
  expect(items.map(({ number, stock }) => [number, stock])).toEqual([['OTC 1', null]])
  const prices = Array.from({ length: 400 }, (_, day) => priceOn(items[0]!, 20_000 + day))
  expect(priceOn(items[0]!, 20_000)).toBe(prices[0])
  // Most days nothing moves; over a year something does, and never far.
  expect(new Set(prices).size).toBeGreaterThan(3)
  expect(Math.max(...prices) / Math.min(...prices)).toBeLessThan(1.3)
})
