const FULL = new Set(['SQLITE_FULL', 'ENOSPC', 'EDQUOT'])
const SHUT = new Set([
  'SQLITE_READONLY',
  'EROFS',
  'EACCES',
  'EPERM',
  'SQLITE_CANTOPEN',
  'SQLITE_PERM',
])

/**
 * What to do when the disk refuses a write: full, or not to be written to. Null for any other error. Nothing is lost by
 * it: what was acknowledged is on the disk, what was not is rolled back, and the next write finds the disk as it then is.
 */
export function storageFault(error: { code?: string }, folder: string): string | null {
  const code = error.code ?? ''
  if (FULL.has(code))
    return `The disk that holds ${folder} is full: this was not saved, and nothing saved before is lost. Make room there and do it again; Junket goes on by itself.`
  if ([...SHUT].some((one) => code === one || code.startsWith(`${one}_`)))
    return `${folder} cannot be written to just now: this was not saved, and nothing saved before is lost. Make the folder and its disk writable and do it again; Junket goes on by itself.`
  if (code.startsWith('SQLITE_IOERR'))
    return `The disk that holds ${folder} does not answer as it should: this was not saved. Check the disk, and keep a backup elsewhere before going on.`
  if (code === 'SQLITE_CORRUPT' || code === 'SQLITE_NOTADB')
    return `The data in ${folder} is damaged and could not be read here. Restore a backup under People and safekeeping, or stop Junket and start it again: it names the backups that are sound.`
  if (code === 'SQLITE_BUSY' || code === 'SQLITE_LOCKED')
    return `Another program holds the data in ${folder}: this was not saved. Close it and try again.`
  return null
}
