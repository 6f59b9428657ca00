import fc from 'fast-check'
import { afterAll, beforeEach, expect, test } from 'vitest'
import { createApp } from '../../app.ts'
import { demoDatabase } from '../../database/demo.seed.ts'
import { type Database, openDatabase } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { shapeOf, TABLE_NAMES, type TableName } from '../../database/tables.ts'
import { JobRunner } from '../../jobs/runner.ts'

let knex: Database
let app: ReturnType<typeof createApp>
const jobs = new JobRunner()

async function open(): Promise<void> {
  await knex?.destroy()
  knex = await demoDatabase()
  app = createApp({ store: new Store(knex), jobs })
}
beforeEach(open)
afterAll(async () => {
  await jobs.close()
  await knex.destroy()
})

const call = async (method: string, path: string, body?: unknown) => {
  const answer = await app.request(`/api${path}`, {
    method,
    headers: { 'content-type': 'application/json' },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  })
  return { status: answer.status, body: (await answer.json()) as any }
}
/** Writes into a row behind the contract's back, as an older version or another program might have. */
const spoil = (table: string, id: string, values: Record<string, unknown>) =>
  knex(table).where({ id }).update(values)

const PAGES = [
  '/builds',
  '/builds/lantern',
  '/builds/lantern/pairings',
  '/builds/lantern/parts',
  '/builds/lantern/sourcing',
  '/builds/lantern/budget',
  '/parts?limit=20',
  '/suppliers',
  '/kits',
  '/donors',
  '/set-aside',
]

test('a claim that is no value is set aside and named; the page stands, without it', async () => {
  const { id } = (await knex('claim')
    .where({ portId: 'wick-2/pilot-bore/crank', field: 'boreMm' })
    .first('id'))!
  await spoil('claim', id, { value: '{"v":1,"data":"wide"}' })
  for (const path of PAGES) expect([path, (await call('GET', path)).status]).toEqual([path, 200])
  const [aside] = (await call('GET', '/set-aside')).body.items
  expect(aside).toMatchObject({
    table: 'claim',
    id,
    faults: [{ field: 'value', message: expect.stringContaining('number') }],
    values: { value: 'wide' },
    because: null,
  })
  const part = (await call('GET', '/parts/wick-2')).body
  const bore = part.ports
    .find((port: any) => port.id === 'wick-2/pilot-bore/crank')
    .fields.find((field: any) => field.name === 'boreMm')
  expect(bore.claims.map((claim: any) => claim.id)).not.toContain(id)
  for (const typed of ['broad', '', '1 banana'])
    expect([
      typed,
      (
        await call('PATCH', `/set-aside/claim/${id}`, {
          version: aside.version,
          fields: { value: typed },
        })
      ).status,
    ]).toEqual([typed, 422])
  expect(
    (
      await call('PATCH', `/set-aside/claim/${id}`, {
        version: aside.version,
        fields: { value: '3 3/8 in' },
      })
    ).status,
  ).toBe(200)
  expect((await call('GET', '/set-aside')).body.items).toEqual([])
  expect(JSON.parse((await knex('claim').where({ id }).first()).value)).toEqual({
    v: 1,
    data: 85.725,
  })
})

test('what belongs to a row that is set aside waits with it, and comes back with it', async () => {
  await spoil('supplier', 'harbour', { currency: 'ZZZ' })
  for (const path of PAGES) expect([path, (await call('GET', path)).status]).toEqual([path, 200])
  const items = (await call('GET', '/set-aside')).body.items
  expect(items[0]).toMatchObject({ table: 'supplier', id: 'harbour', because: null })
  expect(
    items.some((one: any) => one.table === 'offer' && one.because === 'supplier:harbour'),
  ).toBe(true)
  expect((await call('GET', '/suppliers')).body.items.map((one: any) => one.id)).not.toContain(
    'harbour',
  )
  expect((await call('PATCH', '/suppliers/harbour', { version: 1, name: 'Quay' })).status).toBe(409)
  expect(
    (
      await call('PATCH', '/set-aside/supplier/harbour', {
        version: items[0].version,
        fields: { currency: 'EUR' },
      })
    ).status,
  ).toBe(200)
  expect((await call('GET', '/set-aside')).body.items).toEqual([])
  expect((await call('GET', '/offers?supplier=harbour')).body.items.length).toBeGreaterThan(0)
})

