import { useSearchParams } from 'react-router'

/** What to change in the address; null takes a word out of it. */
export type Change = Readonly<Record<string, string | null>>

/**
 * What a page shows, held in its address, so that a link, a reload and Back show the same. A change is drawn at once:
 * drawn later, what a second key starts from would be the page before the first.
 */
export function useAddress(): readonly [URLSearchParams, (change: Change) => void] {
  const [params, setParams] = useSearchParams()
  const change = (next: Change): void =>
    setParams(
      (before) => {
        const after = new URLSearchParams(before)
        for (const [name, value] of Object.entries(next))
          if (value === null || value === '') after.delete(name)
          else after.set(name, value)
        return after
      },
      { replace: true, flushSync: true },
    )
  return [params, change]
}
