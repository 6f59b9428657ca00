import { afterAll, beforeEach, expect, test } from 'vitest'
import { createApp } from '../app.ts'
import { demoDatabase } from '../database/demo.seed.ts'
import type { Database } from '../database/sqlite/connection.ts'
import { Store } from '../database/store.ts'
import { JobRunner } from '../jobs/runner.ts'

let knex: Database
let app: ReturnType<typeof createApp>
const jobs = new JobRunner()
beforeEach(async () => {
  await knex?.destroy()
  knex = await demoDatabase()
  const store = new Store(knex)
  app = createApp({ store, jobs })
})
afterAll(async () => {
  await jobs.close()
  await knex.destroy()
})

async function call(method: string, path: string, body?: unknown, person?: string) {
  const answer = await app.request(`/api${path}`, {
    method,
    headers: {
      ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      ...(person ? { 'x-junket-person': person } : {}),
    },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  })
  return {
    status: answer.status,
    command: answer.headers.get('x-junket-command'),
    json: (await answer.json()) as any,
  }
}

test('a change carries who is at the bench, by their name then', async () => {
  const { json: supplier } = await call(
    'POST',
    '/suppliers',
    { name: 'Gull Supplies', currency: 'EUR' },
    'person-ida',
  )
  const { json: ida } = await call('GET', '/people')
  const person = ida.items.find((one: { id: string }) => one.id === 'person-ida')
  await call('PATCH', '/people/person-ida', { version: person.version, name: 'Ida the elder' })
  await call(
    'PATCH',
    `/suppliers/${supplier.id}`,
    { version: supplier.version, place: 'Quay' },
    'person-ida',
  )
  const { json } = await call('GET', `/history?entity=supplier&id=${supplier.id}`)
  expect(json.items.map((entry: { who: string; act: string }) => [entry.who, entry.act])).toEqual([
    ['Ida the elder', 'update'],
    ['Ida', 'insert'],
  ])
})

test('undo takes back one command whole, and its own command does it again', async () => {
  const { command, json: build } = await call('POST', '/builds/start', {
    name: 'Petrel',
    currency: 'EUR',
    engine: { template: 'iron-eight' },
    transmission: { template: 'heavy-five-speed' },
  })
  const parts = async (): Promise<number> =>
    (await call('GET', '/parts?kind=engine&limit=100')).json.items.length
  const with_ = await parts()
  const { json: undone } = await call('POST', '/undo', { command })
  expect(await parts()).toBe(with_ - 1)
  expect((await call('GET', `/builds/${build.id}`)).status).toBe(404)
  await call('POST', '/undo', { command: undone.command })
  expect(await parts()).toBe(with_)
  expect((await call('GET', `/builds/${build.id}`)).json.build.name).toBe('Petrel')
})

test('an undo that would lose a later change is refused, and changes nothing', async () => {
  const { json: supplier, command } = await call('POST', '/suppliers', {
    name: 'Tern',
    currency: 'EUR',
  })
  await call('PATCH', `/suppliers/${supplier.id}`, { version: supplier.version, place: 'Quay' })
  const { status, json } = await call('POST', '/undo', { command })
  expect([status, json.detail]).toEqual([409, expect.stringContaining('changed since')])
  expect(
    (await call('GET', '/suppliers')).json.items.find(
      (one: { id: string }) => one.id === supplier.id,
    ).place,
  ).toBe('Quay')
})

test('a stale write is answered with both values', async () => {
  const { json } = await call('GET', '/builds/lantern')
  await call('PATCH', '/builds/lantern', { version: json.build.version, contingency: 0.5 })
  const stale = await call('PATCH', '/builds/lantern', {
    version: json.build.version,
    contingency: 0.4,
  })
  expect(stale.status).toBe(409)
  expect([stale.json.theirs.contingency, stale.json.yours.contingency]).toEqual([0.5, 0.4])
})

