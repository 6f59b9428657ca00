import {
  accessSync,
  constants,
  existsSync,
  mkdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { dirname, join } from 'node:path'
import { inspectFile } from './database/sqlite/inspect.ts'
import backup from './jobs/backup-worker.ts'
import { backupFolder, backupName, keep, listBackups } from './services/keeping/backups.ts'

/** A start that cannot go on: which file, what is wrong, and what to do. */
export class StartFault extends Error {
  readonly exitCode: number
  constructor(message: string, exitCode = 3) {
    super(message)
    this.exitCode = exitCode
  }
}

export interface Opening {
  /** Folder of the data. */
  readonly data: string
  /** How it was started, for the command to try: `npm start` or `npm run demo`. */
  readonly command: string
  /** Begin with nothing though there are backups. */
  readonly isEmptyWanted?: boolean
  /** A backup to put in place first. */
  readonly restore?: string
}

/** Up to this size every start looks at every page; larger files are looked at with the backup of the day. */
const QUICK_BYTES = 64 * 1024 * 1024

/**
 * Makes sure that the data can be opened, and puts a backup in its place where one is asked for.
 * @returns the data file
 * @throws StartFault
 */
export async function openData(opening: Opening): Promise<string> {
  const { data } = opening
  makeFolder(data)
  const file = join(data, 'junket.sqlite')
  if (opening.restore !== undefined) await restoreBackup(opening, file, opening.restore)
  const isThere = existsSync(file)
  if (!isThere || statSync(file).size === 0) {
    if (opening.isEmptyWanted || listBackups(backupFolder(file)).length === 0) return file
    throw new StartFault(
      `${file} ${isThere ? 'is empty' : 'is not there'}, but there are backups of it.\n${wayOut(opening, file)}\nTo begin with nothing instead: ${commandWith(opening, '--empty')}`,
    )
  }
  const found =
    statSync(file).isFile() && statSync(file).size > QUICK_BYTES
      ? ({ isSound: true } as const)
      : inspectFile(file, false)
  if (!found.isSound)
    throw new StartFault(`${file} ${found.why}. It is left as it is.\n${wayOut(opening, file)}`)
  try {
    accessSync(file, constants.W_OK)
  } catch {
    throw new StartFault(
      `${file} cannot be written to. Give whoever starts Junket the right to write it, and start again.`,
    )
  }
  return file
}

function makeFolder(data: string): void {
  try {
    makeFolders(data)
    const probe = join(data, `.junket-${process.pid}`)
    writeFileSync(probe, '')
    rmSync(probe)
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException
    if (code === 'EEXIST' || code === 'ENOTDIR')
      throw new StartFault(
        `${data} is not a folder. Set JUNKET_DATA to a folder, or move what is in its place.`,
      )
    if (code === 'ENOSPC' || code === 'EDQUOT')
      throw new StartFault(
        `The disk that holds ${data} is full. Make room there and start again; nothing was changed.`,
      )
    throw new StartFault(
      `The folder ${data} cannot be written to (${code}). Make it and its disk writable, or set JUNKET_DATA to another, and start again; nothing was changed.`,
    )
  }
}

/** A passcode file that is none: said at the start, not when somebody wants in. */
export function checkPasscode(file: string): void {
  if (existsSync(file) && !/^\$argon2id\$/.test(readFileSync(file, 'utf8')))
    throw new StartFault(
      `${file} holds no passcode that can be read. Start with JUNKET_PASSCODE set to a new one, or remove the file and set one in Settings.`,
      2,
    )
}

/** One after the other: asked for all at once, the system call goes round for ever where a folder cannot be made at all. */
function makeFolders(path: string): void {
  if (existsSync(path)) return
  makeFolders(dirname(path))
  mkdirSync(path)
}

const commandWith = ({ command }: Opening, args: string): string =>
  `${process.env.JUNKET_DATA ? `JUNKET_DATA=${process.env.JUNKET_DATA} ` : ''}${command} -- ${args}`

/** Which backups are sound, and the command that restores the newest. */
function wayOut(opening: Opening, file: string): string {
  const folder = backupFolder(file)
  const checked = listBackups(folder)
    .slice(0, 20)
    .map((one) => ({ ...one, found: inspectFile(join(folder, one.name), true) }))
  const sound = checked.filter((one) => one.found.isSound)
  const damaged = checked.length - sound.length
  if (sound.length === 0)
    return checked.length === 0
      ? `There is no backup beside it, in ${folder}. Copy one there, or move ${file} away to begin with nothing.`
      : `None of the ${checked.length} newest backups in ${folder} is sound. Copy one there that is.`
  const listed = sound
    .slice(0, 5)
    .map((one) => `  ${one.name}, ${Math.max(1, Math.round(one.bytes / 1024))} kB`)
  return `Sound backups beside it, newest first${damaged > 0 ? ` (${damaged} more ${damaged === 1 ? 'is' : 'are'} not sound)` : ''}:\n${listed.join('\n')}\nTo put the newest in its place: ${commandWith(opening, `--restore ${sound[0]!.name}`)}`
}

/** Puts a backup in place before anything is opened; what stood there is kept beside the backups. */
async function restoreBackup(opening: Opening, file: string, name: string): Promise<void> {
  const folder = backupFolder(file)
  if (!listBackups(folder).some((one) => one.name === name))
    throw new StartFault(`There is no backup ${name} in ${folder}.\n${wayOut(opening, file)}`)
  const fresh = `${file}.restoring`
  const found = await backup({ kind: 'ready', from: join(folder, name), to: fresh })
  if (!found.isSound)
    throw new StartFault(
      `The backup ${name} ${found.why}. Nothing was changed.\n${wayOut(opening, file)}`,
    )
  const isSound = existsSync(file) && inspectFile(file, false).isSound
  if (isSound) {
    const kept = backupName('before-restore', new Date())
    const copied = await backup({ kind: 'copy', from: file, to: join(folder, kept) })
    if (copied.isSound) console.log(`The data as it was is kept as ${kept}.`)
  }
  if (existsSync(file) && !isSound) {
    const aside = `${file}.damaged-${new Date().toISOString().replace(/[:.]/g, '-')}`
    if (statSync(file).isFile()) keep(file, aside)
    else renameSync(file, aside)
    for (const ending of ['-wal', '-shm'])
      if (existsSync(`${file}${ending}`)) renameSync(`${file}${ending}`, `${aside}${ending}`)
    console.log(`What stood there is kept as ${aside}.`)
  }
  for (const ending of ['-wal', '-shm']) rmSync(`${file}${ending}`, { force: true })
  renameSync(fresh, file)
  console.log(`The backup ${name} is in place.`)
}
