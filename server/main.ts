import { existsSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { parseArgs } from 'node:util'
import { serve } from '@hono/node-server'
import pino from 'pino'
import { Guard } from './access/guard.ts'
import { createApp } from './app.ts'
import { openDatabase } from './database/sqlite/connection.ts'
import { storageFault } from './database/sqlite/storage-fault.ts'
import { Store } from './database/store.ts'
import { ProblemError } from './errors.ts'
import { FeedSchedule } from './jobs/feed-schedule.ts'
import { PhotoMaker } from './jobs/photo-maker.ts'
import { JobRunner } from './jobs/runner.ts'
import { checkPasscode, openData, StartFault } from './opening.ts'
import { follow } from './search/follow.ts'
import { importDocument } from './services/builds/build-document.ts'
import { PhotoFiles, photoFolder } from './services/catalogue/photo-files.ts'
import { Backups } from './services/keeping/backups.ts'
import { solveBuilds } from './services/planning/solve.ts'
import { noteJudged } from './services/trains/judged-pairings.ts'
import { startPriceFeed } from './stand-ins/start.ts'

const WARM_AFTER_MS = 20
/** Where the demo's suppliers say their prices are. */
const FEED_PORT = 4174
const LOOPBACK = new Set(['127.0.0.1', '::1', 'localhost'])

/** Starts Junket; `--demo` fills an empty database with the invented shop first, `--restore NAME` puts a backup in place. */
async function main(): Promise<void> {
  const { demo: isDemo, restore, empty: isEmptyWanted } = argumentsOf()
  const host = process.env.JUNKET_HOST ?? '127.0.0.1'
  const port = Number(process.env.JUNKET_PORT ?? 4173)
  const data = resolve(process.env.JUNKET_DATA ?? (isDemo ? 'data/demo' : 'data/shop'))
  const names = (process.env.JUNKET_NAMES ?? '')
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean)
  const log = pino({ level: process.env.JUNKET_LOG ?? 'warn' })
  const file = await openData({
    data,
    command: isDemo ? 'npm run demo' : 'npm start',
    isEmptyWanted,
    ...(restore === undefined ? {} : { restore }),
  })
  const guard = await guardOf(data, host)
  const backups = new Backups(file)
  // Before anything touches the file, a migration included.
  const ofDay = existsSync(file) ? await backups.makeOfDay() : null
  if (ofDay) log.info({ backup: ofDay.name }, 'backed up, first start of the day')
  const knex = await openDatabase(file)
  const store = new Store(knex)
  const jobs = new JobRunner()
  if (isDemo && (await store.revision()) === 0) {
    const { demoDocument } = await import('../demo/index.ts')
    await importDocument(store, demoDocument())
    await solveBuilds(store, jobs)
    await follow(store)
  }
  const photos = { files: new PhotoFiles(photoFolder(data)), maker: new PhotoMaker() }
  const web = fileURLToPath(new URL('../web', import.meta.url))
  const schedule = new FeedSchedule(store, jobs.imports, jobs.gate, log)
  if (isDemo && process.env.JUNKET_FEED_PORT !== 'off')
    startPriceFeed(Number(process.env.JUNKET_FEED_PORT ?? FEED_PORT)).on('error', (error) =>
      log.warn(error, 'the simulated price feed did not start'),
    )
  const server = serve(
    {
      fetch: createApp({ store, jobs, log, web, backups, photos, guard, names, folder: data })
        .fetch,
      hostname: host,
      port,
    },
    () => console.log(`Junket is ready on http://${host === '::1' ? '[::1]' : host}:${port}`),
  )
  // The thread that plans reads the shop in before anybody asks.
  setTimeout(
    () =>
      void (
        process.env.JUNKET_WARM === 'off'
          ? Promise.resolve()
          : jobs.readings.warm(store, (work) => jobs.gate.enter(work))
      )
        // After that: what a newer program judges otherwise is noted.
        .then(() =>
          jobs.gate.enter(async () => noteJudged(store, await jobs.readings.ask(store, 'judged'))),
        )
        .catch((error: unknown) => log.warn(error, 'pairings were not judged at the start')),
    WARM_AFTER_MS,
  ).unref()
  server.on('error', (error: NodeJS.ErrnoException) =>
    fail(new StartFault(portFault(error, host, port), 1)),
  )

  let stopping = false
  const stop = (): void => {
    if (stopping) return
    stopping = true
    server.close()
    void Promise.all([schedule.close(), jobs.close(), backups.close(), photos.maker.close()])
      .then(() => knex.destroy())
      .then(() => process.exit(0))
    setTimeout(() => process.exit(0), 4000).unref()
  }
  process.on('SIGINT', stop)
  process.on('SIGTERM', stop)
}

function argumentsOf(): { demo: boolean; restore?: string | undefined; empty: boolean } {
  try {
    const { values } = parseArgs({
      options: {
        demo: { type: 'boolean', default: false },
        restore: { type: 'string' },
        empty: { type: 'boolean', default: false },
      },
    })
    return values
  } catch (error) {
    throw new StartFault(`${(error as Error).message} Known are --restore NAME and --empty.`, 2)
  }
}

async function guardOf(data: string, host: string): Promise<Guard> {
  const file = join(data, 'passcode')
  const guard = new Guard(file, !LOOPBACK.has(host))
  if (process.env.JUNKET_PASSCODE) {
    try {
      await guard.setPasscode(process.env.JUNKET_PASSCODE)
    } catch (error) {
      if (error instanceof ProblemError)
        throw new StartFault(`JUNKET_PASSCODE is refused: ${error.message}`, 2)
      throw error
    }
  }
  checkPasscode(file)
  if (guard.asks && !guard.hasPasscode)
    throw new StartFault(
      `JUNKET_HOST=${host} is refused: other machines could reach the data and no passcode is set. Start on this machine and set one in Settings, or give JUNKET_PASSCODE once.`,
      2,
    )
  return guard
}

function portFault({ code, message }: NodeJS.ErrnoException, host: string, port: number): string {
  if (code === 'EADDRINUSE')
    return `Port ${port} is taken. Stop what uses it, or set JUNKET_PORT to another.`
  if (code === 'EACCES')
    return `Port ${port} is not for everybody on this machine. Set JUNKET_PORT to one above 1023.`
  if (code === 'EADDRNOTAVAIL' || code === 'ENOTFOUND')
    return `This machine has no address ${host}. Set JUNKET_HOST to one of its own.`
  return message
}

function fail(error: Error & { code?: string }): never {
  const folder = resolve(process.env.JUNKET_DATA ?? 'data')
  const words =
    error instanceof StartFault || error instanceof ProblemError
      ? error.message
      : (storageFault(error, folder) ?? `Junket could not start: ${error.stack}`)
  console.error(words)
  process.exit(error instanceof StartFault ? error.exitCode : 3)
}

await main().catch(fail)
