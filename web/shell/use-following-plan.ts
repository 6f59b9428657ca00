import { useEffect, useRef } from 'react'
import type { BuildHeader } from '../../contract/answers/builds.ts'
import { call } from '../api/client.ts'

/** Several changes in a row are followed once. */
const SETTLE_MS = 2500

/**
 * The plan of sources follows what changes: once a build has one, it is solved again in the background a moment after the
 * last change, and the figures before it stay marked until then. Where somebody is choosing sources they say when.
 *
 * @param isPaused while sources are being chosen
 */
export function useFollowingPlan(header: BuildHeader | undefined, isPaused: boolean): void {
  const tried = useRef('')
  const build = header?.build.id
  const totals = header?.totals
  const isBehind =
    totals !== undefined && totals !== null && totals.planMinor !== null && !totals.planIsCurrent
  // What could not be solved is not tried again until something else changes.
  const state = isBehind ? JSON.stringify([build, totals]) : ''
  useEffect(() => {
    if (!build || state === '' || isPaused || tried.current === state) return
    const timer = setTimeout(() => {
      tried.current = state
      // Refused or cut off, the page says already that the plan is of before.
      void call('POST /builds/{id}/sourcing', { params: { id: build } }).catch(() => undefined)
    }, SETTLE_MS)
    return () => clearTimeout(timer)
  }, [build, state, isPaused])
}
