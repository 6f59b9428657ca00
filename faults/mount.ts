import { spawnSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const run = (command: string, ...args: string[]): boolean =>
  spawnSync(command, args, { stdio: 'ignore' }).status === 0

/** A small disk of its own in memory, where this machine lets one be mounted. */
export interface SmallDisk {
  readonly path: string
  readonly remount: (way: 'ro' | 'rw') => boolean
  readonly release: () => void
}

export function smallDisk(megabytes: number): SmallDisk | null {
  const path = mkdtempSync(join(tmpdir(), 'junket-disk-'))
  if (!run('mount', '-t', 'tmpfs', '-o', `size=${megabytes}m`, 'tmpfs', path)) return null
  return {
    path,
    remount: (way) => run('mount', '-o', `remount,${way}`, path),
    release: () => void run('umount', '-l', path),
  }
}

/** Runs work in a folder mounted one way; the reason where it could not be. */
export function mounted(way: 'ro' | 'rw', work: (path: string) => void): string | null {
  const disk = smallDisk(8)
  if (!disk) return 'no small disk can be mounted here'
  try {
    if (!disk.remount(way)) return `it cannot be mounted ${way} here`
    work(disk.path)
    return null
  } finally {
    disk.release()
  }
}
