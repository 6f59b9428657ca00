/** What a file somebody brings may take; past any of these it is refused, and the one who reads it is ended. */
export const FILE_LIMITS = {
  bytes: 50 * 1024 * 1024,
  /** Generous: a machine that is busy or weak reads a whole list too. */
  seconds: 60,
  memoryMb: 256,
  /** Entities of a drawing. */
  entities: 200_000,
} as const

/** What a picture may be, and how it is kept. */
export const PHOTO_LIMITS = {
  bytes: 15 * 1024 * 1024,
  pixels: 100_000_000,
  /** The longer edge as it is kept, and of its thumbnail, px. */
  edgePx: 2560,
  thumbPx: 320,
} as const
/** Kinds of picture that are read, told by what is in them. */
export const PHOTO_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const

/** Any other body: a form, a check of joints, a sourcing problem. */
export const BODY_BYTES = 8 * 1024 * 1024

/** Routes whose body is a file, read on a worker thread. */
export const FILE_PATHS = [
  '/patterns/dxf',
  '/offers/preview',
  '/offers/import',
  '/lists/preview',
  '/lists/import',
  '/builds/import',
  '/photos',
] as const
