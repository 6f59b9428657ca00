import { streamSSE } from 'hono/streaming'
import { MissingError } from '../errors.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { route } from './route.ts'

export function jobRoutes({ jobs }: Services): App {
  const app = newRouter()
  const find = (id: string) => {
    const state = jobs.find(id)
    if (!state)
      throw new MissingError(
        'That job is not known: Junket was started anew since. Start it again.',
      )
    return state
  }
  route(
    app,
    { method: 'get', path: '/jobs/{id}', summary: 'State of a job', tag: 'Jobs' },
    async ({ params }) => find(params.id!),
  )
  route(
    app,
    {
      method: 'delete',
      path: '/jobs/{id}',
      summary: 'Cancel a job; the best plan so far is kept',
      tag: 'Jobs',
    },
    async ({ params }) => {
      find(params.id!)
      jobs.cancel(params.id!)
      await jobs.wait(params.id!)
      return find(params.id!)
    },
  )
  app.get('/jobs/:id/events', (c) => {
    const id = c.req.param('id')
    find(id)
    return streamSSE(c, async (stream) => {
      for (;;) {
        const state = find(id)
        await stream.writeSSE({
          event: 'state',
          data: JSON.stringify({
            ...state,
            elapsedMs: (state.endedAt ?? Date.now()) - state.startedAt,
          }),
        })
        if (state.status !== 'running' || stream.aborted) return
        await stream.sleep(250)
      }
    })
  })
  return app
}
