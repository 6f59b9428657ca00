import { numberOperations } from '../../contract/operations/numbers.ts'
import { type App, newRouter, type Services } from '../router.ts'
import {
  addApplication,
  addGeneration,
  addInterchange,
  addNumber,
  addSupersession,
  strikeNumberClaim,
} from '../services/number-claims.ts'
import { numberConflicts } from '../services/number-conflicts.ts'
import { numberEffects } from '../services/number-effects.ts'
import { serve } from './serve.ts'

export const numberRoutes = ({ store }: Services): App =>
  serve(newRouter(), 'Numbers', numberOperations, {
    'POST /parts/{id}/numbers': async ({ params, body }) => {
      const added = await store.transaction((tx) => addNumber(tx, params.id, body))
      return { ...added, changed: await numberEffects(store, added) }
    },
    'POST /supersessions': async ({ body }) => addSupersession(store, body),
    'POST /interchanges': async ({ body }) => addInterchange(store, body),
    'POST /applications': async ({ body }) => addApplication(store, body),
    'GET /generations': async () => ({ items: await store.list('generation') }),
    'POST /generations': async ({ body }) => addGeneration(store, body),
    'POST /number-claims/{id}/strike': async ({ params, body: { table, ...why } }) =>
      strikeNumberClaim(store, table, params.id, why),
    'GET /number-conflicts': async () => numberConflicts(store),
  })
