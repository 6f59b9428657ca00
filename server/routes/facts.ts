import { factOperations } from '../../contract/operations/facts.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { answerFact } from '../services/builds/answer-fact.ts'
import { toTrash } from './plain-answers.ts'
import { serve } from './serve.ts'

/** What is known of a build, answered one question at a time, and what other answers would change. */
export function factRoutes({ store, jobs }: Services): App {
  const { readings } = jobs
  return serve(newRouter(), 'Facts', factOperations, {
    'GET /builds/{id}/facts': async ({ params }) => readings.json(store, 'known', params.id),
    'POST /builds/{id}/facts': async ({ params, body }) => answerFact(store, params.id, body),
    'POST /builds/{id}/what-if': async ({ params, body }) =>
      readings.json(store, 'whatIf', params.id, body),
    'POST /builds/{id}/lines': async ({ params, body: { lines } }) =>
      store.transaction(async (tx) => {
        await tx.get('build', params.id)
        const made = []
        for (const line of lines)
          made.push(await tx.insert('ownLine', { ...line, buildId: params.id }))
        return { lines: made }
      }),
    'PATCH /builds/{id}/lines/{line}': async ({ params, body: { version, ...patch } }) =>
      store.transaction((tx) => tx.update('ownLine', params.line, version, patch)),
    'DELETE /builds/{id}/lines/{line}': async ({ params }) =>
      toTrash(store, 'ownLine', params.line),
    'GET /recipes': async () => ({ items: await store.list('recipe') }),
    'POST /recipes': async ({ body }) => store.transaction((tx) => tx.insert('recipe', body)),
    'POST /recipes/try': async ({ body }) => readings.json(store, 'tryRecipe', body),
    'PATCH /recipes/{id}': async ({ params, body: { version, ...patch } }) =>
      store.transaction((tx) => tx.update('recipe', params.id, version, patch)),
    'DELETE /recipes/{id}': async ({ params }) => toTrash(store, 'recipe', params.id),
  })
}
