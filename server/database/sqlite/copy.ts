import { closeSync, copyFileSync, fsyncSync, openSync, renameSync, rmSync } from 'node:fs'
import Sqlite from 'better-sqlite3'
import { openDatabase } from './connection.ts'
import { type Inspection, inspectFile } from './inspect.ts'

export type CopyTask = {
  readonly kind: 'copy' | 'ready'
  readonly from: string
  readonly to: string
}

/** As many pages at once as any file has: the copy is of one moment, and ends however much is written meanwhile. */
const ALL_PAGES = 2 ** 31 - 1

/**
 * A copy of the data beside it. `copy`: the database as it is at one moment, checked whole, under its name only when it is
 * right. `ready`: a backup checked, copied, brought up to date, and checked again.
 */
export async function copyData({ kind, from, to }: CopyTask): Promise<Inspection> {
  const partial = `${to}.partial`
  try {
    if (kind === 'copy') {
      const source = new Sqlite(from, { readonly: true })
      try {
        await source.backup(partial, { progress: () => ALL_PAGES })
      } finally {
        source.close()
      }
    } else {
      const found = inspectFile(from, true)
      if (!found.isSound) return found
      copyFileSync(from, partial)
      await (await openDatabase(partial)).destroy()
    }
    settle(partial)
    const found = inspectFile(partial, true)
    if (found.isSound) renameSync(partial, to)
    return found
  } finally {
    for (const ending of ['', '-wal', '-shm', '-journal'])
      rmSync(`${partial}${ending}`, { force: true })
  }
}

/** Out of WAL mode, so that reading it later leaves nothing beside it; and on the disk, not only on its way there. */
function settle(file: string): void {
  const copy = new Sqlite(file)
  try {
    copy.pragma('journal_mode = DELETE')
  } finally {
    copy.close()
  }
  const handle = openSync(file, 'r+')
  try {
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
}
