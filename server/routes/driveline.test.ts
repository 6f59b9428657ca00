import { afterAll, beforeAll, expect, test } from 'vitest'
import { createApp } from '../app.ts'
import { demoDatabase } from '../database/demo.seed.ts'
import type { Database } from '../database/sqlite/connection.ts'
import { Store } from '../database/store.ts'
import { patternFromDxf } from '../documents/pattern-dxf.ts'
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

const get = (path: string) => app.request(`/api${path}`)
const json = async (path: string) => (await get(path)).json() as Promise<any>
const post = async (path: string, body: unknown) => {
  const answer = await app.request(`/api${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
  return { status: answer.status, json: (await answer.json()) as any }
}
const PAIR = 'engine=wick-2&transmission=marlund-4'

test('a plate goes out with both patterns on named layers, and comes back the same', async () => {
  const answer = await get(`/builds/lantern/plate.dxf?${PAIR}`)
  expect(answer.headers.get('content-type')).toContain('dxf')
  const { faces } = patternFromDxf(await answer.text())
  const { plate } = await json(`/builds/lantern/pairing?${PAIR}`)
  expect(faces.map((face) => face.name).sort()).toEqual(['engine', 'gearbox'])
  const engine = faces.find((face) => face.name === 'engine')!
  expect(engine.holes.map(({ x, y, d }) => [x, y, d])).toEqual(
    plate.engine.holes.map((hole: any) => [hole.x, hole.y, hole.d]),
  )
  expect([engine.dowels.length, engine.registerMm]).toEqual([2, 40])
})

test.each(['A4', 'A3', 'whole'])('a template comes out as PDF on %s', async (paper) => {
  for (const path of [
    `/builds/lantern/plate.pdf?${PAIR}&paper=${paper}`,
    `/parts/wick-2/faces/rear/pattern.pdf?paper=${paper}`,
  ]) {
    const answer = await get(path)
    expect([path, answer.status, answer.headers.get('content-type')]).toEqual([
      path,
      200,
      'application/pdf',
    ])
    expect(
      Buffer.from(await answer.arrayBuffer())
        .subarray(0, 5)
        .toString(),
    ).toBe('%PDF-')
  }
})

test('a face without holes has no template, and says what to do; a paper nobody makes is refused', async () => {
  const none = await get('/parts/hawser/faces/rear/pattern.pdf')
  expect([none.status, ((await none.json()) as any).detail]).toEqual([
    422,
    expect.stringContaining('measure its holes first'),
  ])
  expect((await get('/parts/wick-2/faces/rear/pattern.pdf?paper=napkin')).status).toBe(422)
})

test('a trace that lacks its scale bar is told so', async () => {
  const point = { x: 10, y: 10 }
  const { status, json: body } = await post('/patterns/trace', {
    axis: point,
    holes: [],
    dowels: [],
    known: [],
    view: 'mirrored',
    looks: 'forward',
  })
  expect([status, body.detail]).toEqual([422, expect.stringContaining('scale bar')])
})

test('two versions of one gearbox: what is proved equal, what differs, what remains', async () => {
  const same = await json('/parts/marlund-4/same-inside/marlund-4b')
  expect(
    same.fields.find((field: any) => field.field === 'splines' && field.port === 'input-shaft')
      .verdict,
  ).toBe('equal')
  const other = await json('/parts/marlund-4/same-inside/kessarn-5')
  expect(other.verdict).toBe('different')
  expect((await get('/parts/marlund-4/same-inside/nobody')).status).toBe(404)
})

test('a transfer case of the recipient stands behind every gearbox; another is taken on the pairing', async () => {
  const pair = 'engine=maul-2&transmission=dovrek-4a-maul'
  const limit = async (id: string) =>
    (await json(`/builds/alder/pairing?${pair}`)).joints
      .find((joint: any) => joint.joint === 'transfer-case')
      .bare.limits.find((one: any) => one.id === id)
  expect((await limit('front-side')).code).toBe('fits')
  await post('/builds/alder/coupling', {
    engineId: 'maul-2',
    transmissionId: 'dovrek-4a-maul',
    kind: 'transfer-case',
    partId: 'dovrek-case-right',
  })
  expect(await limit('front-side')).toMatchObject({
    code: 'clash',
    words: expect.stringContaining('no shaft crosses over'),
  })
  await post('/builds/alder/coupling', {
    engineId: 'maul-2',
    transmissionId: 'dovrek-4a-maul',
    kind: 'transfer-case',
    partId: null,
  })
  expect((await limit('front-side')).code).toBe('fits')
})

test('every engine stands with every gearbox, and behind four driven wheels with every transfer case, the chosen pairing first', async () => {
  const sprat = await json('/builds/sprat/pairings')
  expect([sprat.rows.length, sprat.of, sprat.school]).toEqual([600, 600, 'keep'])
  const [first] = sprat.rows
  expect([first.chosen, sprat.parts[first.engine].id, first.transfer]).toEqual([
    true,
    'tarn-3',
    null,
  ])
  const alder = await json('/builds/alder/pairings?school=set-back')
  expect([alder.rows.length, alder.school]).toEqual([2400, 'set-back'])
  const others = alder.rows.filter((row: any) => row.transfer !== null)
  // The fourth is the vehicle's own.
  expect(new Set(others.map((row: any) => alder.parts[row.transfer].id)).size).toBe(3)
  expect((await get('/builds/sprat/pairings?school=sideways')).status).toBe(422)
})

test('figures of a pairing are those of its list, whichever way the train is placed; one that is gone is told', async () => {
  const pair = { engineId: 'wick-2', transmissionId: 'marlund-4', transferId: null }
  const figures = async (school: string) =>
    (await post('/builds/lantern/pairing-figures', { school, pairs: [pair] })).json.items[0]
  const [kept, back] = [await figures('keep'), await figures('set-back')]
  const { joints } = await json('/builds/lantern/pairing?engine=wick-2&transmission=marlund-4')
  expect(kept.open).toBe(
    joints.filter(({ bare, closed }: any) => (closed ?? bare).code === 'unmeasured').length,
  )
  expect(kept.money.low).toBeLessThan(kept.money.likely)
  expect(kept.money.likely).toBeLessThan(kept.money.high)
  // Further back the front axle carries less, and the propshaft is another.
  expect(back.frontChangeKg).toBeLessThan(kept.frontChangeKg)
  expect(back.codes).not.toBe(kept.codes)
})
