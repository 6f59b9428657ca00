import { items } from '../answers/basics.ts'
import { jointDescription } from '../answers/judging.ts'
import {
  checkJointRequest,
  checkJointResponse,
  checkPairingRequest,
  checkPairingResponse,
} from '../check.ts'
import {
  checkNumberRequest,
  checkNumberResponse,
  normaliseRequest,
  normaliseResponse,
} from '../numbers.ts'
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
  'POST /check/number': {
    summary:
      'Whether numbers had serve for a number wanted or an application, by the claims sent or the shop’s own: verdict, plan, path, what is open',
    body: checkNumberRequest,
    answer: checkNumberResponse,
  },
  'POST /normalise': {
    summary: 'Numbers as the rule of their issuer reads them; gtin and vin are known to everybody',
    body: normaliseRequest,
    answer: normaliseResponse,
  },
  'GET /joints': {
    summary: 'Every joint: what decides it, its limits, and how each field is measured',
    answer: items(jointDescription),
  },
} as const satisfies Operations
