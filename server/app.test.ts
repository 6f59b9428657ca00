import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { FILE_PATHS } from '../contract/files.ts'
import { JOINTS } from '../core/joints/index.ts'
import { AGREEING } from '../core/joints/samples.property.ts'
import { createApp } from './app.ts'
import { demoDatabase } from './database/demo.seed.ts'
import { type Database, openDatabase } from './database/sqlite/connection.ts'
import { Store } from './database/store.ts'
import { JobRunner } from './jobs/runner.ts'
import { exportBuild, importDocument } from './services/builds/build-document.ts'

let knex: Database
let app: ReturnType<typeof createApp>
let store: Store
const jobs = new JobRunner()

beforeAll(async () => {
  knex = await demoDatabase()
  store = new Store(knex, 'test')
  app = createApp({ store, jobs })
})
afterAll(async () => {
  await jobs.close()
  await knex.destroy()
})

const call = async (
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = {},
): Promise<{ status: number; type: string | null; body: any }> => {
  const response = await app.request(`/api${path}`, {
    method,
    headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...headers },
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  })
  expect(response.status).not.toBe(500)
  return {
    status: response.status,
    type: response.headers.get('content-type'),
    body: await response.json(),
  }
}

test('health, and an OpenAPI document with an example on every stateless endpoint', async () => {
  expect((await call('GET', '/health')).body).toEqual({ status: 'ready' })
  const { body } = await call('GET', '/openapi.json')
  for (const path of [
    '/api/check/joint',
    '/api/check/pairing',
    '/api/plan/needs',
    '/api/plan/sourcing',
  ]) {
    const schema = body.paths[path].post.requestBody.content['application/json'].schema
    const example =
      schema.example ?? body.components.schemas[schema.$ref?.split('/').at(-1)]?.example
    expect([path, example !== undefined]).toEqual([path, true])
    const answer = await call('POST', path.replace('/api', ''), example)
    expect([path, answer.status]).toEqual([path, 200])
  }
})

test.each([
  ['malformed JSON', 'POST', '/check/joint', '{"joint":', {}, 400],
  [
    'another content type',
    'POST',
    '/check/joint',
    '<a/>',
    { 'content-type': 'application/xml' },
    415,
  ],
  ['an unknown joint', 'POST', '/check/joint', { joint: 'nose', a: [], b: [] }, {}, 422],
  [
    'an unknown field',
    'POST',
    '/check/joint',
    { joint: 'pilot', a: [{ kind: 'pilot-bore', fields: { boreInch: { value: 1 } } }], b: [] },
    {},
    422,
  ],
  [
    'a word where a number belongs',
    'POST',
    '/check/joint',
    { joint: 'pilot', a: [{ kind: 'pilot-bore', fields: { boreMm: { value: 'wide' } } }], b: [] },
    {},
    422,
  ],
  [
    'a supplier nobody sent',
    'POST',
    '/plan/sourcing',
    {
      currency: 'EUR',
      needs: [{ id: 'a', quantity: 1 }],
      candidates: [{ id: 'c', need: 'a', source: 'buy', supplier: 'x', priceMinor: 1 }],
      bundles: [],
      suppliers: [],
    },
    {},
    422,
  ],
  ['no such route', 'GET', '/nothing', undefined, {}, 404],
  ['no such build', 'GET', '/builds/none', undefined, {}, 404],
  [
    'a write from another origin',
    'POST',
    '/suppliers',
    { name: 'X', currency: 'EUR' },
    { origin: 'http://elsewhere.example' },
    403,
  ],
])('%s is told as problem details', async (_, method, path, body, headers, status) => {
  const answer = await call(method, path, body, headers)
  expect([answer.status, answer.type]).toEqual([status, 'application/problem+json'])
  expect(answer.body.detail.length).toBeGreaterThan(20)
})

test('the path of a fault is told', async () => {
  const { body } = await call('POST', '/check/joint', {
    joint: 'pilot',
    a: [{ kind: 'pilot-bore', fields: { boreMm: { value: 'wide' } } }],
    b: [],
  })
  expect(body.errors[0].path).toBe('a.0.fields.boreMm.value')
})

