import { catalogueOperations } from '../../contract/operations/catalogue.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { donors, kits } from '../services/catalogue/bundles.ts'
import { namedPieces } from '../services/catalogue/kit-items.ts'
import {
  addClaim,
  compareInside,
  createPart,
  partDetail,
  setKinds,
  strikeClaim,
} from '../services/catalogue/parts.ts'
import { listParts } from '../services/catalogue/parts-found.ts'
import { keep } from '../services/shop/kept.ts'
import { toTrash } from './plain-answers.ts'
import { serve } from './serve.ts'

export const catalogueRoutes = ({ store, jobs: { readings } }: Services): App =>
  serve(newRouter(), 'Catalogue', catalogueOperations, {
    'GET /parts': async ({ query }) => listParts(store, query),
    'POST /parts': async ({ body }) => createPart(store, body),
    'POST /parts/kinds': async ({ body }) => setKinds(store, body),
    'GET /kept': async ({ query: { what } }) => ({ items: await store.list('kept', { what }) }),
    'POST /kept': async ({ body }) => keep(store, body),
    'DELETE /kept/{id}': async ({ params }) => toTrash(store, 'kept', params.id),
    'GET /parts/{id}': async ({ params, query }) => partDetail(store, params.id, query.build),
    'GET /parts/{id}/listed': async ({ params }) => readings.json(store, 'listedFor', params.id),
    'GET /parts/{id}/same-inside/{other}': async ({ params }) =>
      compareInside(store, params.id, params.other),
    'PATCH /parts/{id}': async ({ params, body: { version, ...patch } }) =>
      store.transaction((tx) => tx.update('part', params.id, version, patch)),
    'DELETE /parts/{id}': async ({ params }) => toTrash(store, 'part', params.id),
    'POST /claims': async ({ body }) => addClaim(store, body),
    'POST /claims/{id}/strike': async ({ params, body }) => strikeClaim(store, params.id, body),
    'GET /kits': async () => ({ items: await kits.list(store) }),
    'POST /kits': async ({ body }) =>
      store.transaction(async (tx) =>
        kits.create(tx, { ...body, items: await namedPieces(tx, body.items) }),
      ),
    'GET /kits/{id}': async ({ params }) => kits.get(store, params.id),
    'PATCH /kits/{id}': async ({ params, body: { items, ...body } }) =>
      store.transaction(async (tx) =>
        kits.update(tx, params.id, {
          ...body,
          ...(items ? { items: await namedPieces(tx, items) } : {}),
        }),
      ),
    'DELETE /kits/{id}': async ({ params }) => toTrash(store, 'kit', params.id),
    'GET /donors': async () => ({ items: await donors.list(store) }),
    'POST /donors': async ({ body }) => donors.create(store, body),
    'GET /donors/{id}': async ({ params }) => donors.get(store, params.id),
    'PATCH /donors/{id}': async ({ params, body }) => donors.update(store, params.id, body),
    'DELETE /donors/{id}': async ({ params }) => toTrash(store, 'donor', params.id),
  })
