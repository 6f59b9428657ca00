import { buffer } from 'node:stream/consumers'
import { type Entry, fromBufferPromise, type ZipFile } from 'yauzl'
import { FILE_LIMITS } from '../../contract/files.ts'
import { FileFault } from './file-fault.ts'
import { hashOf, isKept } from './photo.ts'

/** The document in a zip of a build with its photos. */
export const DOCUMENT = 'build.json'
/** Where a picture stands in it. */
export const photoPath = (hash: string): string => `photos/${hash}.jpg`

const PHOTO = /^photos\/([0-9a-f]{64})\.jpg$/
const MOST_ENTRIES = 5000
/** Inflated, all of it together. */
const MOST_BYTES = 4 * FILE_LIMITS.bytes

/** Whether a file begins as a zip does. */
export const isZip = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4

/** A zip of a build taken apart. */
export interface BuildZip {
  readonly document: Uint8Array
  readonly photos: ReadonlyMap<string, Uint8Array>
}

/**
 * Reads a zip of a build with its photos. Sizes are read from its directory and held to while it inflates; nothing is
 * written by a name that stands in it.
 * @throws FileFault
 */
export async function readBuildZip(bytes: Uint8Array): Promise<BuildZip> {
  const zip = await fromBufferPromise(Buffer.from(bytes), {
    validateEntrySizes: true,
    strictFileNames: true,
  }).catch(broken)
  if (zip.entryCount > MOST_ENTRIES)
    throw new FileFault(`The zip holds more than ${MOST_ENTRIES} files. Send the build in parts.`)
  let document: Uint8Array | null = null
  let total = 0
  const photos = new Map<string, Uint8Array>()
  try {
    for await (const entry of zip.eachEntry()) {
      total += entry.uncompressedSize
      if (total > MOST_BYTES)
        throw new FileFault(
          `Unpacked the zip is larger than ${MOST_BYTES / 1024 / 1024} MB. Send the build in parts.`,
        )
      const hash = PHOTO.exec(entry.fileName)?.[1]
      if (entry.fileName === DOCUMENT) document = await inflate(zip, entry)
      else if (hash) photos.set(hash, await checked(hash, await inflate(zip, entry)))
    }
  } catch (error) {
    broken(error)
  }
  if (!document) throw new FileFault(`There is no ${DOCUMENT} in the zip: it is none of Junket's.`)
  return { document, photos }
}

const inflate = async (zip: ZipFile, entry: Entry): Promise<Buffer> =>
  buffer(await zip.openReadStreamPromise(entry))

async function checked(hash: string, bytes: Buffer): Promise<Buffer> {
  if (hashOf(bytes) !== hash || !(await isKept(bytes)))
    throw new FileFault(`${photoPath(hash)} in the zip is not the picture its name says.`)
  return bytes
}

function broken(error: unknown): never {
  if (error instanceof FileFault) throw error
  throw new FileFault(`The zip cannot be read: ${(error as Error).message}.`)
}
