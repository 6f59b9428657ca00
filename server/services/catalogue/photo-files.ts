import { existsSync, mkdirSync } from 'node:fs'
import { copyFile, link, readdir, readFile, rename, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { ConflictError, MissingError } from '../../errors.ts'

/** Where the pictures of some data stand: beside it. */
export const photoFolder = (data: string): string => join(data, 'photos')

const HASH = /^[0-9a-f]{64}$/
const nameOf = (hash: string, ending: 'jpg' | 'webp'): string => {
  if (!HASH.test(hash)) throw new MissingError('There is no such picture.')
  return `${hash}.${ending}`
}

/**
 * Pictures in a folder, each under the hash of what is in it: written once, never changed, so that a backup needs only a
 * second name for each.
 */
export class PhotoFiles {
  readonly folder: string

  constructor(folder: string) {
    this.folder = folder
  }

  has(hash: string): boolean {
    return existsSync(join(this.folder, nameOf(hash, 'jpg')))
  }

  /** Writes a picture and its thumbnail, whole or not at all; one that is there stays. */
  async put(hash: string, image: Uint8Array, thumb: Uint8Array): Promise<void> {
    mkdirSync(this.folder, { recursive: true })
    // The picture last: where it stands, its thumbnail does too.
    for (const [ending, bytes] of [
      ['webp', thumb],
      ['jpg', image],
    ] as const) {
      const file = join(this.folder, nameOf(hash, ending))
      if (existsSync(file)) continue
      const partial = `${file}.${process.pid}.partial`
      await writeFile(partial, bytes, { flush: true })
      await rename(partial, file)
    }
  }

  /** @throws MissingError where it came without its file */
  read(hash: string, ending: 'jpg' | 'webp'): Promise<Buffer> {
    return readFile(join(this.folder, nameOf(hash, ending))).catch(() => {
      throw new MissingError(
        'This picture is not here: the build was read without its photos. Read it in again from a zip with photos.',
      )
    })
  }

  /** Gives every picture a second name in another folder; those it has stay. */
  async copyTo(folder: string): Promise<void> {
    if (!existsSync(this.folder)) return
    mkdirSync(folder, { recursive: true })
    const there = new Set(await readdir(folder))
    for (const name of await readdir(this.folder)) {
      if (name.endsWith('.partial') || there.has(name)) continue
      const [from, to] = [join(this.folder, name), join(folder, name)]
      await link(from, to).catch(() => copyFile(from, to))
    }
  }
}

/** Where pictures are kept. @throws ConflictError for data held in memory */
export function keptPhotos<P>(photos: P | undefined): P {
  if (!photos) throw new ConflictError('Data held in memory keeps no pictures.')
  return photos
}
