import { useRef, useState } from 'react'
import { refresh } from '../../api/answer.ts'
import { ApiProblem } from '../../api/client.ts'
import type { Words } from './columns-form.tsx'

/** A file that was chosen, or text that was pasted. */
export interface Source {
  readonly text: string
  readonly file: File | null
}
const NOTHING: Source = { text: '', file: null }
const bodyOf = ({ text, file }: Source): Blob | null =>
  file ?? (text.trim() === '' ? null : new Blob([text]))

/** How a list is read: which head holds what, as suggested where nobody chose, and what counts for all rows. */
export interface HowRead {
  readonly columns: Words | null
  readonly instead: Words
}
/** What is found in it before it is taken in. */
export interface Looked {
  readonly heads: readonly string[]
  readonly columns: Words
  readonly added: number
  readonly updated: number
  readonly notes: readonly string[]
  readonly bad: readonly {
    readonly line: number
    readonly column: string
    readonly message: string
  }[]
  readonly badCount: number
}

/** A list being looked at, changed in how it is read, and taken in. */
export interface Importing<H extends HowRead, P extends Looked> {
  readonly source: Source
  readonly how: H
  readonly preview: P | null
  /** Why it is refused. */
  readonly said: string
  /** What was taken in last. */
  readonly done: P | null
  readonly pick: (source: Source) => void
  readonly change: (how: Partial<H>) => void
  readonly take: () => void
  readonly forget: () => void
}

/**
 * A list looked at whenever it, or how it is read, changes; taken in when that is asked.
 * @param known how a list of these heads was read before
 */
export function useImport<H extends HowRead, P extends Looked>({
  unread,
  look,
  take,
  known,
}: {
  unread: H
  look: (body: Blob, how: H) => Promise<P>
  take: (body: Blob, how: H) => Promise<unknown>
  known?: (heads: readonly string[]) => H | null
}): Importing<H, P> {
  const [source, setSource] = useState(NOTHING)
  const [how, setHow] = useState(unread)
  const [preview, setPreview] = useState<P | null>(null)
  const [said, setSaid] = useState('')
  const [done, setDone] = useState<P | null>(null)
  const newest = useRef(0)
  const run = async (work: () => Promise<void>): Promise<void> => {
    setSaid('')
    try {
      await work()
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      setSaid(error.message)
    }
  }
  const show = (next: Source, by: H): Promise<void> =>
    run(async () => {
      setDone(null)
      setSource(next)
      setHow(by)
      const body = bodyOf(next)
      const turn = ++newest.current
      let found = body ? await look(body, by) : null
      // What was asked before may be answered after.
      if (turn !== newest.current) return
      const before = found && by.columns === null ? known?.(found.heads) : null
      if (body && before) {
        setHow(before)
        found = await look(body, before)
        if (turn !== newest.current) return
      }
      setPreview(found)
    })
  return {
    source,
    how,
    preview,
    said,
    done,
    pick: (next) => void show(next, next.file ? unread : how),
    change: (part) => void show(source, { ...how, ...part }),
    take: () =>
      void run(async () => {
        const body = bodyOf(source)
        if (!body || !preview) return
        await take(body, { ...how, columns: preview.columns })
        await refresh()
        setSource(NOTHING)
        setHow(unread)
        setPreview(null)
        setDone(preview)
      }),
    forget: () => setDone(null),
  }
}
