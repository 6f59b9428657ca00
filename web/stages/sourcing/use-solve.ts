import { useEffect, useState } from 'react'
import type { JobView } from '../../../contract/answers/planning.ts'
import { refresh } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'

/** Starts a solve and follows it by server-sent events; a job under way is picked up again after a reload. */
export function useSolve(build: string) {
  const key = `job:${build}`
  const [id, setId] = useState(sessionStorage.getItem(key))
  const [job, setJob] = useState<JobView | null>(null)
  useEffect(() => {
    if (!id) return
    const events = new EventSource(`/api/jobs/${id}/events`)
    const finish = (): void => {
      events.close()
      sessionStorage.removeItem(key)
      setId(null)
      void refresh()
    }
    events.addEventListener('state', (event) => {
      const state = JSON.parse(event.data) as JobView
      setJob(state)
      if (state.status !== 'running') finish()
    })
    events.onerror = finish
    return () => events.close()
  }, [id, key])
  const start = (): Promise<boolean> =>
    act(async () => {
      const made = await call('POST /builds/{id}/sourcing', { params: { id: build } })
      sessionStorage.setItem(key, made.id)
      setJob({ ...made, elapsedMs: 0 })
      setId(made.id)
    })
  const cancel = (): Promise<boolean> =>
    act(() => (id ? call('DELETE /jobs/{id}', { params: { id } }) : Promise.resolve()))
  return { job, start, cancel }
}
