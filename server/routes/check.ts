import { checkOperations } from '../../contract/operations/check.ts'
import { JOINTS } from '../../core/joints/index.ts'
import { describeJoint } from '../../core/joints/judging/describe.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { checkOneJoint, checkOnePairing } from '../services/trains/check.ts'
import { serve } from './serve.ts'

/** Stateless: nothing is stored. */
export const checkRoutes = ({ store, jobs: { readings } }: Services): App =>
  serve(newRouter(), 'Check', checkOperations, {
    'POST /check/joint': async ({ body }) => checkOneJoint(body),
    'POST /check/pairing': async ({ body }) => checkOnePairing(body),
    'POST /check/number': async ({ body }) => readings.json(store, 'checkNumber', body),
    'POST /normalise': async ({ body }) => readings.json(store, 'normalise', body),
    'GET /joints': async () => ({ items: JOINTS.map(describeJoint) }),
  })
