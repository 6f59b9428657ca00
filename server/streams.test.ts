import { connect } from 'node:net'
import { serve } from '@hono/node-server'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { createApp } from './app.ts'
import { announce, packIds } from './database/changes.ts'
import { type Database, openDatabase } from './database/sqlite/connection.ts'
import { Store } from './database/store.ts'
import { JobRunner } from './jobs/runner.ts'
import { Streams } from './streams.ts'

let knex: Database
let server: ReturnType<typeof serve>
let port = 0
const jobs = new JobRunner()

beforeAll(async () => {
  knex = await openDatabase(':memory:')
  const { fetch } = createApp({ store: new Store(knex), jobs })
  await new Promise<void>((ready) => {
    server = serve({ fetch, port: 0, hostname: '127.0.0.1' }, (info) => {
      port = info.port
      ready()
    })
  })
})
afterAll(async () => {
  server.close()
  await jobs.close()
  await knex.destroy()
})

test('a client holds so many lines and no more; a line given back can be taken again', () => {
  const streams = new Streams()
  const leave = Array.from({ length: 20 }, () => streams.enter('a'))
  expect(() => streams.enter('a')).toThrow(/Too many pages/)
  streams.enter('b')
  leave[0]!()
  leave[0]!()
  streams.enter('a')
  expect(() => streams.enter('a')).toThrow(/Too many pages/)
})

test('a reader that does not read is dropped, and nobody else is held up', async () => {
  const socket = connect(port, '127.0.0.1')
  socket.write('GET /api/events HTTP/1.1\r\nHost: localhost\r\n\r\n')
  await new Promise((ready) => socket.once('data', ready))
  socket.pause()
  const gone = new Promise<void>((done) => socket.once('close', () => done()))
  socket.on('error', () => undefined)
  const touched = Array.from({ length: 50 }, (_, i) => `${'x'.repeat(400)}${i}`)
  for (let i = 0; i < 3000; i++) {
    announce(knex, {
      revision: i,
      who: 'bench',
      command: null,
      touched: { claim: packIds(touched) },
      parts: packIds([]),
    })
    if (i % 100 === 0) await new Promise((turn) => setImmediate(turn))
  }
  expect((await fetch(`http://127.0.0.1:${port}/api/health`)).status).toBe(200)
  socket.resume()
  await gone
})

test('a restore does not wait for an upload that does not end, and that upload is still taken afterwards', async () => {
  const socket = connect(port, '127.0.0.1')
  const body = JSON.stringify({ name: 'Slow quay', currency: 'EUR' })
  socket.write(
    `POST /api/suppliers HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: ${body.length}\r\n\r\n${body.slice(0, 9)}`,
  )
  await new Promise((sent) => setTimeout(sent, 100))
  expect(await jobs.gate.alone(async () => 'restored')).toBe('restored')
  const answer = new Promise<string>((said) =>
    socket.once('data', (bytes: Buffer) => said(bytes.toString())),
  )
  socket.write(body.slice(9))
  expect(await answer).toMatch(/^HTTP\/1\.1 200/)
  socket.destroy()
})
