import { PassThrough, Readable } from 'node:stream'
import { stringify } from 'csv-stringify/sync'
import { unformula } from '../../core/quantity/plain-text.ts'
import { fieldsOf, type ListKind } from '../../core/tables/lists.ts'

type Rows = AsyncIterable<Readonly<Record<string, string | null | undefined>>>
const AT_ONCE = 500

/** A list as CSV (RFC 4180), piece by piece; what a spreadsheet would run as a formula is quoted. */
export function listCsv(kind: ListKind, rows: Rows): ReadableStream<Uint8Array> {
  const names = fieldsOf(kind).map(({ name }) => name)
  const encoder = new TextEncoder()
  const write = (cells: readonly (readonly string[])[]): Uint8Array =>
    encoder.encode(stringify([...cells], { record_delimiter: '\r\n' }))
  async function* pieces(): AsyncGenerator<Uint8Array> {
    yield write([names])
    let held: string[][] = []
    for await (const row of rows) {
      held.push(names.map((name) => unformula(row[name] ?? '')))
      if (held.length < AT_ONCE) continue
      yield write(held)
      held = []
    }
    if (held.length > 0) yield write(held)
  }
  return Readable.toWeb(Readable.from(pieces())) as ReadableStream<Uint8Array>
}

/** A list as an Office Open XML workbook (ISO/IEC 29500), written as it is read: words only, never formulas. */
export function listXlsx(kind: ListKind, rows: Rows): ReadableStream<Uint8Array> {
  const names = fieldsOf(kind).map(({ name }) => name)
  const out = new PassThrough()
  const write = async (): Promise<void> => {
    // Large: loaded where a workbook is written.
    const { default: ExcelJS } = await import('exceljs')
    const workbook = new ExcelJS.stream.xlsx.WorkbookWriter({
      stream: out,
      useSharedStrings: false,
    })
    const sheet = workbook.addWorksheet(kind, { views: [{ state: 'frozen', ySplit: 1 }] })
    sheet.addRow(names).commit()
    for await (const row of rows) sheet.addRow(names.map((name) => row[name] ?? '')).commit()
    sheet.commit()
    await workbook.commit()
  }
  write().catch((error: Error) => out.destroy(error))
  return Readable.toWeb(out) as ReadableStream<Uint8Array>
}
