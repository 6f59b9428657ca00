import { sheetInput } from '../../contract/rows.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { answerBuildSheet, sheetAnswers } from '../services/build-sheets.ts'
import { answerRecipient } from '../services/recipient.ts'
import { route } from './route.ts'

/** The brief and the recipient of a build: sheets of answers, and measurements taken on drawings. */
export function briefRoutes({ store, jobs }: Services): App {
  const app = newRouter()
  const tag = 'Brief and recipient'
  const id = '/builds/{id}'
  route(
    app,
    {
      method: 'get',
      path: `${id}/brief`,
      summary:
        'The brief: answers, what each thing kept adds, what limits and build say of each other',
      tag,
    },
    async ({ params }) => jobs.readings.json(store, 'brief', params.id!),
  )
  route(
    app,
    {
      method: 'get',
      path: `${id}/sheets/{kind}`,
      summary: 'One sheet: brief, law, uncut or cautions',
      tag,
    },
    async ({ params }) => ({
      answers: await sheetAnswers(store, params.id!, params.kind!),
    }),
  )
  route(
    app,
    {
      method: 'patch',
      path: `${id}/sheets/{kind}`,
      summary: 'Join answers into a sheet, question by question',
      tag,
      body: sheetInput,
    },
    async ({ params, body }) => answerBuildSheet(store, params.id!, params.kind!, body),
  )
  route(
    app,
    {
      method: 'get',
      path: `${id}/recipient`,
      summary: 'The recipient on its drawings, and the room it has for the train',
      tag,
    },
    async ({ params }) => jobs.readings.json(store, 'recipient', params.id!),
  )
  route(
    app,
    {
      method: 'patch',
      path: `${id}/recipient`,
      summary: 'Measurements off a card or a phone; each becomes a claim once',
      tag,
      body: sheetInput,
    },
    async ({ params, body }) => answerRecipient(store, params.id!, body),
  )
  return app
}
