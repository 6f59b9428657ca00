import { useEffect, useState } from 'react'
import { flushSync } from 'react-dom'

/** Whether the page is going to paper: all of it is drawn then, not only what is on screen. */
export function usePrinting(): boolean {
  const [isPrinting, setPrinting] = useState(false)
  useEffect(() => {
    const begin = (): void => flushSync(() => setPrinting(true))
    const end = (): void => setPrinting(false)
    window.addEventListener('beforeprint', begin)
    window.addEventListener('afterprint', end)
    return () => {
      window.removeEventListener('beforeprint', begin)
      window.removeEventListener('afterprint', end)
    }
  }, [])
  return isPrinting
}
