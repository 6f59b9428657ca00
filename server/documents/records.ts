import { Readable } from 'node:stream'
import { CsvError, parse } from 'csv-parse'
import { suggestColumns, type WantedColumn } from '../../core/tables/match-columns.ts'
import { type FileRecord, RecordFault } from './file-record.ts'
import { isZip } from './photo-zip.ts'
import { utf8Of } from './text.ts'

/** Rows of a file, and the mark between its cells; a tab where it is a workbook. */
export interface Records {
  readonly delimiter: string
  readonly rows: AsyncIterable<FileRecord>
}

const PIECE = 1 << 16

/**
 * Rows of CSV (RFC 4180; comma, semicolon or tab) or of the first sheet of a workbook (ISO/IEC 29500). Reading the rows
 * throws RecordFault where it does not go on.
 * @param fields columns that are looked for: they tell the mark between cells
 * @throws FileFault when it can be neither
 */
export function recordsOf(bytes: Uint8Array, fields: readonly WantedColumn[]): Records {
  if (isZip(bytes)) return { delimiter: '\t', rows: workbookRows(bytes) }
  const text = utf8Of(bytes)
  const delimiter = delimiterOf(text, fields)
  return { delimiter, rows: csvRows(text, delimiter) }
}

/** What is wrong with a row that has another number of cells than the first line: separators in it that are not quoted. */
export const widthFault = (cells: number, heads: number, delimiter: string): string =>
  `This row has ${cells} cells, the first line has ${heads}. Quote cells that hold "${delimiter === '\t' ? 'a tab' : delimiter}".`

/** A column that is taken from a head which the first line names twice: nobody knows which is meant. */
export function namedTwice(
  heads: readonly string[],
  columns: Readonly<Partial<Record<string, string>>>,
): { readonly line: number; readonly column: string; readonly message: string } | null {
  const twice = Object.entries(columns).find(
    ([, head]) => head !== undefined && heads.indexOf(head) !== heads.lastIndexOf(head),
  )
  return twice
    ? {
        line: 1,
        column: twice[0],
        message: `The first line names ${twice[1]} twice. Take one of the two columns out.`,
      }
    : null
}

/** What reads workbooks is large: it is loaded where one is read. */
async function* workbookRows(bytes: Uint8Array): AsyncGenerator<FileRecord> {
  const { sheetRows } = await import('./xlsx-rows.ts')
  yield* sheetRows(bytes)
}

async function* csvRows(text: Uint8Array, delimiter: string): AsyncGenerator<FileRecord> {
  const parser = Readable.from(pieces(text)).pipe(
    parse({ delimiter, info: true, relax_column_count: true, skip_empty_lines: true }),
  )
  try {
    for await (const { record, info } of parser as AsyncIterable<{
      record: string[]
      info: { lines: number }
    }>) {
      const folded = record.reduce(
        (count, cell) => count + (cell.includes('\n') ? cell.split('\n').length - 1 : 0),
        0,
      )
      yield { cells: record, line: info.lines - folded }
    }
  } catch (error) {
    if (!(error instanceof CsvError)) throw error
    throw new RecordFault(
      Number(error.lines ?? 1),
      `The file cannot be read as CSV from here on: ${error.message}. Check the quotes.`,
    )
  }
}

function* pieces(bytes: Uint8Array): Generator<Buffer> {
  for (let from = 0; from < bytes.length; from += PIECE)
    yield Buffer.from(bytes.buffer, bytes.byteOffset + from, Math.min(PIECE, bytes.length - from))
}

/** The mark that splits the first line into the most columns known here, of equals into the most; a comma where none does better. */
function delimiterOf(bytes: Uint8Array, fields: readonly WantedColumn[]): string {
  const end = bytes.findIndex((byte, i) => byte === 0x0a || i > PIECE)
  const first = new TextDecoder().decode(bytes.subarray(0, end < 0 ? bytes.length : end))
  const known = (mark: string): number => {
    const heads = first.split(mark).map((name) => name.trim().replace(/^"|"$/g, ''))
    return Object.keys(suggestColumns(heads, fields)).length * 1000 + Math.min(999, heads.length)
  }
  return [',', ';', '\t'].reduce((best, mark) => (known(mark) > known(best) ? mark : best))
}
