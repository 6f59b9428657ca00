import { setImmediate } from 'node:timers/promises'
import { Spool } from '../../database/sqlite/spool.ts'
import {
  ChangedMeanwhile,
  type Landed,
  type StagedRows,
  Staging,
} from '../../database/sqlite/stage.ts'
import type { Store } from '../../database/store.ts'
import type { BadCell } from '../../documents/offer-cells.ts'
import { ConflictError, UnprocessableError } from '../../errors.ts'

/** What is told of a file whatever is in it. */
export interface Told {
  readonly rows: number
  readonly bad: readonly BadCell[]
  readonly badCount: number
}

/** Rows of a file looked up, batch by batch: what they would add or change. */
export interface Reading<C, P extends Told> {
  match(chunk: C): Promise<void>
  end(): Promise<void>
  preview(): P
  /** What is to be written of all that was looked up since it was last asked. */
  take(): StagedRows
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
    await reading.match(chunk)
    reading.take()
    await setImmediate()
  }
  await reading.end()
  return reading.preview()
}

/** Where somebody changes what is about to be changed, it is looked up again; so often. */
const TRIES = 3

/**
 * Lays rows ready beside the data and lands them in one short merge, all or nothing; anew where others change the same rows.
 * @param prepare looks up and lays ready; null where nothing is to be written
 * @param land runs the merge when nobody else writes
 * @throws ConflictError when others change the same rows all the while
 */
export async function layAndLand<T>(
  store: Store,
  by: By,
  prepare: (staging: Staging) => Promise<{ readonly told: T; readonly isRefused: boolean }>,
  land: (merge: () => Promise<Landed>) => Promise<Landed>,
): Promise<{ told: T; landed: Landed | null }> {
  for (let attempt = 0; attempt < TRIES; attempt++) {
    const staging = new Staging(store.knex, by)
    try {
      const { told, isRefused } = await prepare(staging)
      return { told, landed: isRefused ? null : await land(() => staging.land()) }
    } catch (error) {
      if (!(error instanceof ChangedMeanwhile)) throw error
    } finally {
      await staging.close()
    }
  }
  throw new ConflictError(
    'Others change the same rows just now: nothing was written. Try again in a moment.',
  )
}

/**
 * Looks an import up and lands it, all or nothing.
 * @param start begins to look up, anew each time
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
  // Put by for another try.
  const read = new Spool<C>(store.knex)
  async function* fresh(): AsyncGenerator<C> {
    for await (const chunk of chunks) {
      await read.put(chunk)
      yield chunk
    }
  }
  let attempt = 0
  try {
    const { told, landed } = await layAndLand(
      store,
      by,
      async (staging) => {
        const reading = start()
        const isFirst = attempt++ === 0
        for await (const chunk of isFirst ? fresh() : read.values()) {
          await reading.match(chunk)
          // What is refused already is only looked through for what else is wrong.
          const rows = reading.take()
          if (!reading.isRefused) await staging.add(rows)
          await setImmediate()
        }
        await reading.end()
        await staging.add(reading.take())
        return { told: reading.preview(), isRefused: reading.isRefused }
      },
      land,
    )
    return { preview: told, landed }
  } finally {
    await read.close()
  }
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
