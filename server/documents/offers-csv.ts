import type { Decimal } from '../../core/quantity/units.ts'
import { suggestColumns } from '../../core/tables/match-columns.ts'
import {
  NEEDED,
  OFFER_COLUMNS,
  OFFER_FIELDS,
  type OfferColumn,
  type OfferMapping,
} from '../../core/tables/offer-columns.ts'
import { RecordFault } from './file-record.ts'
import { type BadCell, type OfferLine, readOffer, type Tell } from './offer-cells.ts'
import { isZip } from './photo-zip.ts'
import { namedTwice, recordsOf, widthFault } from './records.ts'

/** Some rows of a file, in its order: those that are right, and every bad cell. */
export interface OffersRead {
  /** Of the first batch: what the first line names, and which column is read from which of it. */
  readonly heads?: readonly string[]
  readonly columns?: OfferMapping['columns']
  readonly rows: readonly OfferLine[]
  readonly bad: readonly BadCell[]
  /** Who the rows that are not right name as supplier: looked up too, so that all their faults are told at once. */
  readonly spoilt: readonly { readonly line: number; readonly supplier: string }[]
}

/** Rows handed over at once: few enough that nobody waits while they are looked up. */
const BATCH = 500

/**
 * Reads offers from CSV (RFC 4180), separated by comma, semicolon or tab, or from a workbook; but with commas between cells
 * decimals may have a comma. Every bad cell is listed by line and column with what to do; nothing is thrown for bad rows.
 *
 * @param bytes UTF-8, UTF-16, or a workbook
 * @param decimal what a comma in a price means in this file; `ask`: a price that can be read two ways is asked about
 * @param mapping which head holds what, suggested where it is not said, and what counts where no column says it
 * @throws FileFault when the text cannot be decoded
 */
export async function* readOffersCsv(
  bytes: Uint8Array,
  decimal: Decimal = 'ask',
  mapping: OfferMapping = {},
): AsyncGenerator<OffersRead> {
  const { delimiter, rows: records } = recordsOf(bytes, OFFER_FIELDS)
  const isPadded = isZip(bytes)
  let head: Head | null = null
  let rows: OfferLine[] = []
  let bad: BadCell[] = []
  let spoilt: OffersRead['spoilt'][number][] = []
  try {
    for await (const { cells, line } of records) {
      // A workbook leaves out cells at the end that hold nothing.
      const record =
        head && isPadded && cells.length < head.heads.length
          ? [...cells, ...Array<string>(head.heads.length - cells.length).fill('')]
          : cells
      if (!head) {
        head = headOf(
          record.map((name) => name.trim()),
          mapping,
        )
        const { heads, columns } = head
        const fault = headFault(head)
        yield { rows: [], bad: fault ? [fault] : [], spoilt: [], heads, columns }
        if (fault) return
        continue
      }
      const read = readRecord(
        record,
        head,
        line,
        delimiter,
        decimal,
        (column, message) => void bad.push({ line, column, message }),
      )
      if (read) rows.push(read)
      else spoilt.push({ line, supplier: cellOf(record, head, 'supplier') })
      if (rows.length + bad.length >= BATCH) {
        yield { rows, bad, spoilt }
        rows = []
        bad = []
        spoilt = []
      }
    }
    if (!head)
      bad.push({
        line: 1,
        column: '',
        message: `The file is empty. Its first line names the columns: ${OFFER_COLUMNS.join(', ')}.`,
      })
  } catch (error) {
    if (!(error instanceof RecordFault)) throw error
    bad.push({ line: error.line, column: '', message: error.message })
  }
  yield { rows, bad, spoilt }
}

/** The first line as it is used. */
interface Head {
  readonly heads: readonly string[]
  readonly columns: NonNullable<OfferMapping['columns']>
  readonly at: Readonly<Partial<Record<OfferColumn, number>>>
  readonly instead: NonNullable<OfferMapping['instead']>
}

function headOf(heads: readonly string[], { columns, instead = {} }: OfferMapping): Head {
  const used = columns ?? suggestColumns(heads, OFFER_FIELDS)
  return {
    heads,
    columns: used,
    at: Object.fromEntries(
      OFFER_COLUMNS.flatMap((name) => {
        const at = used[name] === undefined ? -1 : heads.indexOf(used[name])
        return at < 0 ? [] : [[name, at]]
      }),
    ),
    instead,
  }
}

const cellOf = (record: readonly string[], { at, instead }: Head, name: OfferColumn): string =>
  (at[name] === undefined ? (instead[name] ?? '') : (record[at[name]] ?? '')).trim()

function headFault({ heads, columns, at, instead }: Head): BadCell | null {
  const missing = NEEDED.filter((name) => at[name] === undefined && !instead[name]?.trim())
  if (missing.length > 0)
    return {
      line: 1,
      column: missing[0]!,
      message: `Nothing says ${missing.join(', ')}: the first line names ${heads.slice(0, 30).join(', ')}. Say which column it is, or what counts for all rows.`,
    }
  return namedTwice(heads, columns)
}

function readRecord(
  record: readonly string[],
  head: Head,
  line: number,
  delimiter: string,
  decimal: Decimal,
  fault: Tell,
): OfferLine | null {
  const isWide = record.length !== head.heads.length
  if (isWide) fault('', widthFault(record.length, head.heads.length, delimiter))
  const row = readOffer((name) => cellOf(record, head, name), line, delimiter, decimal, fault)
  return isWide ? null : row
}
