import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { createApp } from '../app.ts'
import { type Database, openDatabase } from '../database/sqlite/connection.ts'
import { Store } from '../database/store.ts'
import { PhotoMaker } from '../jobs/photo-maker.ts'
import { JobRunner } from '../jobs/runner.ts'
import { PhotoFiles } from '../services/catalogue/photo-files.ts'

const jobs = new JobRunner()
const maker = new PhotoMaker()
const opened: Database[] = []

/** A Junket of its own, with pictures of its own. */
async function junket() {
  const knex = await openDatabase(':memory:')
  opened.push(knex)
  const store = new Store(knex)
  const files = new PhotoFiles(mkdtempSync(join(tmpdir(), 'junket-photos-')))
  const app = createApp({ store, jobs, photos: { files, maker } })
  const ask = async (method: string, path: string, body?: Blob | object) => {
    const answer = await app.request(`/api${path}`, {
      method,
      headers: {
        'content-type': body instanceof Blob ? 'application/octet-stream' : 'application/json',
      },
      ...(body ? { body: body instanceof Blob ? body : JSON.stringify(body) } : {}),
    })
    const isJson = answer.headers.get('content-type')?.includes('json')
    return {
      status: answer.status,
      said: isJson ? ((await answer.json()) as any) : null,
      bytes: isJson ? null : Buffer.from(await answer.arrayBuffer()),
    }
  }
  return { store, files, ask }
}
let here: Awaited<ReturnType<typeof junket>>
let picture: Blob

beforeAll(async () => {
  here = await junket()
  await here.store.transaction(async (tx) => {
    await tx.insert('build', { id: 'lantern', name: 'Lantern', currency: 'EUR' })
    await tx.insert('donor', { id: 'd1', name: 'Pinnace', currency: 'EUR' })
  })
  const made = sharp({ create: { width: 900, height: 600, channels: 3, background: '#335577' } })
  picture = new Blob([new Uint8Array(await made.png().toBuffer())])
})
afterAll(async () => {
  await Promise.all([jobs.close(), maker.close(), ...opened.map((knex) => knex.destroy())])
})

test('a picture is kept once however often it is sent, shown whole and small, said of, removed and put back', async () => {
  const { ask } = here
  const path = '/photos?id=p1&buildId=lantern&spot=heater'
  const first = await ask('POST', path, picture)
  expect(first.said).toMatchObject({ id: 'p1', spot: 'heater', widthPx: 900, heightPx: 600 })
  expect((await ask('POST', path, picture)).said).toEqual(first.said)
  expect((await ask('GET', '/photos?buildId=lantern&spot=heater')).said.items).toHaveLength(1)
  expect((await ask('GET', '/photos?buildId=lantern&spot=belt')).said.items).toEqual([])
  const image = (await ask('GET', '/photos/p1/image')).bytes!
  expect((await sharp(image).metadata()).format).toBe('jpeg')
  expect((await ask('GET', '/photos/p1/thumb')).bytes!.length).toBeLessThan(image.length)
  const said = await ask('PATCH', '/photos/p1', { version: 1, note: 'Behind the dash' })
  expect(said.said).toMatchObject({ version: 2, note: 'Behind the dash' })
  const { trash } = (await ask('DELETE', '/photos/p1')).said
  expect((await ask('GET', '/photos/p1/image')).status).toBe(404)
  await ask('POST', `/trash/${trash}/restore`)
  expect((await ask('GET', '/photos/p1/image')).bytes).toEqual(image)
})

test('whose it is must be said once; what is no picture is refused and leaves nothing', async () => {
  const { ask, store } = here
  for (const of of ['', '&buildId=lantern&donorId=d1'])
    expect((await ask('POST', `/photos?id=p2${of}`, picture)).said.detail).toContain('one of them')
  const refused = await ask('POST', '/photos?id=p2&donorId=d1', new Blob(['no picture']))
  expect([refused.status, refused.said.detail]).toEqual([
    422,
    expect.stringContaining('JPEG, PNG or WebP'),
  ])
  const nobody = await ask('POST', '/photos?id=p2&donorId=nobody', picture)
  expect(nobody.status).toBeGreaterThanOrEqual(404)
  expect(await store.find('photo', 'p2')).toBeNull()
})

test('a build goes with its pictures as a zip into another Junket; without them as JSON, and says what is missing', async () => {
  const { ask, files } = here
  const zip = (await ask('GET', '/builds/lantern/export.zip')).bytes!
  const other = await junket()
  expect((await other.ask('POST', '/builds/import', new Blob([new Uint8Array(zip)]))).said).toEqual(
    {
      builds: ['lantern'],
      added: 2,
    },
  )
  expect((await other.ask('GET', '/photos/p1/image')).bytes).toEqual(
    (await ask('GET', '/photos/p1/image')).bytes,
  )
  expect((await other.ask('GET', '/photos/p1/thumb')).status).toBe(200)
  expect((await other.ask('GET', '/builds/lantern/export.zip')).bytes).toEqual(zip)

  const bare = await junket()
  const json = (await ask('GET', '/builds/lantern/export.json')).said
  expect(json.tables.photo[0].hash).toMatch(/^[0-9a-f]{64}$/)
  await bare.ask('POST', '/builds/import', new Blob([JSON.stringify(json)]))
  const missing = await bare.ask('GET', '/photos/p1/image')
  expect([missing.status, missing.said.detail]).toEqual([
    404,
    expect.stringContaining('zip with photos'),
  ])
  expect(files.has(json.tables.photo[0].hash)).toBe(true)
})

test('a zip that is cut short, holds no build, or a picture under another name is refused', async () => {
  const zip = (await here.ask('GET', '/builds/lantern/export.zip')).bytes!
  const other = await junket()
  const send = async (bytes: Buffer) =>
    (await other.ask('POST', '/builds/import', new Blob([new Uint8Array(bytes)]))).said.detail
  expect(await send(zip.subarray(0, zip.length - 40))).toContain('cannot be read')
  const renamed = Buffer.from(
    zip
      .toString('latin1')
      .replaceAll(/photos\/[0-9a-f]/g, 'photos/f')
      .replaceAll('photos/ff', 'photos/fe'),
    'latin1',
  )
  expect(await send(renamed)).toContain('not the picture its name says')
  expect(
    await send(
      Buffer.from(zip.toString('latin1').replaceAll('build.json', 'other.json'), 'latin1'),
    ),
  ).toContain('no build.json')
  expect(await other.store.list('build')).toEqual([])
  rmSync(other.files.folder, { recursive: true })
})
