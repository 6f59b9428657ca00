import { afterAll, beforeAll, expect, test } from 'vitest'
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

const send = async (method: string, path: string, body: unknown) => {
  const answer = await app.request(`/api${path}`, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
  return { status: answer.status, json: (await answer.json()) as any }
}
const check = (body: unknown) => send('POST', '/check/number', body)
const mld = (number: string, more: object = {}) => ({
  issuer: 'MLD',
  number,
  grade: 'maker',
  ...more,
})

test('by the shop’s own numbers: superseded one way, in any spelling, known anew once a number is added', async () => {
  const forward = await check({ want: [mld('417-18')], have: [mld('41720')] })
  expect(forward).toMatchObject({
    status: 200,
    json: {
      verdict: 'superseded by',
      plan: 'yes',
      evidence: 'catalogue',
      path: [{ kind: 'superseded', row: 'supersession-disc' }],
      current: [{ issuer: 'MLD', number: '417.20' }],
    },
  })
  const back = await check({ want: [mld('417.20')], have: [mld('417.18')] })
  expect(back.json).toMatchObject({ verdict: 'not listed', plan: 'confirm', path: [] })
  const two = { want: [mld('417.20')], have: [mld('A417')] }
  expect((await check(two)).json.verdict).toBe('not listed')
  const added = await send('POST', '/parts/marlund-4-disc-20/numbers', {
    issuer: 'MLD',
    number: 'A 417',
  })
  expect(added.status).toBeLessThan(300)
  expect((await check(two)).json).toMatchObject({ verdict: 'exact', path: [{ kind: 'same' }] })
})

test('by claims that are sent: rules, wheres and what they leave open, nothing stored', async () => {
  const body = {
    want: [
      {
        issuer: 'own',
        number: 'p-12',
        where: { targets: { engine: { family: 'wick', generations: ['two'] } } },
      },
    ],
    have: [{ issuer: 'own', number: '34' }],
    application: {
      engine: { family: 'wick', grade: 'maker' },
      facts: { market: { value: 'north' } },
    },
    on: '2026-02-01',
    catalogue: {
      issuers: [{ id: 'own', rule: { prefixes: ['P'], shapes: ['##'] } }],
      interchange: [
        {
          id: 'pair',
          members: [
            { issuer: 'own', number: 'P12' },
            {
              issuer: 'own',
              number: '34',
              where: { conditions: [{ key: 'gearbox', is: ['manual'] }] },
            },
          ],
        },
      ],
    },
  }
  expect(await check(body)).toMatchObject({
    status: 200,
    json: {
      verdict: 'with note',
      plan: 'confirm',
      evidence: 'heard',
      open: ['engine.generation', 'gearbox'],
    },
  })
})

test('what cannot be read or followed is refused with what, where and why', async () => {
  const have = [mld('1')]
  const refused: readonly (readonly [unknown, RegExp])[] = [
    [{ have }, /which number is wanted/],
    [{ want: [mld('...')], have }, /nothing left/],
    [{ want: [mld('1')], have, on: 'spring' }, /Write a day/],
    [
      {
        want: [mld('1')],
        have,
        catalogue: {
          issuers: [{ id: 'MLD', rule: { suffixes: [{ kind: 'side', shapes: ['L'] }] } }],
        },
      },
      /need a shape/,
    ],
    [
      {
        want: [mld('1')],
        have,
        catalogue: {
          supersessions: [
            {
              id: 'x',
              old: [mld('1'), mld('2')].map(({ issuer, number }) => ({ issuer, number })),
              new: [
                { issuer: 'MLD', number: '3' },
                { issuer: 'MLD', number: '4' },
              ],
            },
          ],
        },
      },
      /several numbers by several/,
    ],
    [{ want: 'all', have }, /want/],
  ]
  for (const [body, why] of refused) {
    const { status, json } = await check(body)
    expect([status >= 400 && status < 500, JSON.stringify(json)]).toEqual([
      true,
      expect.stringMatching(why),
    ])
  }
})

test('numbers are read by the rule of their issuer; trade items and chassis numbers by everybody’s', async () => {
  const { json } = await send('POST', '/normalise', {
    numbers: [
      { issuer: 'MLD', number: 'mld 417.20' },
      { issuer: 'MLD', number: '417.1O' },
      { issuer: 'gtin', number: '2000000000015' },
      { issuer: 'gtin', number: '2000000000016' },
      { issuer: 'vin', number: '1'.repeat(17) },
    ],
  })
  expect(json.numbers).toMatchObject([
    { key: '41720', check: 'none', fitsShape: true },
    { key: '4171O', didYouMean: [] },
    { key: '02000000000015', check: 'ok', notes: [] },
    { check: 'fails', notes: ['its check digit is not right'] },
    { key: '1'.repeat(17), check: 'ok', modelYears: [2001, 2031] },
  ])
  const zero = await send('POST', '/normalise', { numbers: [{ issuer: 'MLD', number: '4I7.2O' }] })
  expect(zero.json.numbers[0].didYouMean).toEqual([{ issuer: 'MLD', number: '417.20' }])
})

test('what a number that was read brings along is said: who bears it, what it replaced, what it fits, who sells it, which builds hang on it', async () => {
  const disc = (await send('POST', '/parts', { kind: 'disc', name: 'Disc in hand' })).json
  const { json } = await send('POST', `/parts/${disc.id}/numbers`, {
    ...mld('417 20'),
    mark: 'stamped',
  })
  expect(json.changed).toEqual([
    'Marlund clutch disc 200, later bears it too.',
    'It replaced 417.18.',
    '1 offer is sold under it.',
  ])
  const used = await send('POST', '/parts/wick-2-flywheel/numbers', mld('999.001'))
  expect(used.json.changed).toEqual(['The lists of Lantern are checked by it from now on.'])
  const next = await send('POST', '/supersessions', {
    old: [{ issuer: 'MLD', number: '999.001' }],
    new: [{ issuer: 'MLD', number: '999.003' }],
    back: 'no',
    grade: 'catalogue',
  })
  expect(next.json.changed).toEqual([
    expect.stringMatching(/^It tells of .*flywheel/i),
    'The lists of Lantern are checked by it from now on.',
  ])
  const group = await send('POST', '/interchanges', {
    members: [
      { issuer: 'MLD', number: '417.20' },
      { issuer: 'MLD', number: '999.009' },
    ],
    serves: 'yes',
    grade: 'heard',
  })
  expect(group.json.changed).toEqual([
    expect.stringContaining('Marlund clutch disc 200, later'),
    '1 offer is sold under its numbers.',
  ])
  const nothing = await send('POST', '/applications', {
    ...mld('999.010'),
    fits: 'yes',
    grade: 'heard',
    scope: { targets: { engine: { family: 'Kessarn Wick' } } },
  })
  expect(nothing.json.changed).toEqual([
    'No part here bears one of its numbers yet, and nothing is sold under them.',
  ])
  const bare = await send('POST', `/parts/${disc.id}/numbers`, mld('999.002'))
  expect(bare.json.changed).toEqual([])
})
