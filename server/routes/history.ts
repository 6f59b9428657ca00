import { getCookie } from 'hono/cookie'
import { streamSSE } from 'hono/streaming'
import { z } from 'zod'
import { mendInput, personInput, personPatch } from '../../contract/rows.ts'
import { actorNow } from '../database/actor.ts'
import { type Change, onChange } from '../database/changes.ts'
import { TABLE_NAMES } from '../database/tables.ts'
import { UnprocessableError } from '../errors.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { listHistory, listTrash, restoreEntry, undoCommand } from '../services/history.ts'
import { mendAside, putBackAside, removeAside } from '../services/set-aside.ts'
import { Outbox, Streams } from '../streams.ts'
import { route } from './route.ts'
import { addressOf, COOKIE } from './session.ts'

const KEEP_ALIVE_MS = 15_000

const historyQuery = z.object({
  entity: z.enum(TABLE_NAMES as [string, ...string[]]).optional(),
  id: z.string().max(200).optional(),
  who: z.string().max(120).optional(),
  before: z.coerce.number().int().positive().optional(),
  limit: z.coerce.number().int().min(1).max(200).optional(),
})

/** People, the history, undo, the trash, backups, and what others change. */
export function historyRoutes({ store, backups, jobs }: Services): App {
  const app = newRouter()
  const tag = 'History'
  route(
    app,
    { method: 'get', path: '/people', summary: 'Who works at this bench', tag },
    async () => ({ items: await store.list('person') }),
  )
  route(
    app,
    { method: 'post', path: '/people', summary: 'Add a person', tag, body: personInput },
    async ({ body }) => store.transaction((tx) => tx.insert('person', body)),
  )
  route(
    app,
    { method: 'patch', path: '/people/{id}', summary: 'Change a person', tag, body: personPatch },
    async ({ params, body: { version, ...patch } }) =>
      store.transaction((tx) => tx.update('person', params.id!, version, patch)),
  )
  route(
    app,
    {
      method: 'delete',
      path: '/people/{id}',
      summary: 'Move a person to the trash; what they did keeps their name',
      tag,
    },
    async ({ params }) => ({
      trash: await store.transaction((tx) => tx.remove('person', params.id!)),
    }),
  )
  route(
    app,
    {
      method: 'get',
      path: '/history',
      summary: 'Who changed what, when, from what, to what; newest first',
      tag,
      query: historyQuery,
    },
    async ({ query }) => listHistory(store, query),
  )
  route(
    app,
    {
      method: 'post',
      path: '/history/{entry}/restore',
      summary: 'Put back what one entry changed or removed',
      tag,
    },
    async ({ params }) => restoreEntry(store, Number(params.entry) || 0),
  )
  route(
    app,
    {
      method: 'post',
      path: '/undo',
      summary: 'Undo everything one command wrote; the answer carries the command that undid it',
      tag,
      body: z.strictObject({ command: z.string().min(1).max(80) }),
    },
    async ({ body }) => ({
      ...(await undoCommand(store, body.command)),
      command: actorNow()?.command ?? null,
    }),
  )
  route(
    app,
    { method: 'get', path: '/trash', summary: 'What was removed and can be put back', tag },
    async () => ({ items: await listTrash(store) }),
  )
  route(
    app,
    {
      method: 'get',
      path: '/set-aside',
      summary: 'Rows that cannot be read: what is wrong with each, and what stands there',
      tag,
    },
    async () => jobs.readings.json(store, 'setAside'),
  )
  const aside = '/set-aside/{table}/{id}'
  route(
    app,
    {
      method: 'patch',
      path: aside,
      summary: 'Mend a row that is set aside, field by field as typed',
      tag,
      body: mendInput,
    },
    async ({ params, body }) => {
      await mendAside(store, params.table!, params.id!, body.version, body.fields)
      return { done: true }
    },
  )
  route(
    app,
    {
      method: 'post',
      path: `${aside}/put-back`,
      summary: 'Put a row back as it was when it could last be read',
      tag,
      body: mendInput.pick({ version: true }),
    },
    async ({ params, body }) => {
      await putBackAside(store, params.table!, params.id!, body.version)
      return { done: true }
    },
  )
  route(
    app,
    { method: 'delete', path: aside, summary: 'Move a row that cannot be read to the trash', tag },
    async ({ params }) => ({
      trash: await removeAside(store, params.table!, params.id!),
    }),
  )
  route(
    app,
    { method: 'get', path: '/backups', summary: 'Backups, newest first', tag },
    async () => ({ items: backups?.list() ?? [] }),
  )
  route(app, { method: 'post', path: '/backups', summary: 'Back up now', tag }, async () => {
    if (!backups) throw new UnprocessableError('Data held in memory cannot be backed up.')
    return backups.make('asked')
  })
  route(
    app,
    {
      method: 'post',
      path: '/backups/{name}/restore',
      summary: 'Put a backup in place of the data; the data as it is now is kept as a backup first',
      tag,
    },
    async ({ params }) => {
      if (!backups) throw new UnprocessableError('Data held in memory cannot be restored.')
      return backups.restore(store, params.name!, jobs.gate)
    },
  )
  const streams = new Streams()
  app.get('/events', (c) => {
    const leave = streams.enter(getCookie(c, COOKIE) ?? addressOf(c))
    return streamSSE(c, async (stream) => {
      const outbox = new Outbox(stream, c)
      const stop = onChange(store.root, (change) => outbox.put('change', told(change)))
      try {
        outbox.put('ready', JSON.stringify({ revision: await store.revision() }))
        await outbox.run(KEEP_ALIVE_MS)
      } finally {
        stop()
        leave()
      }
    })
  })
  return app
}

const TOUCHED_TOLD = 50
let last: { readonly change: Change; readonly words: string } | null = null

/** A change as pages hear of it: who, which tables, and the first of the rows; put into words once for all of them. */
function told(change: Change): string {
  if (last?.change !== change) {
    const { revision, who, command, tables } = change.packed
    last = {
      change,
      words: JSON.stringify({
        revision,
        who,
        command,
        tables,
        touched: change.first(TOUCHED_TOLD),
      }),
    }
  }
  return last.words
}
