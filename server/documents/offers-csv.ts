import { Readable } from 'node:stream'
import { CsvError, parse } from 'csv-parse'
import { isCurrency, minorDigits } from '../../core/money/money.ts'
import type { Decimal } from '../../core/quantity/units.ts'
import { suggestColumns } from '../../core/tables/match-columns.ts'
import {
  NEEDED,
  OFFER_COLUMNS,
  OFFER_FIELDS,
  type OfferColumn,
  type OfferMapping,
} from '../../core/tables/offer-columns.ts'
import { utf8Of } from './text.ts'

/** Largest amount and count of an offer, as where they are typed. */
const MOST_MINOR = 1e12
const MOST_WHOLE = 1_000_000

export interface OfferLine {
  readonly line: number
  readonly supplier: string
  readonly issuer: string
  readonly number: string
  readonly description: string
  readonly priceMinor: number
  readonly currency: string
  readonly taxIncluded: boolean
  readonly pack: number
  readonly stock: number | null
  readonly leadDays: number | null
  readonly condition: string
}

export interface BadCell {
  readonly line: number
  readonly column: string
  readonly message: string
}

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
const PIECE = 1 << 16

/**
 * Reads offers from CSV (RFC 4180), separated by comma, semicolon or tab; with semicolons or tabs decimals may have a
 * comma. Every bad cell is listed by line and column with what to do; nothing is thrown for bad rows.
 *
 * @param bytes UTF-8 or UTF-16
 * @param decimal what a comma in a price means in this file; `ask`: a price that can be read two ways is asked about
 * @param mapping which head holds what, suggested where it is not said, and what counts where no column says it
 * @throws FileFault when the text cannot be decoded
 */
