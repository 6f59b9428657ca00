import { factOperations } from '../../contract/operations/facts.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { answerFact } from '../services/answer-fact.ts'
import { serve } from './serve.ts'

/** What is known of a build, answered one question at a time, and what other answers would change. */
export function factRoutes({ store, jobs }: Services): App {
  const { readings } = jobs
  return serve(newRouter(), 'Facts', factOperations, {
    'GET /builds/{id}/facts': async ({ params }) => readings.json(store, 'known', params.id),
    'POST /builds/{id}/facts': async ({ params, body }) => answerFact(store, params.id, body),
    'POST /builds/{id}/what-if': async ({ params, body }) =>
      readings.json(store, 'whatIf', params.id, body),
  })
}
