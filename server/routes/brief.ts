import { briefOperations } from '../../contract/operations/brief.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { answerBuildSheet, sheetAnswers } from '../services/builds/build-sheets.ts'
import { answerRecipient } from '../services/planning/recipient.ts'
import { serve } from './serve.ts'

/** The brief and the recipient of a build: sheets of answers, and measurements taken on drawings. */
export function briefRoutes({ store, jobs }: Services): App {
  const { readings } = jobs
  return serve(newRouter(), 'Brief and recipient', briefOperations, {
    'GET /builds/{id}/brief': async ({ params }) => readings.json(store, 'brief', params.id),
    'GET /builds/{id}/sheets/{kind}': async ({ params }) => ({
      answers: await sheetAnswers(store, params.id, params.kind),
    }),
    'PATCH /builds/{id}/sheets/{kind}': async ({ params, body }) =>
      answerBuildSheet(store, params.id, params.kind, body),
    'GET /builds/{id}/recipient': async ({ params }) =>
      readings.json(store, 'recipient', params.id),
    'PATCH /builds/{id}/recipient': async ({ params, body }) =>
      answerRecipient(store, params.id, body),
  })
}
