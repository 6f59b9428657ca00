import { useEffect, useRef } from 'react'
import { usePageKey } from '../use-page-key.ts'
import type { Entry } from './groups.tsx'

interface Shown<R> {
  readonly id: string
  readonly original: R
}

/** Moves the mark through the rows as they are shown, and keeps the marked row in view. */
export function useMarking<R, S extends Shown<R>>({
  shown,
  entries,
  marked,
  onMark,
  reveal,
}: {
  shown: readonly S[]
  entries: readonly Entry<S>[]
  marked: string | null | undefined
  onMark: ((row: R) => void) | undefined
  reveal: (index: number) => void
}): void {
  const step = (by: number): void => {
    const next = shown.findIndex(({ id }) => id === marked) + by
    const row = shown[Math.max(0, Math.min(shown.length - 1, next))]
    if (row) onMark?.(row.original)
  }
  const isOn = { enabled: onMark !== undefined }
  usePageKey('j', () => step(1), isOn)
  usePageKey('k', () => step(-1), isOn)
  const at = marked ? entries.findIndex(({ row }) => row?.id === marked) : -1
  // Once for each row that is marked: rows put in another order meanwhile do not take the list from under a reader.
  const revealed = useRef<string | null>(null)
  useEffect(() => {
    if (at < 0 || revealed.current === marked) return
    revealed.current = marked ?? null
    reveal(at)
  }, [marked, at, reveal])
}
