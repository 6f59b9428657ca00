import { createHash } from 'node:crypto'
import readExif from 'exif-reader'
import sharp from 'sharp'
import { PHOTO_LIMITS } from '../../contract/files.ts'
import { FileFault } from './file-fault.ts'

/** A picture as it is kept. */
export interface KeptPhoto {
  /** SHA-256 of the image, in hexadecimal. */
  readonly hash: string
  /** JPEG, upright, its longer edge at most 2,560 px; of what the camera wrote only the moment. */
  readonly image: Uint8Array
  /** WebP, its longer edge at most 320 px. */
  readonly thumb: Uint8Array
  readonly widthPx: number
  readonly heightPx: number
  /** When it was taken by the camera's clock, `2026-03-14T09:05:00`; null where it does not say. */
  readonly takenAt: string | null
}

const FORMATS: readonly string[] = ['jpeg', 'png', 'webp']
const limits = { limitInputPixels: PHOTO_LIMITS.pixels, failOn: 'error' } as const

export const hashOf = (bytes: Uint8Array): string =>
  createHash('sha256').update(bytes).digest('hex')

/** Reads a JPEG, PNG or WebP, told by its content, and makes of it what is kept. @throws FileFault */
export async function keepPhoto(bytes: Uint8Array): Promise<KeptPhoto> {
  const { format, exif } = await metadataOf(bytes)
  if (!FORMATS.includes(format))
    throw new FileFault('This is no JPEG, PNG or WebP. Save the picture as one of them.')
  const takenAt = exif ? momentOf(exif) : null
  const upright = sharp(bytes, limits)
    .autoOrient()
    .resize({
      width: PHOTO_LIMITS.edgePx,
      height: PHOTO_LIMITS.edgePx,
      fit: 'inside',
      withoutEnlargement: true,
    })
    .flatten({ background: '#ffffff' })
  const dated = takenAt
    ? upright.withExif({ IFD0: { DateTime: takenAt.replaceAll('-', ':').replace('T', ' ') } })
    : upright
  const { data, info } = await dated
    .jpeg({ quality: 85, mozjpeg: false })
    .toBuffer({ resolveWithObject: true })
    .catch(unreadable)
  return {
    hash: hashOf(data),
    image: data,
    thumb: await thumbOf(data),
    widthPx: info.width,
    heightPx: info.height,
    takenAt,
  }
}

/** The small one of a picture that is kept. */
export const thumbOf = (image: Uint8Array): Promise<Buffer> =>
  sharp(image, limits)
    .resize({ width: PHOTO_LIMITS.thumbPx, height: PHOTO_LIMITS.thumbPx, fit: 'inside' })
    .webp({ quality: 75 })
    .toBuffer()

/** Whether bytes are a picture as this program keeps them: a JPEG no larger than it is kept. */
export async function isKept(bytes: Uint8Array): Promise<boolean> {
  const { format, width, height } = await metadataOf(bytes)
  return format === 'jpeg' && Math.max(width, height) <= PHOTO_LIMITS.edgePx
}

const metadataOf = (bytes: Uint8Array) => sharp(bytes, limits).metadata().catch(unreadable)

function unreadable(error: Error): never {
  throw new FileFault(
    /pixel limit/.test(error.message)
      ? `The picture has more than ${PHOTO_LIMITS.pixels / 1e6} million pixels. Send a smaller one.`
      : 'The picture cannot be read: it is no JPEG, PNG or WebP, or it is damaged.',
  )
}

function momentOf(exif: Buffer): string | null {
  try {
    const { Photo, Image } = readExif(exif)
    const taken = Photo?.DateTimeOriginal ?? Image?.DateTime
    return taken instanceof Date && !Number.isNaN(taken.getTime())
      ? taken.toISOString().slice(0, 19)
      : null
  } catch {
    return null
  }
}
