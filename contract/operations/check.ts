import { items } from '../answers/basics.ts'
import { jointDescription } from '../answers/judging.ts'
import {
  checkJointRequest,
  checkJointResponse,
  checkPairingRequest,
  checkPairingResponse,
} from '../check.ts'
import type { Operations } from '../operation.ts'

/** Stateless: nothing is stored. */
export const checkOperations = {
  'POST /check/joint': {
    summary: 'Check one joint between two lists of ports',
    body: checkJointRequest,
    answer: checkJointResponse,
  },
  'POST /check/pairing': {
    summary: 'Check every joint of a pairing, and search the parts sent for sets that close it',
    body: checkPairingRequest,
    answer: checkPairingResponse,
  },
  'GET /joints': {
    summary: 'Every joint: what decides it, its limits, and how each field is measured',
    answer: items(jointDescription),
  },
} as const satisfies Operations
