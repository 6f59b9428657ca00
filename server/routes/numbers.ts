import { numberOperations } from '../../contract/operations/numbers.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { numberConflicts } from '../services/catalogue/number-conflicts.ts'
import { claimEffects, numberEffects } from '../services/catalogue/number-effects.ts'
import {
  addApplication,
  addGeneration,
  addInterchange,
  addNumber,
  addSupersession,
  strikeNumberClaim,
} from '../services/numbers/number-claims.ts'
import { serve } from './serve.ts'

export const numberRoutes = ({ store }: Services): App =>
  serve(newRouter(), 'Numbers', numberOperations, {
    'POST /parts/{id}/numbers': async ({ params, body }) => {
      const added = await store.transaction((tx) => addNumber(tx, params.id, body))
      return { ...added, changed: await numberEffects(store, added) }
    },
    'POST /supersessions': async ({ body }) => {
      const added = await addSupersession(store, body)
      const own = await store.listIn('supersessionNumber', 'supersessionId', [added.id])
      return { ...added, changed: await claimEffects(store, own) }
    },
    'POST /interchanges': async ({ body }) => {
      const added = await addInterchange(store, body)
      const own = await store.listIn('interchangeNumber', 'interchangeId', [added.id])
      return { ...added, changed: await claimEffects(store, own) }
    },
    'POST /applications': async ({ body }) => {
      const added = await addApplication(store, body)
      return { ...added, changed: await claimEffects(store, [added]) }
    },
    'GET /generations': async () => ({ items: await store.list('generation') }),
    'POST /generations': async ({ body }) => addGeneration(store, body),
    'POST /number-claims/{id}/strike': async ({ params, body: { table, ...why } }) =>
      strikeNumberClaim(store, table, params.id, why),
    'GET /number-conflicts': async () => numberConflicts(store),
  })