test('the interface and the stateless endpoint read one core: the demo pairing comes back the same', async () => {
  const { body: detail } = await call(
    'GET',
    '/builds/lantern/pairing?engine=wick-2&transmission=marlund-4',
  )
  expect(
    detail.joints.map((joint: any) => [joint.joint, joint.bare.code, joint.closed?.code]),
  ).toEqual([
    ['block-face', 'bridge', 'fits'],
    ['crank-flange', 'fits', 'fits'],
    ['depth', 'bridge', 'fits'],
    ['pilot', 'fits', 'fits'],
    ['clutch-disc', 'fits', 'fits'],
    ['clutch-cover', 'fits', 'fits'],
    ['release', 'fits', 'fits'],
    ['starter-ring', 'fits', 'fits'],
    ['torque', 'fits', 'fits'],
    ['crank-sensor', 'fits', 'fits'],
    ['rotation', 'fits', 'fits'],
    ['propshaft', 'fits', 'fits'],
    ['gearbox-mount', 'fits', 'fits'],
    ['engine-mounts', 'bridge', 'bridge'],
    ['lever', 'fits', 'fits'],
    ['speedometer', 'fits', 'fits'],
    ['switches', 'fits', 'fits'],
    ['sump-clearance', 'fits', 'fits'],
  ])
  expect(detail.chosen).toEqual(['plate-w2-12'])
})

test('the demo holds what it promises: a clash, an unmeasured joint, a two-part set, a kit without dowels, a superseded number', async () => {
  const { body } = await call('GET', '/builds/lantern/pairings')
  const code = (engine: string, transmission: string, joint: string): string =>
    body.rows.find(
      (one: any) =>
        body.parts[one.engine].id === engine && body.parts[one.transmission].id === transmission,
    ).codes[body.joints.indexOf(joint)]
  expect(code('anvil', 'marlund-4', 'torque')).toBe('c')
  expect(code('quill-late', 'sunagi-5', 'pilot')).toBe('u')
  const { body: figures } = await call('POST', '/builds/lantern/pairing-figures', {
    pairs: [{ engineId: 'wick-1', transmissionId: 'marlund-4', transferId: null }],
  })
  expect(figures.items[0].closedBy).toEqual([
    'Tessil plate 16 mm, Wick 1st to Marlund',
    'Tessil crank spacer 4.2 mm, Wick',
  ])
  const brimble = await call('GET', '/builds/lantern/pairing?engine=wick-2&transmission=marlund-4')
  expect(brimble.body.sets.map((set: any) => set.names.join())).toContain(
    'Brimble plate 12 mm, Wick 2nd to Marlund',
  )
  const { body: parts } = await call('GET', '/builds/lantern/parts')
  const disc = parts.lines.find((line: any) => line.part === 'disc')
  expect(disc.candidates.map((one: any) => one.number.says)).toEqual(
    expect.arrayContaining(['exact', 'superseded by']),
  )
})

test('a measurement moves the verdict that leaned on it, on this very part only', async () => {
  const before = await call(
    'GET',
    '/builds/lantern/pairing?engine=quill-late&transmission=sunagi-5',
  )
  const pilot = before.body.joints.find((one: any) => one.joint === 'pilot').bare
  expect(pilot.missing.map((field: any) => field.field)).toEqual(['finished'])
  const claim = await call('POST', '/claims', {
    portId: 'quill-late/pilot-bore/crank',
    field: 'finished',
    typed: 'yes',
    by: 'Bram',
    build: 'lantern',
    thisVeryPart: true,
  })
  expect(claim.status).toBe(200)
  await call('POST', '/claims', {
    portId: 'quill-late/pilot-bore/crank',
    field: 'bottomMm',
    typed: '-35/64 in',
    method: 'bar-caliper',
    build: 'lantern',
    thisVeryPart: true,
  })
  const after = await call('GET', '/builds/lantern/pairing?engine=quill-late&transmission=sunagi-5')
  expect(after.body.joints.slice(0, 6).map((one: any) => one.bare.code)).toEqual(
    Array(6).fill('fits'),
  )
  const wrong = await call('POST', '/claims', {
    portId: 'quill-late/pilot-bore/crank',
    field: 'bottomMm',
    typed: 'deep',
  })
  expect([wrong.status, wrong.body.errors[0].path]).toEqual([422, 'typed'])
})

test('a stale write answers 409 with the stored value, and every write is in the history', async () => {
  const { body: supplier } = await call('POST', '/suppliers', {
    name: 'Test pier',
    currency: 'EUR',
  })
  const patch = { version: supplier.version, name: 'Test pier two' }
  expect((await call('PATCH', `/suppliers/${supplier.id}`, patch)).body.version).toBe(2)
  const stale = await call('PATCH', `/suppliers/${supplier.id}`, { ...patch, name: 'Other' })
  expect([stale.status, stale.body.theirs.name, stale.body.yours.name]).toEqual([
    409,
    'Test pier two',
    'Other',
  ])
  const history = await knex('history')
    .where({ entity: 'supplier', entityId: supplier.id })
    .orderBy('id')
  expect(history.map((row) => [row.act, row.who])).toEqual([
    ['insert', 'test'],
    ['update', 'test'],
  ])
  await expect(knex('history').delete()).rejects.toThrow(/append-only/)
})

