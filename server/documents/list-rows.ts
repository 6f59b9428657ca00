import { fieldsOf, type ListKind, type ListMapping } from '../../core/tables/lists.ts'
import { suggestColumns } from '../../core/tables/match-columns.ts'
import { RecordFault } from './file-record.ts'
import type { BadCell } from './offer-cells.ts'
import { namedTwice, recordsOf, widthFault } from './records.ts'

/** A row of a list: the words of its columns, blank ones left out. */
export interface ListRow {
  readonly line: number
  readonly cells: Readonly<Partial<Record<string, string>>>
}

/** Some rows of a list, in its order: those that are right, and every bad cell. */
export interface ListRead {
  readonly heads?: readonly string[]
  readonly columns?: Readonly<Record<string, string>>
  readonly rows: readonly ListRow[]
  readonly bad: readonly BadCell[]
}

const BATCH = 500
const LONGEST = 2000

/**
 * Reads a list under whatever heads, a batch at a time: columns by suggestion where they are not said. What is missing from
 * the first line, and every cell that cannot stand, is told by line and column.
 * @throws FileFault when the file cannot be read at all
 */
export async function* readList(
  kind: ListKind,
  bytes: Uint8Array,
  mapping: ListMapping = {},
): AsyncGenerator<ListRead> {
  const fields = fieldsOf(kind)
  const { delimiter, rows: records } = recordsOf(bytes, fields)
  let width = 0
  let at: readonly (readonly [string, number])[] | null = null
  let rows: ListRow[] = []
  let bad: BadCell[] = []
  try {
    for await (const { cells, line } of records) {
      if (!at) {
        const heads = cells.map((head) => head.trim())
        width = heads.length
        const columns: Record<string, string> = {}
        for (const [name, head] of Object.entries(mapping.columns ?? suggestColumns(heads, fields)))
          if (head !== undefined) columns[name] = head
        at = fields.flatMap(({ name }) => {
          const place = columns[name] === undefined ? -1 : heads.indexOf(columns[name])
          return place < 0 ? [] : [[name, place] as const]
        })
        const missing = fields.filter(
          ({ name, isNeeded }) =>
            isNeeded && !at!.some(([known]) => known === name) && !mapping.instead?.[name]?.trim(),
        )
        const fault = missing[0]
          ? {
              line: 1,
              column: missing[0].name,
              message: `Nothing says ${missing.map(({ label }) => label.toLowerCase()).join(', ')}: the first line names ${heads.slice(0, 30).join(', ')}. Say which column it is, or what counts for all rows.`,
            }
          : namedTwice(heads, columns)
        yield { heads, columns, rows: [], bad: fault ? [fault] : [] }
        if (fault) return
        continue
      }
      const found: Record<string, string> = {}
      for (const [name, text] of Object.entries(mapping.instead ?? {}))
        if (text?.trim()) found[name] = text.trim()
      for (const [name, place] of at) {
        const text = (cells[place] ?? '').trim()
        // What was quoted on its way out, so that no spreadsheet runs it.
        if (text !== '') found[name] = text.replace(/^'(?=[=+\-@])/, '')
      }
      const faults = Object.entries(found).flatMap(([column, text]) => faultIn(line, column, text))
      // Cells at the end that hold nothing are often left out or added.
      if (cells.slice(width).some((text) => text.trim() !== ''))
        faults.push({ line, column: '', message: widthFault(cells.length, width, delimiter) })
      for (const { name, label, isNeeded } of fields)
        if (isNeeded && !found[name]?.trim())
          faults.push({ line, column: name, message: `Fill in: ${label.toLowerCase()}.` })
      if (faults.length > 0) bad.push(...faults)
      else rows.push({ line, cells: found })
      if (rows.length + bad.length >= BATCH) {
        yield { rows, bad }
        rows = []
        bad = []
      }
    }
    if (!at)
      bad.push({
        line: 1,
        column: '',
        message: `The file is empty. Its first line names the columns: ${fields.map(({ name }) => name).join(', ')}.`,
      })
  } catch (error) {
    if (!(error instanceof RecordFault)) throw error
    bad.push({ line: error.line, column: '', message: error.message })
  }
  yield { rows, bad }
}

function faultIn(line: number, column: string, text: string): BadCell[] {
  const mark = /[^\P{Cc}\n\r\t]/u.exec(text)
  if (mark)
    return [
      {
        line,
        column,
        message: `It holds the control character ${mark[0].charCodeAt(0).toString(16).toUpperCase().padStart(4, '0')}. Take it out.`,
      },
    ]
  return text.length > LONGEST
    ? [
        {
          line,
          column,
          message: `It is ${text.length} characters long, at most ${LONGEST} are kept. Shorten it.`,
        },
      ]
    : []
}
