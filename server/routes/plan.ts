import { planOperations } from '../../contract/operations/plan.ts'
import { planNeeds } from '../../core/needs/fixpoint.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { serve } from './serve.ts'

/** Stateless: nothing is stored. The solve runs in a worker and stops when the caller leaves. */
export const planRoutes = ({ jobs }: Services): App =>
  serve(newRouter(), 'Plan', planOperations, {
    'POST /plan/needs': async ({ body: { facts, joints = [], recipes = [] } }) => ({
      needs: planNeeds(facts, joints, recipes),
    }),
    'POST /plan/sourcing': async ({ body: { timeLimitMs = 30_000, ...problem }, c }) =>
      jobs.solve(problem, timeLimitMs, c.req.raw.signal),
  })
