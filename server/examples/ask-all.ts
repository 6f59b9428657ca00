import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { addressOf, type Callable } from '../../contract/asked.ts'
import { partsOf } from '../../contract/operation.ts'
import { Guard } from '../access/guard.ts'
import { createApp } from '../app.ts'
import { openDatabase } from '../database/sqlite/connection.ts'
import { Store } from '../database/store.ts'
import { PhotoMaker } from '../jobs/photo-maker.ts'
import { JobRunner } from '../jobs/runner.ts'
import { importDocument } from '../services/builds/build-document.ts'
import { PhotoFiles, photoFolder } from '../services/catalogue/photo-files.ts'
import { Backups } from '../services/keeping/backups.ts'
import { SAMPLES, type Sample, type Told } from './samples.ts'

export interface Exchange {
  readonly status: number
  readonly answer: unknown
}

/** Asks every operation of the demo once, in the order of the samples. @param demo its document */
export async function askAll(demo: object): Promise<ReadonlyMap<Callable, Exchange>> {
  const folder = mkdtempSync(join(tmpdir(), 'junket-examples-'))
  const knex = await openDatabase(join(folder, 'junket.sqlite'))
  const store = new Store(knex)
  await importDocument(store, demo)
  const jobs = new JobRunner()
  const backups = new Backups(join(folder, 'junket.sqlite'))
  const photos = { files: new PhotoFiles(photoFolder(folder)), maker: new PhotoMaker() }
  const guard = new Guard(join(folder, 'passcode'), false)
  const app = createApp({
    store,
    jobs,
    backups,
    photos,
    guard,
    fetching: { answerMs: 1000, waitMs: 1, mostWaitMs: 1 },
  })
  const ask = (method: string, path: string, body?: unknown): Promise<Response> =>
    Promise.resolve(
      app.request(`http://localhost/api${path}`, {
        method,
        headers: {
          host: 'localhost',
          'content-type': body instanceof Blob ? 'application/octet-stream' : 'application/json',
        },
        ...(body === undefined ? {} : { body: body instanceof Blob ? body : JSON.stringify(body) }),
      }),
    )
  // Three rows that cannot be read: one to mend, one to put back, one to remove.
  await store.transaction((tx) => tx.update('supplier', 'brimble', 1, { currency: 'SEK' }))
  await knex('supplier').where({ id: 'tessil' }).update({ currency: 'zzz' })
  await knex('supplier').where({ id: 'brimble' }).update({ currency: 'zzz' })
  await knex('supplier').where({ id: 'anchor' }).update({ name: '' })
  store.replaced()

  const exchanges = new Map<Callable, Exchange>()
  const told = ((name: Callable) => exchanges.get(name)!.answer) as Told
  const plate = addressOf(
    '/builds/{id}/plate.dxf',
    { id: 'lantern' },
    { engine: 'wick-2', transmission: 'marlund-4' },
  )
  const done = { command: '', dxf: await (await ask('GET', plate)).text() }
  try {
    for (const [name, sample] of Object.entries(SAMPLES) as [Callable, Sample<Callable>][]) {
      const { method, path } = partsOf(name)
      const { params, query, body } = (
        typeof sample === 'function' ? sample(told, done) : sample
      ) as {
        params?: Record<string, string>
        query?: Record<string, unknown>
        body?: unknown
      }
      const answer = await ask(method, addressOf(path, params, query), body)
      done.command = answer.headers.get('x-junket-command') ?? done.command
      exchanges.set(name, { status: answer.status, answer: await answer.json() })
    }
  } finally {
    await Promise.all([jobs.close(), backups.close(), photos.maker.close()])
    await knex.destroy()
  }
  return exchanges
}
