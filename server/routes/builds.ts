import { z } from 'zod'
import {
  buildInput,
  buildPatch,
  couplingChoiceInput,
  couplingKitInput,
  decisionInput,
  jointClaimInput,
  lockInput,
  pairingChoice,
  sheetInput,
  startInput,
  stopperInput,
} from '../../contract/rows.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { decide } from '../services/decisions.ts'
import { answerSheet } from '../services/donors.ts'
import { addJointClaim, answerStopper } from '../services/joint-claims.ts'
import { addLock } from '../services/locks.ts'
import { answerMating } from '../services/mating.ts'
import { chooseCoupling, chooseKit, choosePairing } from '../services/pairing-choice.ts'
import { startSolve } from '../services/solve.ts'
import { startBuild } from '../services/start.ts'
import { route } from './route.ts'

export function buildRoutes({ store, jobs }: Services): App {
  const { readings } = jobs
  const app = newRouter()
  const tag = 'Builds'
  const id = '/builds/{id}'
  route(app, { method: 'get', path: '/builds', summary: 'All builds', tag }, async () =>
    readings.json(store, 'builds'),
  )
  route(
    app,
    { method: 'post', path: '/builds', summary: 'Start a build', tag, body: buildInput },
    async ({ body }) => store.transaction((tx) => tx.insert('build', body)),
  )
  route(
    app,
    {
      method: 'post',
      path: '/builds/start',
      summary: 'Start a build from what is known after two minutes: templates, families, answers',
      tag,
      body: startInput,
    },
    async ({ body }) => startBuild(store, body),
  )
  route(
    app,
    {
      method: 'get',
      path: `${id}/first-answer`,
      summary: 'Verdicts with leaning, ranges, what to confirm or drop, what to measure first',
      tag,
    },
    async ({ params }) => readings.json(store, 'firstAnswer', params.id!),
  )
  route(
    app,
    {
      method: 'post',
      path: `${id}/stoppers`,
      summary: 'Answer one of the twelve stopper questions',
      tag,
      body: stopperInput,
    },
    async ({ params, body }) => store.transaction((tx) => answerStopper(tx, params.id!, body)),
  )
  route(
    app,
    {
      method: 'get',
      path: `${id}/donors`,
      summary: 'Donors side by side: net cost with every term, risks of the sheet',
      tag,
    },
    async ({ params }) => readings.json(store, 'donors', params.id!),
  )
  route(
    app,
    {
      method: 'get',
      path: `${id}/donors/{donor}/sheet`,
      summary: "A donor's sheet for this build",
      tag,
    },
    async ({ params }) => readings.json(store, 'donorSheet', params.id!, params.donor!),
  )
  route(
    app,
    {
      method: 'patch',
      path: `${id}/donors/{donor}/sheet`,
      summary: 'Join answers into the sheet, question by question; sending again changes nothing',
      tag,
      body: sheetInput,
    },
    async ({ params, body }) => answerSheet(store, params.id!, params.donor!, body),
  )
  route(
    app,
    {
      method: 'get',
      path: `${id}/mating`,
      summary: 'The mating card of the chosen pairing, and what its answers say',
      tag,
    },
    async ({ params }) => readings.json(store, 'mating', params.id!),
  )
  route(
    app,
    {
      method: 'patch',
      path: `${id}/mating`,
      summary: 'Join answers into the mating card, question by question',
      tag,
      body: sheetInput,
    },
    async ({ params, body }) => answerMating(store, params.id!, body),
  )
  route(
    app,
    {
      method: 'post',
      path: '/joint-claims',
      summary: 'Record what is said of a joint, a kit or a finished build as a whole',
      tag,
      body: jointClaimInput,
    },
    async ({ body }) => addJointClaim(store, body),
  )
  route(
    app,
    {
      method: 'delete',
      path: '/joint-claims/{id}',
      summary: 'Move such a claim to the trash',
      tag,
    },
    async ({ params }) => ({
      trash: await store.transaction((tx) => tx.remove('jointClaim', params.id!)),
    }),
  )
  route(
    app,
    { method: 'get', path: id, summary: 'Header: totals, what is open, next action', tag },
    async ({ params }) => readings.json(store, 'header', params.id!),
  )
  route(
    app,
    { method: 'patch', path: id, summary: 'Change the brief', tag, body: buildPatch },
    async ({ params, body }) => {
      const { version, ...patch } = body as { version: number }
      return store.transaction((tx) => tx.update('build', params.id!, version, patch))
    },
  )
  route(
    app,
    { method: 'delete', path: id, summary: 'Move a build to the trash', tag },
    async ({ params }) => ({
      trash: await store.transaction((tx) => tx.remove('build', params.id!)),
    }),
  )
  route(
    app,
    {
      method: 'get',
      path: `${id}/pairings`,
      summary: 'The most promising pairings, a line each, of every engine with every transmission',
      tag,
      query: z.object({ most: z.coerce.number().int().min(1).max(2000).optional() }),
    },
    async ({ params, query }) => readings.json(store, 'pairings', params.id!, query.most),
  )
  route(
    app,
    {
      method: 'get',
      path: `${id}/pairing`,
      summary: 'One pairing whole: verdicts bare and closed, sets, drawing',
      tag,
      query: z.object({ engine: z.string(), transmission: z.string() }),
    },
    async ({ params, query }) =>
      readings.json(store, 'pairing', params.id!, query.engine, query.transmission),
  )
  route(
    app,
    {
      method: 'get',
      path: `${id}/shafts`,
      summary:
        'Propshaft or drive shafts of a pairing: halves off the shelf against one made to order, priced',
      tag,
      query: z.object({ engine: z.string(), transmission: z.string() }),
    },
    async ({ params, query }) =>
      readings.json(store, 'shafts', params.id!, query.engine, query.transmission),
  )
  route(
    app,
    {
      method: 'post',
      path: `${id}/pairing`,
      summary: 'Choose a pairing, or another closing set on it',
      tag,
      body: pairingChoice,
    },
    async ({ params, body }) =>
      choosePairing(store, params.id!, body, () =>
        readings.ask(store, 'closingSet', params.id!, body.engineId, body.transmissionId),
      ),
  )
  route(
    app,
    {
      method: 'post',
      path: `${id}/coupling`,
      summary: 'Change one piece of the coupling set',
      tag,
      body: couplingChoiceInput,
    },
    async ({ params, body }) => {
      await chooseCoupling(store, params.id!, body)
      return { done: true }
    },
  )
  route(
    app,
    {
      method: 'post',
      path: `${id}/coupling-kit`,
      summary: 'Take the coupling pieces of a kit on a pairing, each in place of its kind',
      tag,
      body: couplingKitInput,
    },
    async ({ params, body }) => chooseKit(store, params.id!, body),
  )
  route(
    app,
    { method: 'get', path: `${id}/parts`, summary: 'The parts list', tag },
    async ({ params }) => readings.json(store, 'parts', params.id!),
  )
  route(
    app,
    {
      method: 'post',
      path: `${id}/decisions`,
      summary: "Drop a line, price it, estimate it or keep the recipient's",
      tag,
      body: decisionInput,
    },
    async ({ params, body }) =>
      decide(store, params.id!, body, () => readings.ask(store, 'isLine', params.id!, body.needId)),
  )
  route(
    app,
    { method: 'delete', path: `${id}/decisions/{decision}`, summary: 'Take a decision back', tag },
    async ({ params }) => ({
      trash: await store.transaction((tx) => tx.remove('decision', params.decision!)),
    }),
  )
  route(
    app,
    { method: 'get', path: `${id}/sourcing`, summary: 'The plan as shown', tag },
    async ({ params }) => readings.json(store, 'sourcing', params.id!),
  )
  route(
    app,
    { method: 'post', path: `${id}/sourcing`, summary: 'Solve the sourcing: starts a job', tag },
    async ({ params }) => startSolve(store, jobs, params.id!),
  )
  route(
    app,
    {
      method: 'post',
      path: `${id}/locks`,
      summary: 'Lock an offer, a bundle or a supplier in or out',
      tag,
      body: lockInput,
    },
    async ({ params, body }) =>
      addLock(store, params.id!, body, (target) =>
        readings.ask(store, 'isSource', params.id!, target),
      ),
  )
  route(
    app,
    { method: 'delete', path: `${id}/locks/{lock}`, summary: 'Take a lock off', tag },
    async ({ params }) => ({
      trash: await store.transaction((tx) => tx.remove('sourcingLock', params.lock!)),
    }),
  )
  route(
    app,
    { method: 'get', path: `${id}/budget`, summary: 'Budget lines and totals', tag },
    async ({ params }) => readings.json(store, 'budget', params.id!),
  )
  return app
}
