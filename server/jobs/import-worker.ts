import { once } from 'node:events'
import type { MessagePort } from 'node:worker_threads'
import { connect } from '../database/sqlite/connection.ts'
import type { Landed } from '../database/sqlite/stage.ts'
import { Store } from '../database/store.ts'
import type { OffersRead } from '../documents/offers-csv.ts'
import type { ImportPreview, OfferTerms } from '../services/offer-reading.ts'
import { layOffers, previewOffers } from '../services/offers.ts'
import { stepBack } from './step-back.ts'

export interface ImportTask {
  readonly database: string
  readonly isPreview: boolean
  readonly terms: OfferTerms
  readonly actor: { readonly who: string; readonly command: string | null }
  readonly port: MessagePort
}

/** To the worker: what was read, a batch at a time, until the end; then, each time it is ready, that it may land. */
export type ToImport = { readonly chunk: OffersRead } | 'end' | 'land'
/** From the worker: that it has taken a batch; that all is laid ready; what came of it. */
export type FromImport =
  | 'more'
  | 'ready'
  | 'again'
  | { readonly preview: ImportPreview; readonly landed: Landed | null }

stepBack()

/** Looks offers up and lays them ready with a connection of its own; lands them when the other side holds still. */
export default async function importOffers({
  database,
  isPreview,
  terms,
  actor,
  port,
}: ImportTask): Promise<void> {
  const knex = connect(database)
  const send = (message: FromImport): void => port.postMessage(message)
  const next = async (): Promise<ToImport> => (await once(port, 'message'))[0] as ToImport
  async function* chunks(): AsyncGenerator<OffersRead> {
    for (;;) {
      const message = await next()
      if (typeof message === 'string') return
      yield message.chunk
      send('more')
    }
  }
  try {
    const store = new Store(knex, actor.who)
    if (isPreview) send({ preview: await previewOffers(store, chunks(), terms), landed: null })
    else
      send(
        await layOffers(store, chunks(), terms, actor, async (merge) => {
          send('ready')
          await next()
          try {
            return await merge()
          } catch (error) {
            send('again')
            throw error
          }
        }),
      )
  } finally {
    await knex.destroy()
    port.close()
  }
}
