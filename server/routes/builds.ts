import { buildOperations } from '../../contract/operations/builds.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { changeBuild } from '../services/builds/change-build.ts'
import { copyBuild } from '../services/builds/copy-build.ts'
import { addJointClaim, answerStopper } from '../services/builds/joint-claims.ts'
import { chooseCoupling, chooseKit, choosePairing } from '../services/choosing/pairing-choice.ts'
import { reopenChoice, sayWhy, seeChoice } from '../services/choosing/pairing-reasons.ts'
import { startBuild } from '../services/choosing/start.ts'
import { decide } from '../services/planning/decisions.ts'
import { answerSheet } from '../services/planning/donors.ts'
import { addLock } from '../services/planning/locks.ts'
import { answerMating } from '../services/planning/mating.ts'
import { startSolve } from '../services/planning/solve.ts'
import { changedByUpgrade, seeUpgrade } from '../services/trains/judged-pairings.ts'
import { DONE, toTrash } from './plain-answers.ts'
import { serve } from './serve.ts'

export function buildRoutes({ store, jobs }: Services): App {
  const { readings } = jobs
  return serve(newRouter(), 'Builds', buildOperations, {
    'GET /builds': async () => readings.json(store, 'builds'),
    'POST /builds': async ({ body }) => store.transaction((tx) => tx.insert('build', body)),
    'POST /builds/start': async ({ body }) => startBuild(store, body),
    'GET /builds/{id}': async ({ params }) => readings.json(store, 'header', params.id),
    'PATCH /builds/{id}': async ({ params, body }) => changeBuild(store, params.id, body),
    'DELETE /builds/{id}': async ({ params }) => toTrash(store, 'build', params.id),
    'GET /builds/{id}/first-answer': async ({ params }) =>
      readings.json(store, 'firstAnswer', params.id),
    'POST /builds/{id}/stoppers': async ({ params, body }) =>
      store.transaction((tx) => answerStopper(tx, params.id, body)),
    'GET /builds/{id}/donors': async ({ params }) => readings.json(store, 'donors', params.id),
    'GET /builds/{id}/donors/{donor}/sheet': async ({ params }) =>
      readings.json(store, 'donorSheet', params.id, params.donor),
    'PATCH /builds/{id}/donors/{donor}/sheet': async ({ params, body }) =>
      answerSheet(store, params.id, params.donor, body),
    'GET /builds/{id}/mating': async ({ params }) => readings.json(store, 'mating', params.id),
    'PATCH /builds/{id}/mating': async ({ params, body }) => answerMating(store, params.id, body),
    'POST /joint-claims': async ({ body }) => addJointClaim(store, body),
    'DELETE /joint-claims/{id}': async ({ params }) => toTrash(store, 'jointClaim', params.id),
    'GET /builds/{id}/measure-next': async ({ params }) =>
      readings.json(store, 'measureNext', params.id),
    'POST /builds/{id}/measure-next': async ({ params, body }) =>
      readings.json(store, 'measureNextTyped', params.id, body.typed),
    'GET /builds/{id}/pairings': async ({ params, query }) =>
      readings.json(store, 'pairings', params.id, query.school),
    'POST /builds/{id}/pairing-figures': async ({ params, body }) =>
      jobs.explorer.json(store, 'pairingFigures', params.id, body.school, body.pairs),
    'GET /builds/{id}/pairing-working': async ({ params, query }) =>
      readings.json(
        store,
        'pairingWorking',
        params.id,
        query.school,
        {
          engineId: query.engine,
          transmissionId: query.transmission,
          transferId: query.transfer ?? null,
        },
        query.figure,
      ),
    'GET /builds/{id}/pairing': async ({ params, query }) =>
      readings.json(
        store,
        'pairing',
        params.id,
        query.engine,
        query.transmission,
        query.transfer ?? null,
        query.school,
      ),
    'GET /builds/{id}/judged': async ({ params }) => ({
      items: await changedByUpgrade(store, params.id),
    }),
    'POST /builds/{id}/judged/seen': async ({ params }) => {
      await seeUpgrade(store, params.id)
      return DONE
    },
    'GET /builds/{id}/shafts': async ({ params, query }) =>
      readings.json(store, 'shafts', params.id, query.engine, query.transmission),
    'POST /builds/{id}/pairing': async ({ params, body }) =>
      choosePairing(
        store,
        params.id,
        body,
        () =>
          readings.ask(
            store,
            'closingSet',
            params.id,
            body.engineId,
            body.transmissionId,
            body.school,
          ),
        (pair) => readings.ask(store, 'reasonsFor', params.id, pair, null, body.school),
      ),
    'DELETE /builds/{id}/pairing': async ({ params }) => {
      await reopenChoice(store, params.id)
      return DONE
    },
    'GET /builds/{id}/choice': async ({ params }) => readings.json(store, 'choice', params.id),
    'POST /builds/{id}/choice': async ({ params, body }) => {
      await sayWhy(store, params.id, body.because)
      return DONE
    },
    'POST /builds/{id}/choice/seen': async ({ params, body }) => {
      await seeChoice(store, params.id, body)
      return DONE
    },
    'POST /builds/{id}/copy': async ({ params, body }) =>
      copyBuild(store, params.id, body.name, body.isBranch),
    'GET /builds/{id}/against/{other}': async ({ params }) =>
      readings.json(store, 'against', params.id, params.other),
    'GET /builds/{id}/summary': async ({ params }) => readings.json(store, 'summary', params.id),
    'POST /builds/{id}/coupling': async ({ params, body }) => {
      await chooseCoupling(store, params.id, body)
      return DONE
    },
    'POST /builds/{id}/coupling-kit': async ({ params, body }) => chooseKit(store, params.id, body),
    'GET /builds/{id}/parts': async ({ params }) => readings.json(store, 'parts', params.id),
    'POST /builds/{id}/decisions': async ({ params, body }) =>
      decide(store, params.id, body, () =>
        readings.ask(store, 'lineStanding', params.id, body.needId),
      ),
    'DELETE /builds/{id}/decisions/{decision}': async ({ params }) =>
      toTrash(store, 'decision', params.decision),
    'GET /builds/{id}/sourcing': async ({ params }) => readings.json(store, 'sourcing', params.id),
    'POST /builds/{id}/sourcing': async ({ params }) => startSolve(store, jobs, params.id),
    'GET /builds/{id}/sourcing/job': async ({ params }) => ({
      job: jobs.running('sourcing', params.id),
    }),
    'POST /builds/{id}/locks': async ({ params, body }) =>
      addLock(store, params.id, body, (target) =>
        readings.ask(store, 'isSource', params.id, target),
      ),
    'DELETE /builds/{id}/locks/{lock}': async ({ params }) =>
      toTrash(store, 'sourcingLock', params.lock),
    'GET /builds/{id}/budget': async ({ params }) => readings.json(store, 'budget', params.id),
  })
}
