import { existsSync, mkdirSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { serve } from '@hono/node-server'
import pino from 'pino'
import { createApp } from './app.ts'
import { openDatabase } from './database/connection.ts'
import { Store } from './database/store.ts'
import { Guard } from './guard.ts'
import { JobRunner } from './jobs/runner.ts'
import { Backups } from './services/backups.ts'
import { importBuild } from './services/build-document.ts'

const LOOPBACK = new Set(['127.0.0.1', '::1', 'localhost'])

/** Starts Junket; `--demo` fills an empty database with the invented shop first. */
async function main(): Promise<void> {
  const host = process.env.JUNKET_HOST ?? '127.0.0.1'
  const port = Number(process.env.JUNKET_PORT ?? 4173)
  const isDemo = process.argv.includes('--demo')
  const data = resolve(process.env.JUNKET_DATA ?? (isDemo ? 'data/demo' : 'data/shop'))
  const log = pino({ level: process.env.JUNKET_LOG ?? 'warn' })
  mkdirSync(data, { recursive: true })
  const guard = new Guard(join(data, 'passcode'), !LOOPBACK.has(host))
  if (process.env.JUNKET_PASSCODE) await guard.setPasscode(process.env.JUNKET_PASSCODE)
  if (guard.asks && !guard.hasPasscode) {
    console.error(
      `JUNKET_HOST=${host} is refused: other machines could reach the data and no passcode is set. Start on this machine and set one in Settings, or give JUNKET_PASSCODE once.`,
    )
    process.exit(2)
  }
  const file = join(data, 'junket.sqlite')
  const backups = new Backups(file)
  // Before anything touches the file, a migration included.
  const ofDay = existsSync(file) ? await backups.makeOfDay() : null
  if (ofDay) log.info({ backup: ofDay.name }, 'backed up, first start of the day')
  const knex = await openDatabase(file)
  const store = new Store(knex)
  if (isDemo && (await store.revision()) === 0) {
    const { demoDocument } = await import('../demo/index.ts')
    await importBuild(store, demoDocument())
  }
  const jobs = new JobRunner()
  const web = fileURLToPath(new URL('../web', import.meta.url))
  const server = serve({ fetch: createApp({ store, jobs, log, web, backups, guard }).fetch, hostname: host, port }, () =>
    console.log(`Junket is ready on http://${host === '::1' ? '[::1]' : host}:${port}`),
  )
  server.on('error', (error: NodeJS.ErrnoException) => {
    console.error(error.code === 'EADDRINUSE' ? `Port ${port} is taken. Stop what uses it, or set JUNKET_PORT to another.` : error.message)
    process.exit(1)
  })

  let stopping = false
  const stop = (): void => {
    if (stopping) return
    stopping = true
    server.close()
    void jobs
      .close()
      .then(() => knex.destroy())
      .then(() => process.exit(0))
    setTimeout(() => process.exit(0), 4000).unref()
  }
  process.on('SIGINT', stop)
  process.on('SIGTERM', stop)
}

await main()