test('a patch changes what it names and nothing else', async () => {
  const { body: before } = await call('GET', '/builds/lantern')
  const { body: after } = await call('PATCH', '/builds/lantern', {
    version: before.build.version,
    use: 'towing',
  })
  expect({ ...after, version: 0, use: '' }).toEqual({ ...before.build, version: 0, use: '' })
  await call('PATCH', '/builds/lantern', { version: after.version, use: 'delivery' })
})

test('dropping a line is a decision that survives, and undo puts it back', async () => {
  const count = async (): Promise<number> =>
    (await call('GET', '/builds/lantern/parts')).body.lines.length
  const before = await count()
  const { body: decision } = await call('POST', '/builds/lantern/decisions', {
    needId: 'front-pipe/engine under/main',
    act: 'drop',
  })
  expect(await count()).toBe(before - 1)
  const { body: removed } = await call('DELETE', `/builds/lantern/decisions/${decision.id}`)
  expect(await count()).toBe(before)
  await call('POST', `/trash/${removed.trash}/restore`)
  expect(await count()).toBe(before - 1)
  await call('DELETE', `/builds/lantern/decisions/${decision.id}`)
})

test('removing what something else uses is refused, and nothing is half-removed', async () => {
  const answer = await call('DELETE', '/parts/wick-2')
  expect([answer.status, answer.type]).toEqual([409, 'application/problem+json'])
  expect((await call('GET', '/parts/wick-2')).body.ports.length).toBeGreaterThan(4)
})

async function solve(): Promise<any> {
  const { body: job } = await call('POST', '/builds/lantern/sourcing', {})
  await jobs.wait(job.id)
  expect((await call('GET', `/jobs/${job.id}`)).body.status).toBe('done')
  return (await call('GET', '/builds/lantern/sourcing')).body
}

test('solving: a job on a worker, a plan proven, its total the sum of its lines; contradicting locks are named', async () => {
  const view = await solve()
  expect([view.status, view.isCurrent]).toEqual(['proven', true])
  const sum =
    view.lines.reduce((total: number, line: any) => total + line.costMinor, 0) +
    view.baskets.reduce((total: number, basket: any) => total + basket.shippingMinor, 0) +
    view.bundles.reduce(
      (total: number, bundle: any) =>
        total + bundle.priceMinor - bundle.resaleMinor - bundle.scrapMinor,
      0,
    )
  expect(view.totalMinor).toBe(sum)
  const { body: budget } = await call('GET', '/builds/lantern/budget')
  expect(
    budget.lines
      .filter((line: any) => !['get', 'comes', 'keep', 'here', 'settled'].includes(line.source))
      .reduce((total: number, line: any) => total + line.minor, 0),
  ).toBe(budget.totals.planMinor)
  // One sum wherever it is shown: list of builds, header, brief, first answer and budget.
  const [{ body: header }, { body: all }, { body: first }] = await Promise.all([
    call('GET', '/builds/lantern'),
    call('GET', '/builds'),
    call('GET', '/builds/lantern/first-answer'),
  ])
  expect(header.totals).toEqual(budget.totals)
  expect(all.items.find((one: any) => one.build.id === 'lantern').totals).toEqual(budget.totals)
  expect(first.totals).toEqual(budget.totals)

  const line = view.lines.find((one: any) => one.source?.supplierId === 'oldquay')
  const { body: keep } = await call('POST', '/builds/lantern/locks', {
    way: 'in',
    candidate: line.candidate,
  })
  const { body: ban } = await call('POST', '/builds/lantern/locks', {
    way: 'out',
    supplierId: line.source.supplierId,
  })
  const stuck = await solve()
  expect(stuck.because).toHaveLength(2)
  // The last plan with a total stands until another does, marked old.
  expect(stuck).toMatchObject({ isOld: true, isCurrent: false, totalMinor: view.totalMinor })
  for (const lock of [keep, ban]) await call('DELETE', `/builds/lantern/locks/${lock.id}`)
  expect((await solve()).totalMinor).toBe(sum)
})

