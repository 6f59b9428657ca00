import { useEffect, useRef, useState } from 'react'
import { refresh, refreshWhere } from './answer.ts'
import { isOwn } from './commands.ts'
import { showsChange } from './touched.ts'

const GATHER_MS = 120

/**
 * Listens to what others change and reads again what shows it; says whether the server is reached. What is being typed
 * stays: forms follow only in the fields nobody touched.
 */
export function useEvents(enabled: boolean): { isConnected: boolean } {
  const [isConnected, setConnected] = useState(true)
  const revision = useRef<number | null>(null)
  useEffect(() => {
    if (!enabled) return
    let timer: ReturnType<typeof setTimeout> | undefined
    const touched = new Set<string>()
    const readAgain = (tables: readonly string[]): void => {
      for (const table of tables) touched.add(table)
      clearTimeout(timer)
      timer = setTimeout(() => {
        const changed = [...touched]
        touched.clear()
        void refreshWhere((path) => showsChange(path, changed))
      }, GATHER_MS)
    }
    const source = new EventSource('/api/events')
    source.addEventListener('ready', (event) => {
      const now = (JSON.parse(event.data) as { revision: number }).revision
      if (revision.current !== null && revision.current !== now) void refresh()
      revision.current = now
      setConnected(true)
    })
    source.addEventListener('change', (event) => {
      const change = JSON.parse(event.data) as {
        revision: number
        command: string | null
        tables: string[]
      }
      revision.current = change.revision
      if (!isOwn(change.command)) readAgain(change.tables)
    })
    source.onerror = () => setConnected(false)
    return () => {
      clearTimeout(timer)
      source.close()
    }
  }, [enabled])
  return { isConnected }
}
