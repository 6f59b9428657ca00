import { streamSSE } from 'hono/streaming'
import { jobOperations } from '../../contract/operations/jobs.ts'
import { MissingError } from '../errors.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { serve } from './serve.ts'

export function jobRoutes({ jobs }: Services): App {
  const find = (id: string) => {
    const state = jobs.find(id)
    if (!state)
      throw new MissingError(
        'That job is not known: Junket was started anew since. Start it again.',
      )
    return state
  }
  return serve(newRouter(), 'Jobs', jobOperations, {
    'GET /jobs/{id}': async ({ params }) => find(params.id),
    'DELETE /jobs/{id}': async ({ params }) => {
      find(params.id)
      jobs.cancel(params.id)
      await jobs.wait(params.id)
      return find(params.id)
    },
    'GET /jobs/{id}/events': async ({ params, c }) => {
      find(params.id)
      return streamSSE(c, async (stream) => {
        for (;;) {
          const state = find(params.id)
          const elapsedMs = (state.endedAt ?? Date.now()) - state.startedAt
          await stream.writeSSE({ event: 'state', data: JSON.stringify({ ...state, elapsedMs }) })
          if (state.status !== 'running' || stream.aborted) return
          await stream.sleep(250)
        }
      })
    },
  })
}
