import { mkdtempSync, readFileSync, statSync } from 'node:fs'
import { hostname, tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from 'vitest'
import { createApp } from '../app.ts'
import { openDatabase } from '../database/sqlite/connection.ts'
import { Store } from '../database/store.ts'
import { JobRunner } from '../jobs/runner.ts'
import { Guard, TooManyTriesError } from './guard.ts'
import { answersAs } from './hosts.ts'

const fresh = (asks = true, now?: () => number): { guard: Guard; file: string } => {
  const file = join(mkdtempSync(join(tmpdir(), 'junket-guard-')), 'passcode')
  return { guard: new Guard(file, asks, now), file }
}

test('the passcode is kept as an argon2id hash that only its owner can read', async () => {
  const { guard, file } = fresh()
  expect(guard.hasPasscode).toBe(false)
  await guard.setPasscode('harbour light')
  expect(readFileSync(file, 'utf8')).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/)
  expect(readFileSync(file, 'utf8')).not.toContain('harbour')
  expect(statSync(file).mode & 0o077).toBe(0)
  await expect(guard.setPasscode('short')).rejects.toThrow(/at least 8/)
})

test('the right passcode opens a session; signing out, a new passcode and a month close it', async () => {
  let now = 1_000_000
  const { guard } = fresh(true, () => now)
  await guard.setPasscode('harbour light')
  await expect(guard.signIn('harbour dark', 'a')).rejects.toThrow(/not the passcode/)
  const token = await guard.signIn('harbour light', 'a')
  expect([guard.isSignedIn(token), guard.isSignedIn('guess'), guard.isSignedIn(undefined)]).toEqual(
    [true, false, false],
  )
  guard.signOut(token)
  expect(guard.isSignedIn(token)).toBe(false)
  const second = await guard.signIn('harbour light', 'a')
  await guard.setPasscode('another one')
  expect(guard.isSignedIn(second)).toBe(false)
  const third = await guard.signIn('another one', 'a')
  now += 31 * 24 * 3600 * 1000
  expect(guard.isSignedIn(third)).toBe(false)
})

test('after three wrong tries an address waits, a second at first, longer each time, fifteen minutes at most; nobody else does', async () => {
  let now = 0
  const { guard } = fresh(true, () => now)
  await guard.setPasscode('harbour light')
  const wrong = () => expect(guard.signIn('wrong', '192.0.2.7')).rejects.toThrow(/not the passcode/)
  for (let i = 0; i < 3; i++) await wrong()
  const waited: number[] = []
  for (let i = 0; i < 13; i++) {
    const refused = (await guard
      .signIn('harbour light', '192.0.2.7')
      .catch((error: unknown) => error)) as TooManyTriesError
    waited.push(refused.retryAfterS)
    now += refused.retryAfterS * 1000
    if (i < 12) await wrong()
  }
  expect(waited).toEqual([1, 2, 4, 8, 16, 32, 64, 128, 256, 512, 900, 900, 900])
  expect(await guard.signIn('harbour light', '192.0.2.8')).toHaveLength(43)
  expect(await guard.signIn('harbour light', '192.0.2.7')).toHaveLength(43)
})

test('a thousand wrong tries from everywhere leave a new address its right passcode; who counts through a network counts once', async () => {
  const { guard } = fresh()
  await guard.setPasscode('harbour light')
  for (let i = 0; i < 60; i++)
    await expect(guard.signIn('wrong', `198.51.100.${i}`)).rejects.toThrow(/not the passcode/)
  expect(await guard.signIn('harbour light', '203.0.113.1')).toHaveLength(43)
  const tries = await Promise.all(
    Array.from({ length: 12 }, (_, i) =>
      guard.signIn('wrong', `2001:db8:1:2::${i}`).catch((error: Error) => error),
    ),
  )
  expect(tries.filter((one) => one instanceof TooManyTriesError).length).toBe(9)
  await expect(guard.signIn('harbour light', '2001:db8:1:2:ffff::1')).rejects.toThrow(/too often/)
  expect(await guard.signIn('harbour light', '2001:db8:1:3::1')).toHaveLength(43)
})

test('however many ask at once, few passcodes are weighed at a time; the rest are asked back at once, those who came in before go first', async () => {
  const { guard } = fresh()
  await guard.setPasscode('harbour light')
  await guard.signIn('harbour light', '203.0.113.1')
  const crowd = Array.from({ length: 80 }, (_, i) =>
    guard.signIn('wrong', `198.51.100.${i}`).catch((error: Error) => error),
  )
  const known = guard.signIn('harbour light', '203.0.113.1')
  const told = await Promise.all(crowd)
  expect(told.filter((one) => one instanceof TooManyTriesError).length).toBeGreaterThan(40)
  expect(await known).toHaveLength(43)
})

