import { Readable } from 'node:stream'
import ExcelJS from 'exceljs'
import { type Entry, fromBufferPromise } from 'yauzl'
import { FILE_LIMITS } from '../../contract/files.ts'
import { FileFault } from './file-fault.ts'
import { type FileRecord, RecordFault } from './file-record.ts'
import { whileAtWork } from './while-at-work.ts'

const MOST_ENTRIES = 2000
/** Inflated, all of it together. */
const MOST_BYTES = 8 * FILE_LIMITS.bytes
const MOST_COLUMNS = 200

/**
 * Rows of the first sheet of a workbook that has any, as words: figures with a decimal point, days as 2026-03-14. A formula
 * is never worked out: what its workbook last showed stands for it. Sizes are read from the directory before anything is
 * inflated.
 * @throws FileFault where it is no workbook, or too large · RecordFault where a row cannot be read
 */
export async function* sheetRows(bytes: Uint8Array): AsyncGenerator<FileRecord> {
  await checkWhole(bytes)
  const workbook = new ExcelJS.stream.xlsx.WorkbookReader(Readable.from([Buffer.from(bytes)]), {
    entries: 'emit',
    sharedStrings: 'cache',
    styles: 'cache',
    hyperlinks: 'ignore',
    worksheets: 'emit',
  })
  let line = 0
  try {
    for await (const sheet of whileAtWork(workbook)) {
      for await (const row of whileAtWork(sheet)) {
        line = row.number
        const values = row.values as readonly unknown[]
        if (values.length - 1 > MOST_COLUMNS)
          throw new RecordFault(
            line,
            `A row has more than ${MOST_COLUMNS} cells. Leave out what is not wanted.`,
          )
        // Cells are counted from 1.
        const cells = Array.from({ length: Math.max(0, values.length - 1) }, (_, i) =>
          cellWords(values[i + 1], line),
        )
        if (cells.some((cell) => cell !== '')) yield { cells, line }
      }
      if (line > 0) return
    }
  } catch (error) {
    if (error instanceof FileFault || error instanceof RecordFault) throw error
    throw new RecordFault(
      Math.max(1, line),
      `The workbook cannot be read from here on: ${(error as Error).message}. Save it anew, or as CSV.`,
    )
  }
}

/** Reads every piece once: sizes first, from the directory; then that each can be unpacked, as the reader of rows may wait for ever for one that cannot. */
async function checkWhole(bytes: Uint8Array): Promise<void> {
  const names = new Set<string>()
  try {
    const zip = await fromBufferPromise(Buffer.from(bytes), {
      validateEntrySizes: true,
      autoClose: false,
    })
    if (zip.entryCount > MOST_ENTRIES)
      throw new FileFault(
        `The workbook holds more than ${MOST_ENTRIES} pieces. Save the one sheet by itself.`,
      )
    const entries: Entry[] = []
    for await (const entry of zip.eachEntry()) entries.push(entry)
    const total = entries.reduce((sum, { uncompressedSize }) => sum + uncompressedSize, 0)
    if (total > MOST_BYTES)
      throw new FileFault(
        `Unpacked the workbook is larger than ${MOST_BYTES / 1024 / 1024} MB. Save the one sheet by itself, or as CSV.`,
      )
    for (const entry of entries) {
      names.add(entry.fileName)
      for await (const _ of await zip.openReadStreamPromise(entry));
    }
  } catch (error) {
    if (error instanceof FileFault) throw error
    throw new FileFault(
      `The workbook cannot be opened: ${(error as Error).message}. Save it anew, or as CSV.`,
    )
  }
  if (!names.has('xl/workbook.xml'))
    throw new FileFault('It is packed, but no workbook. Send a sheet as XLSX, or CSV.')
}

/** One mark and three figures after it would be asked about: of a figure it is plain which it is. */
const plainFigure = (value: number): string => {
  const text =
    Number.isInteger(value) || Math.abs(value) >= 1e15
      ? String(value)
      : String(Number(value.toPrecision(15)))
  return /\.\d{3}$/.test(text) ? `${text}0` : text
}

function cellWords(value: unknown, line: number): string {
  if (value === null || value === undefined) return ''
  if (typeof value === 'string') return value.trim()
  if (typeof value === 'number') return plainFigure(value)
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (value instanceof Date) return value.toISOString().slice(0, 10)
  const cell = value as {
    result?: unknown
    error?: unknown
    richText?: readonly { text: string }[]
    text?: unknown
    formula?: unknown
    sharedFormula?: unknown
  }
  if (cell.richText)
    return cell.richText
      .map(({ text }) => text)
      .join('')
      .trim()
  if (cell.text !== undefined) return String(cell.text).trim()
  if (cell.error !== undefined)
    throw new RecordFault(
      line,
      `A cell shows ${String(cell.error).slice(0, 20)}. Mend it in the workbook.`,
    )
  if ('formula' in cell || 'sharedFormula' in cell) {
    if (
      cell.result === undefined ||
      cell.result === null ||
      (typeof cell.result === 'object' && !(cell.result instanceof Date))
    )
      throw new RecordFault(
        line,
        'A cell holds a formula that was never worked out. Formulas are not worked out here: paste their values in the workbook first.',
      )
    return cellWords(cell.result, line)
  }
  return String(value)
}