test('a lock on what is gone rests and says so; one piece of a kit is locked by itself; what locks leave without a source is named', async () => {
  const lock = async (body: object) => (await call('POST', '/builds/lantern/locks', body)).body
  const { body: view } = await call('GET', '/builds/lantern/sourcing')
  const rival = view.lines
    .flatMap((line: any) => line.rivals.map((one: any) => ({ ...one, need: line.need })))
    .find((one: any) => one.item !== null)
  const taken = await lock({ way: 'in', bundle: rival.bundle, item: rival.item })
  const after = await solve()
  expect(after.lines.find((line: any) => line.need === rival.need)).toMatchObject({
    bundle: rival.bundle,
    item: rival.item,
  })
  expect(after.totalMinor).toBeGreaterThanOrEqual(view.totalMinor)
  await call('DELETE', `/builds/lantern/locks/${taken.id}`)

  const radiator = view.lines.find(
    (line: any) =>
      line.candidate &&
      line.rivals.length > 0 &&
      line.rivals.length === line.rivalCount &&
      line.rivals.every((one: any) => one.item === null),
  )
  // The line a lock is on is dropped: it rests, and the plan is made without it.
  const heater = await lock({ way: 'in', candidate: radiator.candidate })
  const { body: drop } = await call('POST', '/builds/lantern/decisions', {
    needId: radiator.need,
    act: 'drop',
  })
  const resting = await solve()
  expect(resting.status).toBe('proven')
  expect(resting.locks).toMatchObject([{ id: heater.id, rests: expect.stringMatching(/line/) }])
  await call('DELETE', `/builds/lantern/decisions/${drop.id}`)
  expect((await call('GET', '/builds/lantern/sourcing')).body.locks[0].rests).toBeNull()

  // The same target locked again changes its way.
  const ban = await lock({ way: 'out', candidate: radiator.candidate })
  expect(ban.id).toBe(heater.id)
  const others = radiator.rivals.filter((one: any) => one.item === null)
  const bans = [ban]
  for (const one of others) bans.push(await lock({ way: 'out', candidate: one.id }))
  const stuck = await solve()
  expect(stuck.without).toEqual([radiator.words])
  expect(stuck.because).toHaveLength(bans.length)
  for (const one of new Set(bans.map(({ id }) => id)))
    await call('DELETE', `/builds/lantern/locks/${one}`)
  expect((await solve()).totalMinor).toBe(view.totalMinor)
})

test('the build read into an empty copy exports byte for byte the same, and computes the same', async () => {
  const first = JSON.stringify(await exportBuild(store, 'lantern'))
  const other = await openDatabase(':memory:')
  const copy = new Store(other)
  await importDocument(copy, JSON.parse(first))
  expect(JSON.stringify(await exportBuild(copy, 'lantern'))).toBe(first)
  const pairing = '/api/builds/lantern/pairing?engine=wick-2&transmission=marlund-4'
  const joints = async (one: ReturnType<typeof createApp>): Promise<unknown> =>
    (await (await one.request(pairing)).json()).joints
  expect(await joints(createApp({ store: copy, jobs }))).toEqual(await joints(app))
  await other.destroy()
})

test('a document that differs in one row is refused whole, the row named', async () => {
  const document = await exportBuild(store, 'lantern')
  const parts = document.tables.part!.map((part) =>
    part.id === 'wick-2' ? { ...part, name: 'Another' } : part,
  )
  const answer = await call('POST', '/builds/import', {
    ...document,
    tables: {
      ...document.tables,
      part: [...parts, { id: 'new-part', kind: 'disc', name: 'New', isDefault: true }],
    },
  })
  expect([answer.status, answer.body.errors[0].path]).toEqual([409, 'part/wick-2'])
  expect((await call('GET', '/parts/new-part')).status).toBe(404)
})

test('the parts list as CSV is quoted, and no cell runs as a formula', async () => {
  await call('POST', '/builds/lantern/decisions', {
    needId: 'registration-changed/papers/main',
    act: 'price',
    priceMinor: 9000,
    source: '=HYPERLINK("x")',
  })
  const { body: job } = await call('POST', '/builds/lantern/sourcing', {})
  await jobs.wait(job.id)
  const text = await (await app.request('/api/builds/lantern/parts.csv')).text()
  expect(text.split('\r\n')[0]).toBe(
    'place,line,quantity,level,state,waitsFor,source,from,number,numberSays,evidence,cost,currency,why,stage,sort,outcome,supply,low,likely,high,hours',
  )
  expect(text).toContain(`"'=HYPERLINK(""x"")"`)
})

