import { mappingOf } from '../../contract/offer-list.ts'
import { dxfInput } from '../../contract/patterns.ts'
import { offersInput } from '../../contract/rows.ts'
import type { Decimal } from '../../core/quantity/units.ts'
import type { ListKind, ListMapping } from '../../core/tables/lists.ts'
import type { OfferMapping } from '../../core/tables/offer-columns.ts'
import { type DocumentRows, readBuildDocument } from './build-json.ts'
import { FileFault } from './file-fault.ts'
import { type ListRead, readList } from './list-rows.ts'
import { type OffersRead, readOffersCsv } from './offers-csv.ts'
import { type PatternFace, patternFromDxf } from './pattern-dxf.ts'
import { decodeText, parseJson } from './text.ts'

/** What each kind of file gives, a batch at a time. */
export interface FileBatches {
  readonly dxf: { readonly faces: readonly PatternFace[]; readonly notes: readonly string[] }
  readonly offers: OffersRead
  readonly build: DocumentRows
  readonly list: ListRead
}
export type FileKind = keyof FileBatches

export interface FileOptions {
  /** True where the file came inside a JSON body. */
  readonly isWrapped: boolean
  readonly decimal: Decimal
  readonly mapping?: OfferMapping
  /** Of a list: which, and how it is read. */
  readonly list?: { readonly kind: ListKind; readonly mapping: ListMapping }
}

/**
 * Reads a file of one kind; the one place that does, run on a worker thread.
 * @throws FileFault
 */
export async function* readFileOf(
  kind: FileKind,
  bytes: Uint8Array,
  options: FileOptions,
): AsyncGenerator<FileBatches[FileKind]> {
  switch (kind) {
    case 'dxf':
      yield patternFromDxf(options.isWrapped ? unwrap(dxfInput, bytes).dxf : decodeText(bytes))
      return
    case 'offers': {
      const body = options.isWrapped ? unwrap(offersInput, bytes) : null
      yield* readOffersCsv(
        body ? Buffer.from(body.csv) : bytes,
        body?.decimal ?? options.decimal,
        body ? mappingOf(body) : options.mapping,
      )
      return
    }
    case 'list':
      yield* readList(options.list!.kind, bytes, options.list!.mapping)
      return
    case 'build':
      yield* readBuildDocument(parseJson(bytes))
  }
}

function unwrap<T>(
  schema: {
    safeParse: (value: unknown) =>
      | { success: true; data: T }
      | {
          success: false
          error: { issues: readonly { path: readonly PropertyKey[]; message: string }[] }
        }
  },
  bytes: Uint8Array,
): T {
  const checked = schema.safeParse(parseJson(bytes))
  if (checked.success) return checked.data
  const faults = checked.error.issues.map(({ path, message }) => ({
    path: path.map(String).join('.'),
    message,
  }))
  throw new FileFault(`${faults[0]!.path || 'body'}: ${faults[0]!.message}`, faults)
}
