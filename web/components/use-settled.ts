import { useEffect, useState } from 'react'

/** What is typed, once nobody has typed for a moment. */
export function useSettled<T>(value: T, afterMs = 250): T {
  const [settled, settle] = useState(value)
  const key = JSON.stringify(value)
  useEffect(() => {
    const timer = setTimeout(() => settle(JSON.parse(key) as T), afterMs)
    return () => clearTimeout(timer)
  }, [key, afterMs])
  return settled
}
