import { useEffect, useState } from 'react'
import type { JobView } from '../../../contract/answers/planning.ts'
import { refresh, useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'

/**
 * Starts a solve and follows it by server-sent events. One under way is found again, whoever started it: after a reload, in
 * another window, or when the connection is back.
 */
export function useSolve(build: string) {
  const [id, setId] = useState<string | null>(null)
  const [job, setJob] = useState<JobView | null>(null)
  const underWay = useAnswer('GET /builds/{id}/sourcing/job', { params: { id: build } })
  const found = underWay.data?.job?.id ?? null
  useEffect(() => {
    if (found) setId(found)
  }, [found])
  useEffect(() => {
    if (!id) return
    const events = new EventSource(`/api/jobs/${id}/events`)
    const finish = (): void => {
      events.close()
      setId(null)
      void refresh()
    }
    events.addEventListener('state', (event) => {
      const state = JSON.parse(event.data) as JobView
      setJob(state)
      if (state.status !== 'running') finish()
    })
    // A lost connection is tried again by itself; closed means the job is not known any more.
    events.onerror = () => {
      if (events.readyState === EventSource.CLOSED) {
        setJob(null)
        finish()
      }
    }
    return () => events.close()
  }, [id])
  const start = (): Promise<boolean> =>
    act(async () => {
      const made = await call('POST /builds/{id}/sourcing', { params: { id: build } })
      setJob({ ...made, elapsedMs: 0 })
      setId(made.id)
    })
  const cancel = (): Promise<boolean> =>
    act(() => (id ? call('DELETE /jobs/{id}', { params: { id } }) : Promise.resolve()))
  return { job, start, cancel }
}
