import { planOperations } from '../../contract/operations/plan.ts'
import { factNamed } from '../../core/facts/aliases.ts'
import type { Fact, FactKey as PairingKey } from '../../core/needs/from-pairing/facts.ts'
import type { KnownFacts } from '../../core/needs/line-list.ts'
import { planNeeds } from '../../core/needs/plan-needs.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { serve } from './serve.ts'

/** Stateless: nothing is stored. The solve runs in a worker and stops when the caller leaves. */
export const planRoutes = ({ jobs }: Services): App =>
  serve(newRouter(), 'Plan', planOperations, {
    'POST /plan/needs': async ({ body: { facts, joints = [], recipes = [] } }) => {
      const known: Record<string, KnownFacts[keyof KnownFacts]> = {}
      const pairing: Fact[] = []
      for (const { key, value, grade } of facts) {
        const fact = factNamed(key)
        const said = typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value)
        if (fact) known[fact] = { value: said, ...(grade === 'assumed' ? { isAssumed: true } : {}) }
        if (!fact || key === 'gearbox.type') pairing.push({ key: key as PairingKey, value })
      }
      const { needs, folded } = planNeeds({ facts: known, pairing, joints, recipes })
      return { needs, folded }
    },
    'POST /plan/sourcing': async ({ body: { timeLimitMs = 30_000, ...problem }, c }) =>
      jobs.solve(problem, timeLimitMs, c.req.raw.signal),
  })
