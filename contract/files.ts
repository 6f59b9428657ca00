/** What a file somebody brings may take; past any of these it is refused, and the one who reads it is ended. */
export const FILE_LIMITS = {
  bytes: 50 * 1024 * 1024,
  seconds: 10,
  memoryMb: 256,
  /** Entities of a drawing. */
  entities: 200_000,
} as const

/** Any other body: a form, a check of joints, a sourcing problem. */
export const BODY_BYTES = 8 * 1024 * 1024

/** Routes whose body is a file, read on a worker thread. */
export const FILE_PATHS = [
  '/patterns/dxf',
  '/offers/preview',
  '/offers/import',
  '/builds/import',
] as const