export async function* readOffersCsv(
  bytes: Uint8Array,
  decimal: Decimal = 'ask',
  mapping: OfferMapping = {},
): AsyncGenerator<OffersRead> {
  const text = utf8Of(bytes)
  const delimiter = delimiterOf(text)
  const parser = Readable.from(pieces(text)).pipe(
    parse({ delimiter, info: true, relax_column_count: true, skip_empty_lines: true }),
  )
  let head: Head | null = null
  let rows: OfferLine[] = []
  let bad: BadCell[] = []
  let spoilt: OffersRead['spoilt'][number][] = []
  try {
    for await (const { record, info } of parser as AsyncIterable<{
      record: string[]
      info: { lines: number }
    }>) {
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
      const line =
        info.lines -
        record.reduce(
          (count, cell) => count + (cell.includes('\n') ? cell.split('\n').length - 1 : 0),
          0,
        )
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
    if (!(error instanceof CsvError)) throw error
    bad.push({
      line: Number(error.lines ?? 1),
      column: '',
      message: `The file cannot be read as CSV from here on: ${error.message}. Check the quotes.`,
    })
  }
  yield { rows, bad, spoilt }
}

function* pieces(bytes: Uint8Array): Generator<Buffer> {
  for (let from = 0; from < bytes.length; from += PIECE)
    yield Buffer.from(bytes.buffer, bytes.byteOffset + from, Math.min(PIECE, bytes.length - from))
}

/** The mark that splits the first line into the most columns known here, of equals into the most; a comma where none does better. */
function delimiterOf(bytes: Uint8Array): string {
  const end = bytes.findIndex((byte, i) => byte === 0x0a || i > PIECE)
  const first = new TextDecoder().decode(bytes.subarray(0, end < 0 ? bytes.length : end))
  const known = (mark: string): number => {
    const heads = first.split(mark).map((name) => name.trim().replace(/^"|"$/g, ''))
    return (
      Object.keys(suggestColumns(heads, OFFER_FIELDS)).length * 1000 + Math.min(999, heads.length)
    )
  }
  return [',', ';', '\t'].reduce((best, mark) => (known(mark) > known(best) ? mark : best))
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
  const twice = OFFER_COLUMNS.find((name) => {
    const head = columns[name]
    return head !== undefined && heads.indexOf(head) !== heads.lastIndexOf(head)
  })
  return twice
    ? {
        line: 1,
        column: twice,
        message: `The first line names ${columns[twice]} twice. Take one of the two columns out.`,
      }
    : null
}

type Cell = (name: OfferColumn) => string

/** Longest texts of an offer, as where they are typed. */
const LONGEST: Partial<Record<OfferColumn, number>> = {
  supplier: 120,
  issuer: 120,
  number: 120,
  description: 2000,
  condition: 40,
}

function readRecord(
  record: readonly string[],
  head: Head,
  line: number,
  delimiter: string,
  decimal: Decimal,
  fault: (column: string, message: string) => void,
): OfferLine | null {
  const cell: Cell = (name) => cellOf(record, head, name)
  let isRight = true
  const tell = (column: string, message: string): void => {
    isRight = false
    fault(column, message)
  }
  if (record.length !== head.heads.length)
    tell(
      '',
      `This row has ${record.length} cells, the first line has ${head.heads.length}. Quote cells that hold "${delimiter === '\t' ? 'a tab' : delimiter}".`,
    )
  for (const name of OFFER_COLUMNS) {
    const mark = (name === 'description' ? /[^\P{Cc}\n\r\t]/u : /\p{Cc}/u).exec(cell(name))
    if (mark)
      tell(
        name,
        `It holds the control character ${mark[0].charCodeAt(0).toString(16).toUpperCase().padStart(4, '0')}. Take it out.`,
      )
    const longest = LONGEST[name]
    if (longest !== undefined && cell(name).length > longest)
      tell(
        name,
        `It is ${cell(name).length} characters long, at most ${longest} are kept. Shorten it.`,
      )
  }
  const row = readRow(cell, line, delimiter, decimal, tell)
  return isRight ? row : null
}

function readRow(
  cell: Cell,
  line: number,
  delimiter: string,
  decimal: Decimal,
  fault: (column: string, message: string) => void,
): OfferLine | null {
  for (const name of ['supplier', 'issuer', 'number'] as const)
    if (cell(name) === '') fault(name, `Fill in the ${name}.`)
  const currency = cell('currency').toUpperCase()
  if (!isCurrency(currency)) {
    fault('currency', `"${cell('currency')}" is not an ISO 4217 code. Use one such as EUR.`)
    return null
  }
  const priceMinor = readPrice(cell('price'), currency, delimiter, decimal, fault)
  const tax = /^(yes|true|1|incl)$/i.test(cell('taxIncluded'))
    ? true
    : /^(no|false|0|excl)$/i.test(cell('taxIncluded'))
      ? false
      : null
  if (tax === null) fault('taxIncluded', `"${cell('taxIncluded')}" should be yes or no.`)
  const whole = (name: 'pack' | 'stock' | 'leadDays', least: number): number | null => {
    const text = cell(name)
    if (text === '') return null
    if (!/^\d+$/.test(text) || Number(text) < least || Number(text) > MOST_WHOLE)
      fault(name, `"${text}" should be a whole number from ${least} to ${MOST_WHOLE}, or blank.`)
    return Number(text)
  }
  const pack = whole('pack', 1) ?? 1
  const stock = whole('stock', 0)
  const leadDays = whole('leadDays', 0)
  if (priceMinor === null) return null
  return {
    line,
    supplier: cell('supplier'),
    issuer: cell('issuer'),
    number: cell('number'),
    description: cell('description'),
    priceMinor,
    currency,
    taxIncluded: tax ?? true,
    pack,
    stock,
    leadDays,
    condition: cell('condition') || 'new',
  }
}

/** The figure with a decimal point and nothing else, as the file writes figures. */
function plainFigure(text: string, delimiter: string, decimal: Decimal): string {
  if (decimal === 'comma') return text.replace(/\.(?=\d{3}(\D|$))/g, '').replace(',', '.')
  if (decimal === 'point') return text.replace(/,(?=\d{3}(\D|$))/g, '')
  return delimiter === ',' ? text : text.replace(',', '.')
}

/** Signs that stand before or behind a price, by what they may mean. */
const SIGNS: Readonly<Record<string, (currency: string) => boolean>> = {
  '€': (currency) => currency === 'EUR',
  '£': (currency) => currency === 'GBP',
  $: (currency) => currency.endsWith('D'),
}

/** A price without the sign or code of its currency; null where that is of another. What holds no figure stays as it is. */
function withoutSign(text: string, currency: string): string | null {
  const [, before, figure = '', behind] =
    /^(€|£|\$|[A-Za-z]{3})?\s*([^€£$A-Za-z]*\d[^€£$A-Za-z]*?)\s*(€|£|\$|[A-Za-z]{3})?$/.exec(
      text,
    ) ?? []
  if (figure === '') return text
  for (const sign of [before, behind]) {
    if (!sign) continue
    const code = sign.toUpperCase()
    if (!Object.hasOwn(SIGNS, sign) && !isCurrency(code)) return text
    if (!(SIGNS[sign]?.(currency) ?? code === currency)) return null
  }
  return figure.replace(/\s+/g, '')
}

/** One mark and three figures after it: a thousand, or a thousandth. */
const TWO_WAYS = /^[1-9]\d{0,2}[.,]\d{3}$/

function readPrice(
  typed: string,
  currency: string,
  delimiter: string,
  decimal: Decimal,
  fault: (column: string, message: string) => void,
): number | null {
  const text = withoutSign(typed, currency)
  if (text === null) {
    fault(
      'price',
      `"${typed}" names another currency than ${currency}. Mend the one that is wrong.`,
    )
    return null
  }
  if (decimal === 'ask' && TWO_WAYS.test(text)) {
    fault(
      'price',
      `"${text}" could be ${text.replace(/[.,]/, '')} or ${Number(text.replace(',', '.'))}. Say above what a comma means in this file.`,
    )
    return null
  }
  const plain = plainFigure(text, delimiter, decimal)
  if (!/^\d+(\.\d+)?$/.test(plain)) {
    fault(
      'price',
      text === ''
        ? 'Fill in the price.'
        : `"${text}" is not a price. Write 286.50${delimiter === ',' ? '' : ' or 286,50'}, without a currency sign or thousands mark.`,
    )
    return null
  }
  const digits = minorDigits(currency)
  const [units = '0', part = ''] = plain.split('.')
  if (part.replace(/0+$/, '').length > digits) {
    fault('price', `"${text}" has more decimals than ${currency} has (${digits}).`)
    return null
  }
  const minor =
    Number(units) * 10 ** digits + Number((part + '0'.repeat(digits)).slice(0, digits) || '0')
  if (minor > MOST_MINOR) {
    fault('price', `"${text}" is beyond any price kept here. Check the marks in it.`)
    return null
  }
  return minor
}