test('one entry of the history is put back, the rest stays', async () => {
  const { json } = await call('GET', '/builds/lantern')
  const { json: first } = await call('PATCH', '/builds/lantern', {
    version: json.build.version,
    contingency: 0.5,
  })
  await call('PATCH', '/builds/lantern', { version: first.version, why: 'Another reason' })
  const { json: history } = await call('GET', '/history?entity=build&id=lantern')
  const entry = history.items.find(
    (one: { after: { contingency?: number } }) => one.after?.contingency === 0.5,
  )
  await call('POST', `/history/${entry.id}/restore`)
  const { json: now } = await call('GET', '/builds/lantern')
  expect([now.build.contingency, now.build.why]).toEqual([0, 'Another reason'])
})

test('the history is told by name and in the currency of its build, a page at a time', async () => {
  const { json: first } = await call('GET', '/history?limit=5')
  expect(first.items).toHaveLength(5)
  const { json: second } = await call('GET', `/history?limit=5&before=${first.next}`)
  expect(second.items[0].id).toBeLessThan(first.items[4].id)
  const { json } = await call('GET', '/history?entity=decision')
  expect(json.items[0]).toMatchObject({
    name: expect.stringContaining('estimate'),
    currency: 'EUR',
  })
})

test('what is removed waits in the trash with what it owned, and comes back', async () => {
  await call('DELETE', '/builds/lantern')
  const { json } = await call('GET', '/trash')
  expect(json.items[0]).toMatchObject({ name: 'Lantern', entity: 'build' })
  expect(json.items[0].rows).toBeGreaterThan(3)
  await call('POST', `/trash/${json.items[0].id}/restore`)
  expect((await call('GET', '/builds/lantern')).status).toBe(200)
  expect((await call('GET', '/trash')).json.items).toEqual([])
  expect((await call('POST', `/trash/${json.items[0].id}/restore`)).status).toBe(404)
})

test.each([
  ['417-20', 'number', 'MLD 417.20'],
  ['MLD 41720'.slice(4), 'number', 'MLD 417.20'],
  ['Lantern', 'build', 'Lantern'],
  ['Pinnace saloon 1994', 'donor', 'Kessarn Pinnace saloon 1994, rust'],
  ['Wick, 2nd flywheel', 'part', 'Kessarn Wick, 2nd flywheel'],
])('find %s', async (typed, kind, words) => {
  const { json } = await call('GET', `/find?q=${encodeURIComponent(typed)}`)
  expect(json.items).toContainEqual(expect.objectContaining({ kind, words }))
})

test('find takes marks as letters, and nothing finds nothing', async () => {
  for (const typed of ['%', '_', '', '   '])
    expect((await call('GET', `/find?q=${encodeURIComponent(typed)}`)).json.items).toEqual([])
})

test('types, families of the catalogue and of the standard, and the twelve questions are offered', async () => {
  const { json } = await call('GET', '/templates')
  expect(json.templates.length).toBeGreaterThanOrEqual(20)
  expect(json.families.map((family: { id: string }) => family.id)).toContain('housing-no-3')
  expect(json.stoppers).toHaveLength(12)
})

test.each([
  [{ currency: 'EUR' }, 'name'],
  [{ name: 'A', currency: 'EUX' }, 'currency'],
  [{ name: 'A', currency: 'EUR', massKg: -5 }, 'massKg'],
  [{ name: 'A', currency: 'EUR', engine: { template: 'panel-van' } }, 'engine'],
  [{ name: 'A', currency: 'EUR', engine: { partId: 'marlund-4' } }, 'engine'],
  [{ name: 'A', currency: 'EUR', stoppers: { colour: 'yes' } }, 'stoppers.colour'],
  [{ name: 'A', currency: 'EUR', stoppers: { law: 'perhaps' } }, 'stoppers.law'],
])('a start of %o is refused at %s, and nothing is made', async (body, path) => {
  const before = (await call('GET', '/builds')).json.items.length
  const { status, json } = await call('POST', '/builds/start', body)
  expect(status).toBe(422)
  expect(json.errors.map((error: { path: string }) => error.path)).toContain(path)
  expect((await call('GET', '/builds')).json.items).toHaveLength(before)
})

