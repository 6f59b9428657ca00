import { mkdtempSync, readFileSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from 'vitest'
import { createApp } from './app.ts'
import { openDatabase } from './database/connection.ts'
import { Store } from './database/store.ts'
import { Guard, TooManyTriesError } from './guard.ts'
import { JobRunner } from './jobs/runner.ts'

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
  await expect(guard.setPasscode('short')).rejects.toThrow(/at least 6/)
})

test('the right passcode opens a session; signing out, a new passcode and a month close it', async () => {
  let now = 1_000_000
  const { guard } = fresh(true, () => now)
  await guard.setPasscode('harbour light')
  await expect(guard.signIn('harbour dark', 'a')).rejects.toThrow(/not the passcode/)
  const token = await guard.signIn('harbour light', 'a')
  expect([guard.isSignedIn(token), guard.isSignedIn('guess'), guard.isSignedIn(undefined)]).toEqual([true, false, false])
  guard.signOut(token)
  expect(guard.isSignedIn(token)).toBe(false)
  const second = await guard.signIn('harbour light', 'a')
  await guard.setPasscode('another one')
  expect(guard.isSignedIn(second)).toBe(false)
  const third = await guard.signIn('another one', 'a')
  now += 31 * 24 * 3600 * 1000
  expect(guard.isSignedIn(third)).toBe(false)
})

test('five wrong tries from one address shut it for a while, the right passcode included; others still come in', async () => {
  let now = 0
  const { guard } = fresh(true, () => now)
  await guard.setPasscode('harbour light')
  for (let i = 0; i < 5; i++) await expect(guard.signIn('wrong', 'a')).rejects.toThrow(/not the passcode/)
  await expect(guard.signIn('harbour light', 'a')).rejects.toThrow(TooManyTriesError)
  expect(await guard.signIn('harbour light', 'b')).toHaveLength(43)
  now += 15 * 60 * 1000
  expect(await guard.signIn('harbour light', 'a')).toHaveLength(43)
})

const appWith = async (guard: Guard) => {
  const knex = await openDatabase(':memory:')
  const jobs = new JobRunner()
  return { app: createApp({ store: new Store(knex), jobs, guard }), close: () => jobs.close().then(() => knex.destroy()) }
}

test('bound beyond this machine, everything but health and signing in asks for the passcode', async () => {
  const { guard } = fresh()
  await guard.setPasscode('harbour light')
  const { app, close } = await appWith(guard)
  const call = (method: string, path: string, body?: unknown, cookie = '') =>
    app.request(`/api${path}`, { method, headers: { 'content-type': 'application/json', ...(cookie ? { cookie } : {}) }, ...(body ? { body: JSON.stringify(body) } : {}) })
  expect((await call('GET', '/health')).status).toBe(200)
  for (const [method, path] of [
    ['GET', '/builds'],
    ['POST', '/suppliers'],
    ['GET', '/events'],
    ['PUT', '/passcode'],
    ['GET', '/openapi.json'],
    ['POST', '/backups'],
  ] as const)
    expect([path, (await call(method, path, method === 'GET' ? undefined : { passcode: 'mine now' })).status]).toEqual([path, 401])
  const answer = await call('POST', '/session', { passcode: 'harbour light' })
  const cookie = answer.headers.get('set-cookie')!
  expect(cookie).toMatch(/^junket_session=[\w-]{43};.*HttpOnly.*SameSite=Strict/)
  const session = cookie.split(';')[0]!
  expect((await call('GET', '/builds', undefined, session)).status).toBe(200)
  expect((await call('DELETE', '/session', undefined, session)).status).toBe(200)
  expect((await call('GET', '/builds', undefined, session)).status).toBe(401)
  for (let i = 0; i < 5; i++) expect((await call('POST', '/session', { passcode: 'no' })).status).toBe(401)
  const shut = await call('POST', '/session', { passcode: 'harbour light' })
  expect([shut.status, Number(shut.headers.get('retry-after')) > 0]).toEqual([429, true])
  await close()
})

test('bound to this machine no passcode is asked, but only its own names are answered', async () => {
  const { guard } = fresh(false)
  const { app, close } = await appWith(guard)
  expect((await app.request('/api/builds')).status).toBe(200)
  expect((await app.request('http://rebound.example/api/builds', { headers: { host: 'rebound.example' } })).status).toBe(403)
  expect(await (await app.request('/api/session')).json()).toEqual({ asks: false, signedIn: true, hasPasscode: false })
  await close()
})
