import {
  planNeedsRequest,
  planNeedsResponse,
  planSourcingRequest,
  planSourcingResponse,
} from '../../contract/plan.ts'
import { planNeeds } from '../../core/needs/fixpoint.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { route } from './route.ts'

/** Stateless: nothing is stored. The solve runs in a worker and stops when the caller leaves. */
export function planRoutes({ jobs }: Services): App {
  const app = newRouter()
  route(
    app,
    {
      method: 'post',
      path: '/plan/needs',
      summary: 'Needs that follow from facts and joints, to the end of each chain',
      tag: 'Plan',
      body: planNeedsRequest,
      answer: planNeedsResponse,
    },
    async ({ body }) => ({
      needs: planNeeds(body.facts, (body.joints ?? []) as never, body.recipes ?? []),
    }),
  )
  route(
    app,
    {
      method: 'post',
      path: '/plan/sourcing',
      summary: 'The cheapest exact choice of sources',
      tag: 'Plan',
      body: planSourcingRequest,
      answer: planSourcingResponse,
    },
    async ({ body, c }) => {
      const { timeLimitMs = 30_000, ...problem } = body
      return jobs.solve(problem, timeLimitMs, c.req.raw.signal)
    },
  )
  return app
}
