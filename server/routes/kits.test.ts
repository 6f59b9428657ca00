import { afterAll, beforeAll, expect, test } from 'vitest'
import { partsDocument } from '../../contract/parts-document.ts'
import { createApp } from '../app.ts'
import { demoDatabase } from '../database/demo.seed.ts'
import type { Database } from '../database/sqlite/connection.ts'
import { Store } from '../database/store.ts'
import { JobRunner } from '../jobs/runner.ts'

let knex: Database
let app: ReturnType<typeof createApp>
const jobs = new JobRunner()
beforeAll(async () => {
  knex = await demoDatabase()
  app = createApp({ store: new Store(knex), jobs })
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

test('what is said to have held or failed is of one thing, listed with it, and goes to the trash and back', async () => {
  const report = { outcome: 'failed', what: 'Dowel holes a millimetre out', howMany: 2 }
  expect((await call('POST', '/reports', report)).status).toBe(422)
  expect(
    (await call('POST', '/reports', { ...report, kitId: 'kit-1', partId: 'wick-2' })).status,
  ).toBe(422)
  expect(
    (await call('POST', '/reports', { ...report, kitId: 'kit-1', what: ' ' })).errors,
  ).toMatchObject([{ path: 'what' }])
  const made = await call('POST', '/reports', { ...report, kitId: 'kit-1' })
  expect(made).toMatchObject({ status: 200, grade: 'heard', howMany: 2 })
  const said = async () =>
    (await call('GET', '/reports?kit=kit-1')).items.map(({ id }: { id: string }) => id)
  expect(await said()).toContain(made.id)
  const { trash } = await call('DELETE', `/reports/${made.id}`)
  expect(await said()).not.toContain(made.id)
  await call('POST', `/trash/${trash}/restore`)
  expect(await said()).toContain(made.id)
})

test('a wanted part is to be had once somebody sells it for what was said, in another currency too; announced is not sold', async () => {
  const part = await call('POST', '/parts', { kind: 'pilot', name: 'Pilot of quayside brass' })
  const wanted = await call('POST', '/watches', {
    partId: part.id,
    currency: 'EUR',
    mostMinor: 5000,
  })
  const seen = async () =>
    (await call('GET', '/watches')).items.find(({ id }: { id: string }) => id === wanted.id)
  expect(await seen()).toMatchObject({ best: null, announced: false, isHad: false })
  const offer = { partId: part.id, supplierId: 'brimble', currency: 'GBP', priceMinor: 3900 }
  const announced = await call('POST', '/offers', { ...offer, standing: 'announced' })
  expect(await seen()).toMatchObject({ best: null, announced: true, isHad: false })
  await call('PATCH', `/offers/${announced.id}`, {
    version: announced.version,
    standing: 'shipping',
  })
  // 39.00 GBP at the demo's rate is below 50.00 EUR.
  expect(await seen()).toMatchObject({ isHad: true, best: { supplier: 'Brimble Fabrication' } })
  expect((await call('POST', '/watches', { partId: 'nobody', currency: 'EUR' })).status).toBe(404)
  await call('DELETE', `/watches/${wanted.id}`)
  expect(await seen()).toBeUndefined()
})

test('kits: one alone, five, or one that is gone are refused with words; a piece needs a part or a number', async () => {
  const compared = (ids: string) => call('GET', `/builds/lantern/kits/compared?ids=${ids}`)
  expect(await compared('kit-1')).toMatchObject({ status: 422, detail: 'Choose two to 4 kits.' })
  expect((await compared('kit-1,kit-2,kit-3,kit-4,kit-5')).status).toBe(422)
  expect((await compared('kit-1,nobody')).status).toBe(404)
  expect((await call('GET', '/builds/lantern/kits')).items.length).toBeGreaterThan(3)
  const kit = { name: 'Bare kit', priceMinor: 100, currency: 'EUR' }
  expect((await call('POST', '/kits', { ...kit, items: [{ quantity: 1 }] })).status).toBe(422)
  const made = await call('POST', '/kits', {
    ...kit,
    standing: 'trial',
    quality: { holeProcess: 'reamed', designYear: 2025 },
    items: [
      { kind: 'pilot', issuer: 'QSD', number: 'P-15', words: 'Pilot bush', hadAgain: 'Turned' },
    ],
  })
  expect(made).toMatchObject({ status: 200, standing: 'trial', quality: { designYear: 2025 } })
  expect(made.items[0]).toMatchObject({
    partName: 'Pilot bush',
    partKind: 'pilot',
    hadAgain: 'Turned',
  })
  // The same number in another spelling is the same part, and its row stays.
  const again = await call('PATCH', `/kits/${made.id}`, {
    version: made.version,
    items: [{ kind: 'pilot', issuer: 'QSD', number: 'p 15', quantity: 2 }],
  })
  expect(again.items).toHaveLength(1)
  expect(again.items[0]).toMatchObject({ id: made.items[0].id, quantity: 2, hadAgain: null })
})

test('what came is of a line for which something is planned, once; another build’s is not taken back from here', async () => {
  const came = (needId: string) =>
    call('POST', '/builds/lantern/arrivals', { needId, batch: 'B 1' })
  expect((await came('no-such-line')).status).toBe(409)
  const { lines } = await call('GET', '/builds/lantern/parts')
  const line = lines.find(({ wants, task }: { wants?: string; task?: unknown }) => wants && !task)
  const first = await came(line.id)
  expect(first).toMatchObject({ status: 200, batch: 'B 1' })
  expect((await came(line.id)).id).toBe(first.id)
  expect((await call('DELETE', `/builds/alder/arrivals/${first.id}`)).status).toBe(404)
  expect((await call('DELETE', `/builds/lantern/arrivals/${first.id}`)).status).toBe(200)
  expect((await call('GET', '/builds/lantern/arrivals')).arrivals).toEqual([])
})

test('parts go out as JSON that keeps to its published schema, as they are narrowed', async () => {
  const answer = await app.request('/api/parts.json?kind=plate')
  const document = partsDocument.parse(await answer.json())
  expect(document.parts.length).toBeGreaterThan(3)
  expect(new Set(document.parts.map(({ kind }) => kind))).toEqual(new Set(['plate']))
  const plate = document.parts.find(({ id }) => id === 'plate-w2-12')!
  expect(plate.numbers).toContainEqual({
    issuer: 'TSL',
    number: '12.04',
    mark: 'catalogue',
    grade: 'catalogue',
  })
  const thickness = plate.ports.find(({ kind }) => kind === 'plate')!.claims[0]
  expect(thickness).toMatchObject({ field: 'thicknessMm', value: 12, grade: 'maker' })
})

test('lists come and go by their addresses: a kind that is none is refused, a sample begins each', async () => {
  expect((await app.request('/api/lists/all.csv?list=horses')).status).toBe(422)
  const sample = await app.request('/api/lists/sample.csv?list=kits')
  expect(sample.headers.get('content-disposition')).toContain('sample-kits.csv')
  const csv = await sample.text()
  const preview = await app.request('/api/lists/preview?kind=kits', {
    method: 'POST',
    headers: { 'content-type': 'text/csv' },
    body: csv,
  })
  expect(await preview.json()).toMatchObject({ added: 1, badCount: 0 })
  const broken = await app.request('/api/lists/preview?kind=kits&columns=nothing', {
    method: 'POST',
    headers: { 'content-type': 'text/csv' },
    body: csv,
  })
  expect(broken.status).toBe(422)
})
