import { kitOperations } from '../../contract/operations/kits.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { compareKits, takeKit } from '../services/choosing/compare-kits.ts'
import { watch, watches } from '../services/importing/watches.ts'
import { receive, unreceive } from '../services/planning/arrivals.ts'
import { toTrash } from './plain-answers.ts'
import { serve } from './serve.ts'

export const kitRoutes = ({ store, jobs }: Services): App =>
  serve(newRouter(), 'Kits and arrivals', kitOperations, {
    'GET /builds/{id}/kits': async ({ params }) =>
      jobs.readings.json(store, 'kitsAtHand', params.id),
    'GET /builds/{id}/kits/compared': async ({ params, query }) =>
      compareKits(store, jobs, params.id, query.ids.split(',')),
    'POST /builds/{id}/kits': async ({ params, body }) => takeKit(store, params.id, body),
    'GET /reports': async ({ query: { kit, part, supplier } }) => ({
      items: await store.list('report', {
        ...(kit ? { kitId: kit } : {}),
        ...(part ? { partId: part } : {}),
        ...(supplier ? { supplierId: supplier } : {}),
      }),
    }),
    'POST /reports': async ({ body }) => store.transaction((tx) => tx.insert('report', body)),
    'DELETE /reports/{id}': async ({ params }) => toTrash(store, 'report', params.id),
    'GET /watches': async () => ({ items: await watches(store) }),
    'POST /watches': async ({ body }) => watch(store, body),
    'DELETE /watches/{id}': async ({ params }) => toTrash(store, 'watch', params.id),
    'GET /builds/{id}/arrivals': async ({ params }) =>
      jobs.readings.json(store, 'arrivals', params.id),
    'POST /builds/{id}/arrivals': async ({ params, body }) =>
      receive(
        store,
        params.id,
        body,
        () => jobs.readings.ask(store, 'planFor', params.id, body.needId),
        () => jobs.readings.ask(store, 'lineStanding', params.id, body.needId),
      ),
    'DELETE /builds/{id}/arrivals/{arrival}': async ({ params }) => ({
      trash: await unreceive(store, params.id, params.arrival),
    }),
  })
