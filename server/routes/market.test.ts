import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeEach, expect, test } from 'vitest'
import { createApp } from '../app.ts'
import { type Database, openDatabase } from '../database/sqlite/connection.ts'
import { Store } from '../database/store.ts'
import { JobRunner } from '../jobs/runner.ts'

let knex: Database
let app: ReturnType<typeof createApp>
const jobs = new JobRunner()
const web = mkdtempSync(join(tmpdir(), 'junket-web-'))
mkdirSync(join(web, 'assets'))
writeFileSync(join(web, 'index.html'), '<!doctype html><title>Junket</title>')
writeFileSync(join(web, 'assets', 'a.js'), 'export {}')

beforeEach(async () => {
  await knex?.destroy()
  knex = await openDatabase(':memory:')
  app = createApp({ store: new Store(knex), jobs, web })
})
afterAll(async () => {
  await jobs.close()
  await knex.destroy()
})

const call = async (method: string, path: string, body?: unknown): Promise<any> => {
  const answer = await app.request(`/api${path}`, {
    method,
    ...(body === undefined
      ? {}
      : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  })
  return { status: answer.status, ...(await answer.json()) }
}

test('a supplier is added, changed, removed, and put back', async () => {
  const made = await call('POST', '/suppliers', {
    name: 'Pier',
    currency: 'SEK',
    shippingMinor: 9900,
    freeOverMinor: 100_000,
  })
  expect(made).toMatchObject({ status: 200, minimumMinor: 0, version: 1 })
  expect(
    await call('PATCH', `/suppliers/${made.id}`, { version: 1, freeOverMinor: null }),
  ).toMatchObject({ freeOverMinor: null, shippingMinor: 9900, version: 2 })
  const { trash } = await call('DELETE', `/suppliers/${made.id}`)
  expect((await call('GET', '/suppliers')).items).toEqual([])
  expect(await call('POST', `/trash/${trash}/restore`)).toMatchObject({
    entity: 'supplier',
    id: made.id,
  })
  expect((await call('GET', '/suppliers')).items).toMatchObject([{ name: 'Pier', version: 3 }])
})

test.each([
  ['/suppliers', { name: '', currency: 'EUR' }, 'name'],
  ['/suppliers', { name: 'X', currency: 'EURO' }, 'currency'],
  ['/suppliers', { name: 'X', currency: 'EUR', shippingMinor: -1 }, 'shippingMinor'],
  ['/suppliers', { name: 'X', currency: 'EUR', shippingMinor: 1.5 }, 'shippingMinor'],
  ['/rates', { fromCurrency: 'EUR', toCurrency: 'SEK', rate: 0, day: '2026-01-01' }, 'rate'],
  ['/rates', { fromCurrency: 'EUR', toCurrency: 'SEK', rate: 11, day: '1 May' }, 'day'],
  ['/kits', { name: 'K', priceMinor: 1, currency: 'EUR', items: [] }, 'items'],
  [
    '/donors',
    { name: 'D', currency: 'EUR', items: [{ partId: 'p', chance: 50 }] },
    'items.0.chance',
  ],
  ['/parts', { kind: 'spaceship', name: 'S' }, 'kind'],
  ['/builds', { name: 'B', currency: 'EUR', taxRate: 21 }, 'taxRate'],
])('%s refuses %j at %s', async (path, body, at) => {
  const answer = await call('POST', path, body)
  expect([answer.status, answer.errors[0].path]).toEqual([422, at])
})

test('two suppliers of one name clash plainly', async () => {
  await call('POST', '/suppliers', { name: 'Pier', currency: 'EUR' })
  const twice = await call('POST', '/suppliers', { name: 'Pier', currency: 'EUR' })
  expect([twice.status, twice.detail]).toEqual([
    409,
    'Another supplier has the same name. Nothing was changed.',
  ])
})

test("an offer by hand joins its number in the issuer's spelling; it is listed by part and by supplier", async () => {
  const supplier = await call('POST', '/suppliers', { name: 'Pier', currency: 'EUR' })
  const part = await call('POST', '/parts', { kind: 'disc', name: 'Disc' })
  const offer = await call('POST', '/offers', {
    partId: part.id,
    supplierId: supplier.id,
    issuer: 'ABC',
    number: '12-3.4',
    priceMinor: 900,
    currency: 'EUR',
  })
  expect(offer).toMatchObject({ normalised: '1234', pack: 1, stock: null, condition: 'new' })
  expect((await call('GET', `/offers?part=${part.id}`)).items).toHaveLength(1)
  expect((await call('GET', `/offers?supplier=${supplier.id}`)).items).toHaveLength(1)
  expect((await call('GET', '/offers')).status).toBe(422)
  expect((await call('DELETE', `/suppliers/${supplier.id}`)).status).toBe(409)
})

test('an issuer that changes how it writes has its numbers spelled anew; a clash changes nothing', async () => {
  const part = await call('POST', '/parts', {
    kind: 'disc',
    name: 'Disc',
    numbers: [{ issuer: 'ABC', number: '12/34.5' }],
  })
  const [issuer] = (await call('GET', '/issuers')).items
  expect(await call('PATCH', `/issuers/${issuer.id}`, { version: 1, noise: ' ./' })).toMatchObject({
    noise: ' ./',
    version: 2,
  })
  const spelled = async (): Promise<unknown[]> =>
    (await knex('partNumber').select('normalised').orderBy('id')).map((row) => row.normalised)
  expect(await spelled()).toEqual(['12345'])
  await call('PATCH', `/issuers/${issuer.id}`, { version: 2, noise: ' ' })
  await call('POST', `/parts/${part.id}/numbers`, { issuer: 'ABC', number: '12345' })
  const clash = await call('PATCH', `/issuers/${issuer.id}`, { version: 3, noise: ' ./' })
  expect([clash.status, (await call('GET', '/issuers')).items[0].noise, await spelled()]).toEqual([
    409,
    ' ',
    ['12/34.5', '12345'],
  ])
})

test('the interface is served with its address bar paths, and nothing foreign may run in it', async () => {
  const page = await app.request('/builds/some/parts')
  expect([page.status, await page.text()]).toEqual([200, expect.stringContaining('Junket')])
  const policy = page.headers.get('content-security-policy')!
  expect(policy).toContain("default-src 'self'")
  expect(policy).not.toMatch(/script-src[^;]*unsafe/)
  expect((await app.request('/assets/a.js')).headers.get('cache-control')).toContain('immutable')
  expect((await app.request('/api/none')).headers.get('content-type')).toBe(
    'application/problem+json',
  )
  expect([200, 404]).toContain((await app.request('/..%2f..%2fetc%2fpasswd')).status)
  expect(await (await app.request('/..%2f..%2fetc%2fpasswd')).text()).not.toContain('root:')
})

test('the words of kinds, ports, methods, tolerances and joints can be read by any program', async () => {
  const words = await call('GET', '/words')
  expect(words.joints.map((joint: any) => joint.number)).toEqual(
    Array.from({ length: 23 }, (_, i) => i + 1),
  )
  expect(words.ports['pilot-bore'].fields.map((field: any) => field.name)).toEqual([
    'finished',
    'boreMm',
    'mouthMm',
    'bottomMm',
  ])
})
