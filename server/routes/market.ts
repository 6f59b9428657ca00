import { marketOperations } from '../../contract/operations/market.ts'
import { UnprocessableError } from '../errors.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { putOnShelf } from '../services/catalogue/own-shelf.ts'
import { feedReadings, readFeed } from '../services/importing/feeds.ts'
import { addOffer, changeOffer, pricesOf } from '../services/importing/offers.ts'
import { createIssuer, previewIssuer, updateIssuer } from '../services/numbers/issuers.ts'
import { toTrash } from './plain-answers.ts'
import { serve } from './serve.ts'

export const marketRoutes = ({ store, jobs, fetching }: Services): App =>
  serve(newRouter(), 'Market', marketOperations, {
    'GET /suppliers': async () => ({ items: await store.list('supplier') }),
    'POST /suppliers': async ({ body }) => store.transaction((tx) => tx.insert('supplier', body)),
    'PATCH /suppliers/{id}': async ({ params, body: { version, ...patch } }) =>
      store.transaction((tx) => tx.update('supplier', params.id, version, patch)),
    'DELETE /suppliers/{id}': async ({ params }) => toTrash(store, 'supplier', params.id),
    'GET /suppliers/{id}/readings': async ({ params }) => ({
      items: await feedReadings(store, params.id),
    }),
    'POST /suppliers/{id}/readings': async ({ params }) =>
      readFeed(store, jobs.imports, params.id, fetching),
    'GET /issuers': async () => ({ items: await store.list('issuer') }),
    'POST /issuers': async ({ body }) => store.transaction((tx) => createIssuer(tx, body)),
    'POST /issuers/{id}/preview': async ({ params, body }) => previewIssuer(store, params.id, body),
    'PATCH /issuers/{id}': async ({ params, body: { version, ...patch } }) =>
      updateIssuer(store, params.id, version, patch),
    'DELETE /issuers/{id}': async ({ params }) => toTrash(store, 'issuer', params.id),
    'GET /rates': async () => ({ items: await store.list('rate') }),
    'POST /rates': async ({ body }) => store.transaction((tx) => tx.insert('rate', body)),
    'PATCH /rates/{id}': async ({ params, body: { version, ...patch } }) =>
      store.transaction((tx) => tx.update('rate', params.id, version, patch)),
    'DELETE /rates/{id}': async ({ params }) => toTrash(store, 'rate', params.id),
    'GET /offers': async ({ query: { part, supplier } }) => {
      if (!part && !supplier) throw new UnprocessableError('Say of which part or supplier.')
      const of = {
        ...(part ? { partId: part } : {}),
        ...(supplier ? { supplierId: supplier } : {}),
      }
      return { items: await store.list('offer', of) }
    },
    'POST /offers': async ({ body }) => addOffer(store, body),
    'PATCH /offers/{id}': async ({ params, body }) => changeOffer(store, params.id, body),
    'GET /offers/{id}/prices': async ({ params }) => ({ items: await pricesOf(store, params.id) }),
    'POST /parts/{id}/owned': async ({ params, body }) => putOnShelf(store, params.id, body),
    'DELETE /offers/{id}': async ({ params }) => toTrash(store, 'offer', params.id),
    'POST /trash/{id}/restore': async ({ params }) =>
      store.transaction((tx) => tx.restore(params.id)),
  })
