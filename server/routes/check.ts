import {
  checkJointRequest,
  checkJointResponse,
  checkPairingRequest,
  checkPairingResponse,
} from '../../contract/check.ts'
import { JOINTS } from '../../core/joints/index.ts'
import { describeJoint } from '../../core/joints/judging/describe.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { checkOneJoint, checkOnePairing } from '../services/check.ts'
import { route } from './route.ts'

/** Stateless: nothing is stored. */
export function checkRoutes(_services: Services): App {
  const app = newRouter()
  route(
    app,
    {
      method: 'post',
      path: '/check/joint',
      summary: 'Check one joint between two lists of ports',
      tag: 'Check',
      body: checkJointRequest,
      answer: checkJointResponse,
    },
    async ({ body }) => checkOneJoint(body),
  )
  route(
    app,
    {
      method: 'post',
      path: '/check/pairing',
      summary: 'Check every joint of a pairing, and search the parts sent for sets that close it',
      tag: 'Check',
      body: checkPairingRequest,
      answer: checkPairingResponse,
    },
    async ({ body }) => checkOnePairing(body),
  )
  route(
    app,
    {
      method: 'get',
      path: '/joints',
      summary: 'Every joint: what decides it, its limits, and how each field is measured',
      tag: 'Check',
    },
    async () => ({
      items: JOINTS.map(describeJoint),
    }),
  )
  return app
}