test('what was spoilt by a change is put back as it was before it; what never could be read goes to the trash, and comes back as it stood', async () => {
  const store = new Store(knex)
  await store.transaction((tx) => tx.update('build', 'lantern', 1, { name: 'Lantern, late' }))
  await expect(
    store.transaction((tx) => tx.update('build', 'lantern', 2, { school: 'sideways' })),
  ).rejects.toThrow(/school/)
  await spoil('build', 'lantern', { school: 'sideways', version: 3 })
  await knex('history').insert({
    at: '2026-01-01',
    who: 'bench',
    entity: 'build',
    entityId: 'lantern',
    act: 'update',
    before: '{"v":1,"data":{"school":"keep"}}',
    after: '{"v":1,"data":{"school":"sideways"}}',
  })
  app = createApp({ store: new Store(knex), jobs })
  expect((await call('GET', '/builds')).body.items.map((one: any) => one.build.id)).not.toContain(
    'lantern',
  )
  const [aside] = (await call('GET', '/set-aside')).body.items
  expect(aside).toMatchObject({ table: 'build', hasEarlier: true })
  expect(
    (await call('POST', '/set-aside/build/lantern/put-back', { version: aside.version })).status,
  ).toBe(200)
  expect((await call('GET', '/builds/lantern')).body.build).toMatchObject({
    name: 'Lantern, late',
    school: 'keep',
  })

  await open()
  await knex('decision').insert({ id: 'd', buildId: 'lantern', needId: 'a\nb', act: 'keep' })
  const [line] = (await call('GET', '/set-aside')).body.items
  expect(line).toMatchObject({ table: 'decision', hasEarlier: false })
  const { trash } = (await call('DELETE', `/set-aside/decision/${line.id}`)).body
  expect((await call('GET', '/set-aside')).body.items).toEqual([])
  expect((await call('POST', `/trash/${trash}/restore`)).status).toBe(200)
  expect((await call('GET', '/set-aside')).body.items).toMatchObject([{ id: line.id }])
})

test('a crafted key of every object there is, and JSON that is none, break nothing', async () => {
  await knex('buildSheet').insert({
    id: 's',
    buildId: 'lantern',
    kind: 'brief',
    answers:
      '{"v":1,"data":{"__proto__":{"value":"x","at":"2026-01-01T00:00:00Z","by":null},"constructor":{"value":"x","at":"2026-01-01T00:00:00Z","by":null}}}',
  })
  expect((await call('GET', '/builds/lantern/sheets/brief')).status).toBe(200)
  await open()
  await knex('buildSheet').insert({
    id: 's',
    buildId: 'lantern',
    kind: 'brief',
    answers: '{"v":1,',
  })
  expect((await call('GET', '/builds/lantern/sheets/brief')).status).toBe(200)
  expect((await call('GET', '/set-aside')).body.items[0]).toMatchObject({
    table: 'buildSheet',
    faults: [{ message: 'What is stored is not JSON.' }],
  })
})

const GARBAGE: readonly unknown[] = [
  '',
  ' ',
  '\u0000',
  '__proto__',
  'constructor',
  -1,
  0,
  1,
  1e300,
  0.5,
  'x'.repeat(5000),
  '{"v":1,"data":null}',
  '{"v":1,"data":{"a":[1]}}',
  '{"v":1,"data":"x"}',
  '[',
  null,
]

test('whatever stands in whatever column, every page of every build still answers, and what is not right is named', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom(...TABLE_NAMES),
      fc.nat(),
      fc.nat(),
      fc.constantFrom(...GARBAGE),
      async (table: TableName, at, which, garbage) => {
        await open()
        const rows = await knex(table)
        const row = rows[at % Math.max(1, rows.length)]
        if (!row) return
        const columns = Object.keys(row).filter(
          (key) => key !== 'id' && key !== 'version' && !(key in (shapeOf(table).refs ?? {})),
        )
        const column = columns[which % columns.length]!
        const isTaken = await spoil(table, row.id, { [column]: garbage }).then(
          () => true,
          () => false,
        )
        if (!isTaken) return
        for (const path of PAGES) {
          const { status, body } = await call('GET', path)
          // Only the one that was spoilt may say that it is set aside.
          expect([
            table,
            column,
            garbage,
            path,
            status < 300 || (status === 409 && /set aside/.test(body.detail)),
          ]).toEqual([table, column, garbage, path, true])
        }
      },
    ),
    { numRuns: Number(process.env.JUNKET_FUZZ ?? 20), seed: 8 },
  )
})

test('an untouched shop has nothing set aside', async () => {
  expect((await call('GET', '/set-aside')).body.items).toEqual([])
  await knex.destroy()
  knex = await openDatabase(':memory:')
})
