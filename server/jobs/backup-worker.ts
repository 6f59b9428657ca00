import { type CopyTask, copyData } from '../database/sqlite/copy.ts'
import type { Inspection } from '../database/sqlite/inspect.ts'

/** The slow parts of keeping copies, on a thread of their own. */
export default async function backup(task: CopyTask): Promise<Inspection> {
  try {
    return await copyData(task)
  } catch (error) {
    // As an answer, not thrown: on its way to another thread an error loses its code.
    const { message, code = 'unknown' } = error as { message: string; code?: string }
    return { isSound: false, why: `could not be made (${message})`, code }
  }
}
