import { getCookie } from 'hono/cookie'
import { streamSSE } from 'hono/streaming'
import { historyOperations } from '../../contract/operations/history.ts'
import { actorNow } from '../database/actor.ts'
import { type Change, onChange } from '../database/changes.ts'
import { UnprocessableError } from '../errors.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { listHistory, listTrash, restoreEntry, undoCommand } from '../services/keeping/history.ts'
import { mendAside, putBackAside, removeAside } from '../services/keeping/set-aside.ts'
import { isMany } from '../services/keeping/undo-many.ts'
import { Outbox, Streams } from '../streams.ts'
import { DONE, toTrash } from './plain-answers.ts'
import { serve } from './serve.ts'
import { addressOf, COOKIE } from './session.ts'

const KEEP_ALIVE_MS = 15_000

/** People, the history, undo, the trash, backups, and what others change. */
export function historyRoutes({ store, backups, jobs }: Services): App {
  const streams = new Streams()
  return serve(newRouter(), 'History', historyOperations, {
    'GET /people': async () => ({ items: await store.list('person') }),
    'POST /people': async ({ body }) => store.transaction((tx) => tx.insert('person', body)),
    'PATCH /people/{id}': async ({ params, body: { version, ...patch } }) =>
      store.transaction((tx) => tx.update('person', params.id, version, patch)),
    'DELETE /people/{id}': async ({ params }) => toTrash(store, 'person', params.id),
    'GET /history': async ({ query }) => listHistory(store, query),
    'POST /history/{entry}/restore': async ({ params }) =>
      restoreEntry(store, Number(params.entry) || 0),
    'POST /undo': async ({ body: { command } }) => {
      const many = (await isMany(store, command)) ? await jobs.imports.undo(store, command) : null
      const { undone } = many === null ? await undoCommand(store, command) : { undone: many }
      return { undone, command: actorNow()?.command ?? null }
    },
    'GET /trash': async () => ({ items: await listTrash(store) }),
    'GET /set-aside': async () => jobs.readings.json(store, 'setAside'),
    'PATCH /set-aside/{table}/{id}': async ({ params, body }) => {
      await mendAside(store, params.table, params.id, body.version, body.fields)
      return DONE
    },
    'POST /set-aside/{table}/{id}/put-back': async ({ params, body }) => {
      await putBackAside(store, params.table, params.id, body.version)
      return DONE
    },
    'DELETE /set-aside/{table}/{id}': async ({ params }) => ({
      trash: await removeAside(store, params.table, params.id),
    }),
    'GET /backups': async () => ({ items: backups?.list() ?? [] }),
    'POST /backups': async () => {
      if (!backups) throw new UnprocessableError('Data held in memory cannot be backed up.')
      return backups.make('asked')
    },
    'POST /backups/{name}/restore': async ({ params }) => {
      if (!backups) throw new UnprocessableError('Data held in memory cannot be restored.')
      return backups.restore(store, params.name, jobs.gate)
    },
    'GET /events': async ({ c }) => {
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
    },
  })
}

const TOUCHED_TOLD = 50
let last: { readonly change: Change; readonly words: string } | null = null

/** A change as pages hear of it: who, which tables, and the first of the rows; put into words once for all of them. */
function told(change: Change): string {
  if (last?.change !== change) {
    const { revision, who, command } = change.packed
    last = {
      change,
      words: JSON.stringify({
        revision,
        who,
        command,
        tables: change.tables,
        touched: change.first(TOUCHED_TOLD),
      }),
    }
  }
  return last.words
}
