import { closeSync, copyFileSync, fsyncSync, openSync, renameSync, rmSync } from 'node:fs'
import Sqlite from 'better-sqlite3'
import { openDatabase } from '../database/connection.ts'
import { type Inspection, inspectFile } from '../database/inspect.ts'

export type BackupTask = { readonly kind: 'copy'; readonly from: string; readonly to: string } | { readonly kind: 'ready'; readonly from: string; readonly to: string }

/** As many pages at once as any file has: the copy is of one moment, and ends however much is written meanwhile. */
const ALL_PAGES = 2 ** 31 - 1

/**
 * The slow parts of keeping copies, on a thread of their own. `copy`: the database as it is at one moment, checked whole,
 * under its name only when it is right. `ready`: a backup checked, copied, brought up to date, and checked again.
 */
export default async function backup(task: BackupTask): Promise<Inspection> {
  try {
    return await run(task)
  } catch (error) {
    // As an answer, not thrown: on its way to another thread an error loses its code.
    const { message, code = 'unknown' } = error as { message: string; code?: string }
    return { isSound: false, why: `could not be made (${message})`, code }
  }
}

async function run({ kind, from, to }: BackupTask): Promise<Inspection> {
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
    for (const ending of ['', '-wal', '-shm', '-journal']) rmSync(`${partial}${ending}`, { force: true })
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