test.each([
  [{ subject: 'joint', joint: 'depth', says: 'yes', grade: 'heard' }, 422],
  [
    {
      subject: 'joint',
      joint: 'nose',
      engineId: 'wick-2',
      transmissionId: 'marlund-4',
      says: 'yes',
      grade: 'heard',
    },
    422,
  ],
  [
    {
      subject: 'kit',
      engineId: 'wick-2',
      transmissionId: 'marlund-4',
      says: 'yes',
      grade: 'heard',
    },
    422,
  ],
  [
    {
      subject: 'joint',
      joint: 'depth',
      engineId: 'nothing',
      transmissionId: 'marlund-4',
      says: 'yes',
      grade: 'heard',
    },
    404,
  ],
  [
    {
      subject: 'build',
      engineFamily: 'P',
      transmissionFamily: 'Q',
      says: 'yes',
      grade: 'heard',
      distanceKm: 12000,
      known: 3,
    },
    200,
  ],
])('a claim on a joint as a whole, %o, is answered %i', async (body, status) => {
  expect((await call('POST', '/joint-claims', body)).status).toBe(status)
})

test('a claim that contradicts a computed joint stands beside it as a conflict, and the code stays', async () => {
  const pairing = '/builds/lantern/pairing?engine=wick-2&transmission=marlund-4'
  const { json: before } = await call('GET', pairing)
  const torque = before.joints.find((one: { joint: string }) => one.joint === 'torque')
  await call('POST', '/joint-claims', {
    subject: 'joint',
    joint: 'torque',
    engineId: 'wick-2',
    transmissionId: 'marlund-4',
    says: 'no',
    grade: 'heard',
    sentence: 'One broke.',
  })
  const { json: after } = await call('GET', pairing)
  const joint = after.joints.find((one: { joint: string }) => one.joint === 'torque')
  expect([joint.bare.code, joint.answer, joint.conflicts.length]).toEqual([
    torque.bare.code,
    null,
    1,
  ])
  const { json: figures } = await call('POST', '/builds/lantern/pairing-figures', {
    pairs: [{ engineId: 'wick-2', transmissionId: 'marlund-4', transferId: null }],
  })
  expect(figures.items[0].conflicting).toEqual(['torque'])
})

test('what is said of two families answers for every engine and gearbox that carries them, and no other', async () => {
  const family = async (portId: string, name: string) =>
    (await call('POST', '/claims', { portId, field: 'family', value: name, grade: 'heard' })).status
  expect([
    await family('quill-late/face/rear', 'quill'),
    await family('sunagi-5/face/front', 'sunagi'),
  ]).toEqual([200, 200])
  const { json: pairing } = await call(
    'GET',
    '/builds/lantern/pairing?engine=quill-late&transmission=sunagi-5',
  )
  expect([pairing.engineFamily, pairing.transmissionFamily]).toEqual(['quill', 'sunagi'])
  await call('POST', '/joint-claims', {
    subject: 'joint',
    joint: 'depth',
    engineFamily: 'quill',
    transmissionFamily: 'sunagi',
    says: 'yes',
    grade: 'fitted',
    sentence: 'Every one of them went together.',
  })
  const claimed = async (transmissionId: string): Promise<string[]> => {
    const pair = { engineId: 'quill-late', transmissionId, transferId: null }
    const { json } = await call('POST', '/builds/lantern/pairing-figures', { pairs: [pair] })
    return json.items[0].claimed
  }
  expect(await claimed('sunagi-5')).toEqual(['depth'])
  expect(await claimed('kessarn-5')).toEqual([])
})

test('an answer settles what hangs on it; dropping a line and undoing puts it back', async () => {
  const lines = async (): Promise<{ id: string; outcome: string }[]> =>
    (await call('GET', '/builds/lantern/parts')).json.lines
  const { json: first } = await call('GET', '/builds/lantern/first-answer')
  const [question] = first.questions
  await call('POST', '/builds/lantern/facts', { key: question.key, value: question.values[0] })
  const { json: then } = await call('GET', '/builds/lantern/first-answer')
  expect(then.questions.map((one: { key: string }) => one.key)).not.toContain(question.key)
  const all = await lines()
  const { command } = await call('POST', '/builds/lantern/decisions', {
    needId: 'top-hose/radiator/main',
    act: 'drop',
  })
  expect((await lines()).length).toBe(all.length - 1)
  await call('POST', '/undo', { command })
  expect(await lines()).toEqual(all)
})