test.each(JOINTS.map((joint) => [joint.id, joint] as const))(
  'POST /check/joint takes every port kind and judges %s as the core does',
  async (id, joint) => {
    const base =
      id === 'drive-shafts'
        ? { ...AGREEING, ratios: { ...AGREEING.ratios, finalDrive: 3.9 } }
        : AGREEING
    const automatic = id === 'converter' || id === 'load-signal'
    const kinds = Object.entries(
      automatic ? { ...base, ratios: { ...base.ratios, type: 'automatic', stall: 2.1 } } : base,
    )
    const faces = ['rearward', 'forward'].map((looks) => ({
      kind: 'face',
      slot: looks,
      looks,
      fields: {
        family: { value: 'sixth', grade: 'maker' },
        dowels: { value: [{ x: 90, y: 0, d: 12, process: 'reamed' }], grade: 'maker' },
      },
    }))
    const ports = [
      ...kinds.map(([kind, values]) => ({
        kind,
        slot: kind === 'pilot-bore' ? 'crank' : 'main',
        fields: Object.fromEntries(
          Object.entries(values).map(([field, value]) => [
            field,
            { value, plusMinus: 0.02, grade: 'measured' },
          ]),
        ),
      })),
      ...faces,
    ]
    const [a, b] = [ports.filter((_, i) => i % 2 === 0), ports.filter((_, i) => i % 2 === 1)]
    const { status, body } = await call('POST', '/check/joint', { joint: id, a, b })
    expect([status, body.applies]).toEqual([200, true])
    const again = await call('POST', '/check/joint', { joint: joint.number, a: b, b: a })
    expect(again.body.verdict.code).toBe(body.verdict.code)
    expect([id, body.verdict.code]).toEqual([id, 'fits'])
  },
)

test('a file of the interface that is not there is a 404, not the page; a page of it is the page', async () => {
  const web = mkdtempSync(join(tmpdir(), 'junket-web-'))
  mkdirSync(join(web, 'assets'))
  writeFileSync(join(web, 'index.html'), '<title>Junket</title>')
  writeFileSync(join(web, 'assets', 'main.js'), '1')
  const whole = createApp({ store, jobs, web })
  const get = async (path: string) => {
    const answer = await whole.request(path)
    return [answer.status, answer.headers.get('cache-control'), (await answer.text()).slice(0, 22)]
  }
  expect(await get('/assets/main.js')).toEqual([200, 'public, max-age=31536000, immutable', '1'])
  for (const path of ['/assets/missing.js', '/missing.js', '/assets/deep/missing'])
    expect([path, (await get(path)).slice(0, 2)]).toEqual([path, [404, null]])
  for (const path of ['/', '/builds/lantern/parts'])
    expect([path, await get(path)]).toEqual([path, [200, null, '<title>Junket</title>']])
})

test('more than a body or a file may hold is refused before it is read', async () => {
  const answer = await app.request('/api/suppliers', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: `{"name":"${'x'.repeat(9 * 1024 * 1024)}"}`,
  })
  expect(answer.status).toBe(413)
  const file = await app.request('/api/offers/preview', {
    method: 'POST',
    headers: { 'content-type': 'text/csv' },
    body: 'x'.repeat(51 * 1024 * 1024),
  })
  expect([file.status, (await file.json()).detail]).toEqual([413, expect.stringContaining('50 MB')])
})

test('every string of every body that is written has a greatest length', async () => {
  const { body } = await call('GET', '/openapi.json')
  const endless = (schema: any, at: string, seen: readonly string[] = []): string[] => {
    if (typeof schema !== 'object' || schema === null) return []
    if (typeof schema.$ref === 'string')
      return seen.includes(schema.$ref)
        ? []
        : endless(body.components.schemas[schema.$ref.split('/').at(-1)], at, [
            ...seen,
            schema.$ref,
          ])
    if (
      (schema.type === 'string' || schema.type?.includes?.('string')) &&
      !('maxLength' in schema || 'enum' in schema || 'const' in schema || 'format' in schema)
    )
      return [at]
    return Object.entries(schema).flatMap(([key, value]) => endless(value, `${at}/${key}`, seen))
  }
  const files = FILE_PATHS.map((path) => `/api${path}`)
  const written = Object.entries<any>(body.paths).filter(
    ([path]) =>
      !/^\/api\/(check|plan|patterns)\//.test(path) && !(files as string[]).includes(path),
  )
  const faults = written.flatMap(([path, methods]) =>
    Object.entries<any>(methods).flatMap(([method, { requestBody }]) =>
      endless(requestBody?.content?.['application/json']?.schema, `${method} ${path}`),
    ),
  )
  expect([faults, written.length > 30]).toEqual([[], true])
})
