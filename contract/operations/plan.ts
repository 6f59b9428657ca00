import type { Operations } from '../operation.ts'
import { planNeedsRequest, planNeedsResponse, planSourcingRequest } from '../plan.ts'
import { sourcedPlan } from '../sourced-plan.ts'

/** Stateless: nothing is stored. */
export const planOperations = {
  'POST /plan/needs': {
    summary: 'Needs that follow from facts and joints, to the end of each chain',
    body: planNeedsRequest,
    answer: planNeedsResponse,
  },
  'POST /plan/sourcing': {
    summary: 'The cheapest exact choice of sources',
    body: planSourcingRequest,
    answer: sourcedPlan,
  },
} as const satisfies Operations
