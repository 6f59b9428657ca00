import { useCallback, useMemo, useState } from 'react'
import type { PartLine } from '../../../contract/answers/planning.ts'

interface Looked {
  /** Words by id, so that what went can be named. */
  readonly lines: Readonly<Record<string, string>>
}

const keyOf = (build: string): string => `looked:${build}`
const readLooked = (build: string): Looked | null => {
  try {
    return JSON.parse(localStorage.getItem(keyOf(build)) ?? 'null')
  } catch {
    return null
  }
}

/** What came to a list and what went since this browser last looked at it; marked as seen when somebody says so. */
export function useSinceLooked(
  build: string,
  lines: readonly PartLine[],
): {
  readonly came: ReadonlySet<string>
  readonly went: readonly string[]
  readonly markSeen: () => void
} {
  const [looked, setLooked] = useState(() => readLooked(build))
  const now = useMemo(() => Object.fromEntries(lines.map(({ id, words }) => [id, words])), [lines])
  const changed = useMemo(() => {
    const was = looked?.lines
    return {
      came: new Set(was ? Object.keys(now).filter((id) => !Object.hasOwn(was, id)) : []),
      went: was
        ? Object.entries(was).flatMap(([id, words]) => (Object.hasOwn(now, id) ? [] : [words]))
        : [],
    }
  }, [looked, now])
  const markSeen = useCallback((): void => {
    const next = { lines: now }
    localStorage.setItem(keyOf(build), JSON.stringify(next))
    setLooked(next)
  }, [build, now])
  return { ...changed, markSeen }
}