test('a new passcode asks the old one, signs the others out and this one in, whatever others tried', async () => {
  const { guard } = fresh()
  await guard.setPasscode('harbour light')
  const [mine, other] = [
    await guard.signIn('harbour light', 'a'),
    await guard.signIn('harbour light', 'b'),
  ]
  for (let i = 0; i < 20; i++) await guard.signIn('wrong', 'a').catch(() => undefined)
  await expect(guard.changePasscode('harbour night', undefined, mine)).rejects.toThrow(
    /used until now/,
  )
  await expect(guard.changePasscode('harbour night', 'harbour dark', mine)).rejects.toThrow(
    /Nothing was changed/,
  )
  await expect(guard.changePasscode('night', 'harbour light', mine)).rejects.toThrow(/at least 8/)
  expect(guard.isSignedIn(mine)).toBe(true)
  const renewed = await guard.changePasscode('harbour night', 'harbour light', mine)
  expect([guard.isSignedIn(renewed), guard.isSignedIn(mine), guard.isSignedIn(other)]).toEqual([
    true,
    false,
    false,
  ])
  await expect(guard.signIn('harbour light', 'c')).rejects.toThrow(/not the passcode/)
})

test('at the machine itself a forgotten passcode is set anew without the old one', async () => {
  const { guard } = fresh(false)
  await guard.setPasscode('harbour light')
  expect(await guard.changePasscode('harbour night', undefined, undefined)).toHaveLength(43)
})

test.each([
  ['127.0.0.1:4173', false, true],
  ['[::1]:4173', false, true],
  ['shop.example', false, false],
  ['192.0.2.4', false, false],
  ['192.0.2.4:4173', true, true],
  ['[2001:db8::4]:4173', true, true],
  [`${hostname()}:4173`, true, true],
  ['shop.example', true, true],
  ['rebound.example:4173', true, false],
])('as %s, bound beyond this machine %s: answered %s', (host, isOpen, answered) => {
  expect(answersAs(host, isOpen, ['shop.example'])).toBe(answered)
})

const appWith = async (guard: Guard) => {
  const knex = await openDatabase(':memory:')
  const jobs = new JobRunner()
  return {
    app: createApp({ store: new Store(knex), jobs, guard }),
    close: () => jobs.close().then(() => knex.destroy()),
  }
}

test('bound beyond this machine, everything but health and signing in asks for the passcode', async () => {
  const { guard } = fresh()
  await guard.setPasscode('harbour light')
  const { app, close } = await appWith(guard)
  const call = (method: string, path: string, body?: unknown, cookie = '') =>
    app.request(`/api${path}`, {
      method,
      headers: { 'content-type': 'application/json', ...(cookie ? { cookie } : {}) },
      ...(body ? { body: JSON.stringify(body) } : {}),
    })
  expect((await call('GET', '/health')).status).toBe(200)
  for (const [method, path] of [
    ['GET', '/builds'],
    ['POST', '/suppliers'],
    ['GET', '/events'],
    ['PUT', '/passcode'],
    ['GET', '/openapi.json'],
    ['POST', '/backups'],
  ] as const)
    expect([
      path,
      (await call(method, path, method === 'GET' ? undefined : { passcode: 'mine now' })).status,
    ]).toEqual([path, 401])
  const answer = await call('POST', '/session', { passcode: 'harbour light' })
  const cookie = answer.headers.get('set-cookie')!
  expect(cookie).toMatch(/^junket_session=[\w-]{43};.*HttpOnly.*SameSite=Strict/)
  const session = cookie.split(';')[0]!
  expect((await call('GET', '/builds', undefined, session)).status).toBe(200)
  expect((await call('DELETE', '/session', undefined, session)).status).toBe(200)
  expect((await call('GET', '/builds', undefined, session)).status).toBe(401)
  for (let i = 0; i < 3; i++)
    expect((await call('POST', '/session', { passcode: 'no' })).status).toBe(401)
  const shut = await call('POST', '/session', { passcode: 'harbour light' })
  expect([shut.status, Number(shut.headers.get('retry-after')) > 0]).toEqual([429, true])
  const at = (url: string, headers: Record<string, string> = {}) => app.request(url, { headers })
  expect((await at('http://rebound.example/api/session', { host: 'rebound.example' })).status).toBe(
    403,
  )
  // Said only where a proxy speaks TLS: of plain http it would promise what is not.
  expect(
    (await at('http://localhost/api/session')).headers.get('strict-transport-security'),
  ).toBeNull()
  expect(
    (await at('http://localhost/api/session', { 'x-forwarded-proto': 'https' })).headers.get(
      'strict-transport-security',
    ),
  ).toContain('max-age')
  await close()
})

test('bound to this machine no passcode is asked, but only its own names are answered', async () => {
  const { guard } = fresh(false)
  const { app, close } = await appWith(guard)
  expect((await app.request('/api/builds')).status).toBe(200)
  expect(
    (
      await app.request('http://rebound.example/api/builds', {
        headers: { host: 'rebound.example' },
      })
    ).status,
  ).toBe(403)
  expect(await (await app.request('/api/session')).json()).toEqual({
    asks: false,
    signedIn: true,
    hasPasscode: false,
  })
  await close()
})
