import type { z } from 'zod'
import { PHOTO_LIMITS } from '../../../contract/files.ts'
import { oneOwner, type photoQuery, type photosQuery } from '../../../contract/photos.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { ConflictError, UnprocessableError } from '../../errors.ts'
import type { PhotoMaker } from '../../jobs/photo-maker.ts'
import type { PhotoFiles } from './photo-files.ts'

/** Pictures of one part, donor or build, oldest first; of one spot where it is named. */
export async function listPhotos(
  store: Store,
  { spot, ...owner }: z.output<typeof photosQuery>,
): Promise<RowOf<'photo'>[]> {
  if (!oneOwner.isOneOwner(owner)) throw new UnprocessableError(oneOwner.said)
  const of = Object.fromEntries(Object.entries(owner).filter(([, id]) => id !== undefined))
  return store.list('photo', { ...of, ...(spot === undefined ? {} : { spot }) })
}

/**
 * Keeps a picture: the file first, then its row. Sent twice under one id it is kept once.
 * @throws UnprocessableError · ConflictError where the id is another picture's
 */
export async function addPhoto(
  store: Store,
  { files, maker }: { readonly files: PhotoFiles; readonly maker: PhotoMaker },
  said: z.output<typeof photoQuery>,
  bytes: Uint8Array,
): Promise<RowOf<'photo'>> {
  if (!oneOwner.isOneOwner(said)) throw new UnprocessableError(oneOwner.said)
  if (bytes.length > PHOTO_LIMITS.bytes)
    throw new UnprocessableError(
      `The picture is ${Math.ceil(bytes.length / 1024 / 1024)} MB; up to ${PHOTO_LIMITS.bytes / 1024 / 1024} MB are read. Send a smaller one.`,
    )
  const { hash, image, thumb, widthPx, heightPx, takenAt } = await maker.make('keep', bytes)
  await files.put(hash, image, thumb)
  return store.transaction(async (tx) => {
    const before = await tx.find('photo', said.id)
    if (before && before.hash !== hash)
      throw new ConflictError('Another picture was sent under this id. Send it under its own.')
    return before ?? tx.insert('photo', { ...said, hash, widthPx, heightPx, takenAt })
  })
}
