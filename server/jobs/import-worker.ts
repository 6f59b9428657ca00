import { once } from 'node:events'
import type { MessagePort } from 'node:worker_threads'
import { connect } from '../database/sqlite/connection.ts'
import type { Landed } from '../database/sqlite/stage.ts'
import { Store } from '../database/store.ts'
import { ProblemError } from '../errors.ts'
import {
  type Chunk,
  type Previewed,
  startReading,
  type Wanted,
} from '../services/importing/importing.ts'
import { layRows, previewRows } from '../services/importing/lay-rows.ts'
import { undoMany } from '../services/keeping/undo-many.ts'
import { stepBack } from './step-back.ts'

export type ImportWork =
  | { readonly kind: 'preview' | 'import'; readonly wanted: Wanted }
  | { readonly kind: 'undo'; readonly command: string }
export interface ImportTask {
  readonly database: string
  readonly work: ImportWork
  readonly actor: { readonly who: string; readonly command: string | null }
  readonly port: MessagePort
}

/** To the worker: what was read, a batch at a time, until the end; then, each time it is ready, that it may land. */
export type ToImport = { readonly chunk: Chunk } | 'end' | 'land'
/** From the worker: that it has taken a batch; that all is laid ready; what came of it. */
export type FromImport =
  | 'more'
  | 'ready'
  | 'again'
  | { readonly preview: Previewed; readonly landed: Landed | null }
  | { readonly undone: { readonly undone: number; readonly landed: Landed } | null }
  | { readonly problem: { readonly status: number; readonly message: string } }

stepBack()

/** Looks rows up and lays them ready with a connection of its own; lands them when the other side holds still. */
export default async function importRows({
  database,
  work,
  actor,
  port,
}: ImportTask): Promise<void> {
  const knex = connect(database)
  const send = (message: FromImport): void => port.postMessage(message)
  const next = async (): Promise<ToImport> => (await once(port, 'message'))[0] as ToImport
  async function* chunks(): AsyncGenerator<Chunk> {
    for (;;) {
      const message = await next()
      if (typeof message === 'string') return
      yield message.chunk
      send('more')
    }
  }
  const land = async (merge: () => Promise<Landed>): Promise<Landed> => {
    send('ready')
    await next()
    try {
      return await merge()
    } catch (error) {
      send('again')
      throw error
    }
  }
  try {
    const store = new Store(knex, actor.who)
    if (work.kind === 'undo') send({ undone: await undoMany(store, work.command, actor, land) })
    else {
      const start = () => startReading(store, work.wanted)
      if (work.kind === 'preview')
        send({ preview: await previewRows(chunks(), start()), landed: null })
      else send(await layRows(store, chunks(), start, actor, land))
    }
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error
    send({ problem: { status: error.status, message: error.message } })
  } finally {
    await knex.destroy()
    port.close()
  }
}
