import { useEffect, useRef, useState } from 'react'
import { isOwn } from './commands.ts'
import { refresh } from './hooks.ts'

const GATHER_MS = 120

/**
 * Listens to what others change and reads the screens again; says whether the server is reached. What is being typed
 * stays: forms follow only in the fields nobody touched.
 */
export function useEvents(enabled: boolean): { isConnected: boolean } {
  const [isConnected, setConnected] = useState(true)
  const revision = useRef<number | null>(null)
  useEffect(() => {
    if (!enabled) return
    let timer: ReturnType<typeof setTimeout> | undefined
    const readAgain = (): void => {
      clearTimeout(timer)
      timer = setTimeout(() => void refresh(), GATHER_MS)
    }
    const source = new EventSource('/api/events')
    source.addEventListener('ready', (event) => {
      const now = (JSON.parse(event.data) as { revision: number }).revision
      if (revision.current !== null && revision.current !== now) readAgain()
      revision.current = now
      setConnected(true)
    })
    source.addEventListener('change', (event) => {
      const change = JSON.parse(event.data) as { revision: number; command: string | null }
      revision.current = change.revision
      if (!isOwn(change.command)) readAgain()
    })
    source.onerror = () => setConnected(false)
    return () => {
      clearTimeout(timer)
      source.close()
    }
  }, [enabled])
  return { isConnected }
}
