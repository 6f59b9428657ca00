import { setImmediate } from 'node:timers/promises'
import {
  ChangedMeanwhile,
  type Landed,
  merge,
  type StagedRows,
  stage,
} from '../database/sqlite/stage.ts'
import type { Store } from '../database/store.ts'
import type { BadCell } from '../documents/offer-cells.ts'
import { ConflictError, UnprocessableError } from '../errors.ts'

/** What is told of a file whatever is in it. */
export interface Told {
  readonly rows: number
  readonly bad: readonly BadCell[]
  readonly badCount: number
}

/** Rows of a file looked up, batch by batch: what they would add or change. */
export interface Reading<C, P extends Told> {
  match(chunk: C, keep: boolean): Promise<void>
  end(keep: boolean): Promise<void>
  preview(): P
  staged(): StagedRows
  /** Whether so much of it is wrong that nothing is taken. */
  readonly isRefused: boolean
}
export type Chunks<C> = AsyncIterable<C> | Iterable<C>
export interface By {
  readonly who: string
  readonly command: string | null
}

/** What an import would do, without doing it; others are answered between its batches. */
export async function previewRows<C, P extends Told>(
  chunks: Chunks<C>,
  reading: Reading<C, P>,
): Promise<P> {
  for await (const chunk of chunks) {
    await reading.match(chunk, false)
    await setImmediate()
  }
  await reading.end(false)
  return reading.preview()
}

/** Where somebody changes what an import is about to change, it looks again; so often. */
const TRIES = 3

/**
 * Looks an import up, lays it ready beside the data, and lands it in one short merge; all or nothing.
 * @param start begins to look up, anew each time
 * @param land runs the merge when nobody else writes
 * @returns what it does, and what landed: null where it is refused, and nothing was written
 * @throws ConflictError when others change the same rows all the while
 */
export async function layRows<C, P extends Told>(
  store: Store,
  chunks: Chunks<C>,
  start: () => Reading<C, P>,
  by: By,
  land: (merge: () => Promise<Landed>) => Promise<Landed>,
): Promise<{ preview: P; landed: Landed | null }> {
  const read: C[] = []
  for await (const chunk of chunks) read.push(chunk)
  for (let attempt = 0; attempt < TRIES; attempt++) {
    const reading = start()
    for (const chunk of read) {
      await reading.match(chunk, true)
      await setImmediate()
    }
    await reading.end(true)
    const preview = reading.preview()
    if (reading.isRefused) return { preview, landed: null }
    await stage(store.knex, reading.staged(), by)
    try {
      return { preview, landed: await land(() => merge(store.knex)) }
    } catch (error) {
      if (!(error instanceof ChangedMeanwhile)) throw error
    }
  }
  throw new ConflictError(
    'Others change the same rows just now: nothing was imported. Try again in a moment.',
  )
}

/** @throws UnprocessableError listing every bad row */
export function refuseBad({ badCount, bad }: Told): void {
  if (badCount > 0)
    throw new UnprocessableError(
      `${badCount} ${badCount === 1 ? 'cell is' : 'cells are'} wrong: nothing was imported. Mend them and try again.`,
      bad.map((cell) => ({
        path: `line ${cell.line}${cell.column ? `, ${cell.column}` : ''}`,
        message: cell.message,
      })),
    )
}
