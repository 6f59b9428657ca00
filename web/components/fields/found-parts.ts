import { useEffect, useRef, useState } from 'react'
import type { Answer } from '../../../contract/asked.ts'
import { useAnswer } from '../../api/answer.ts'

/** Typing pauses for this long before it is searched for, ms. */
const PAUSE_MS = 150
/** As many as are listed; more words find fewer. */
const LISTED = 20

/** A value once it has stayed the same for a while. */
function useSettled<T>(value: T, ms: number): T {
  const [settled, settle] = useState(value)
  useEffect(() => {
    const timer = setTimeout(() => settle(value), ms)
    return () => clearTimeout(timer)
  }, [value, ms])
  return settled
}

/**
 * The first parts of the catalogue whose name or number holds some words; undefined until they are found.
 * @param kind only parts of this kind, or of these with commas between
 */
export function useFoundParts(
  isWanted: boolean,
  kind: string | undefined,
  words: string,
): Answer<'GET /parts'>['items'] | undefined {
  const q = useSettled(words.trim(), PAUSE_MS)
  const items = useAnswer(
    'GET /parts',
    isWanted ? { query: { limit: LISTED, kind, q: q || undefined } } : null,
  ).data?.items
  // What was found before stays while more is looked for: taken away under a finger, a press on it is lost.
  const before = useRef(items)
  if (items) before.current = items
  return items ?? before.current
}
