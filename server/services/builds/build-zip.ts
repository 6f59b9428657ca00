import { Readable } from 'node:stream'
import { ZipFile } from 'yazl'
import type { Store } from '../../database/store.ts'
import { DOCUMENT, photoPath } from '../../documents/photo-zip.ts'
import type { PhotoMaker } from '../../jobs/photo-maker.ts'
import type { PhotoFiles } from '../catalogue/photo-files.ts'
import { exportBuild } from './build-document.ts'

interface Photos {
  readonly files: PhotoFiles
  readonly maker: PhotoMaker
}

/** A build and all it refers to, with every picture it names that is here, as a zip; written as it is read. */
export async function zipBuild(
  store: Store,
  { files }: Photos,
  buildId: string,
): Promise<ReadableStream<Uint8Array>> {
  const document = await exportBuild(store, buildId)
  const zip = new ZipFile()
  const at = { mtime: new Date(0) }
  zip.addBuffer(Buffer.from(`${JSON.stringify(document, null, 1)}\n`), DOCUMENT, at)
  const hashes = new Set((document.tables.photo ?? []).map(({ hash }) => String(hash)))
  for (const hash of hashes)
    if (files.has(hash))
      zip.addBuffer(await files.read(hash, 'jpg'), photoPath(hash), { ...at, compress: false })
  zip.end()
  return Readable.toWeb(Readable.from(zip.outputStream)) as ReadableStream<Uint8Array>
}

/** Takes a zip apart: its pictures are put beside the data, its document is handed on. @throws UnprocessableError */
export async function unzipBuild({ files, maker }: Photos, bytes: Uint8Array): Promise<Uint8Array> {
  const { document, photos } = await maker.make('unzip', bytes)
  for (const [hash, image] of photos)
    if (!files.has(hash)) await files.put(hash, image, await maker.make('thumb', image))
  return document
}
