import { parse } from 'csv-parse/sync'
import { isCurrency, minorDigits } from '../../core/money/money.ts'
import type { Decimal } from '../../core/quantity/units.ts'

export const OFFER_COLUMNS = ['supplier', 'issuer', 'number', 'description', 'price', 'currency', 'taxIncluded', 'pack', 'stock', 'leadDays', 'condition'] as const

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

/**
 * Reads offers from CSV (RFC 4180), separated by comma or semicolon; with semicolons decimals may have a comma.
 * Every bad cell is listed by line and column with what to do; nothing is thrown for bad rows.
 *
 * @param decimal what a comma in a price means in this file; `ask`: a price that can be read two ways is asked about
 * @param isSupplier whether a supplier of that name is known
 */
export function readOffersCsv(text: string, isSupplier: (name: string) => boolean = () => true, decimal: Decimal = 'ask'): { rows: OfferLine[]; bad: BadCell[] } {
  const first = text.replace(/^\ufeff/, '').split(/\r?\n/, 1)[0] ?? ''
  const delimiter = first.split(';').length > first.split(',').length ? ';' : ','
  let records: { record: string[]; info: { lines: number } }[]
  try {
    records = parse(text, { bom: true, delimiter, info: true, relax_column_count: true, skip_empty_lines: true }) as never
  } catch (error) {
    const { lines = 1, message } = error as { lines?: number; message: string }
    return { rows: [], bad: [{ line: lines, column: '', message: `The file cannot be read as CSV here: ${message}. Check the quotes.` }] }
  }
  const head = records[0]?.record.map((name) => name.trim()) ?? []
  const missing = OFFER_COLUMNS.filter((name) => !head.includes(name))
  if (missing.length > 0)
    return { rows: [], bad: [{ line: 1, column: missing[0]!, message: `The first line lacks ${missing.join(', ')}. It must name: ${OFFER_COLUMNS.join(', ')}.` }] }
  const bad: BadCell[] = []
  const rows: OfferLine[] = []
  for (const { record, info } of records.slice(1)) {
    const line = info.lines - record.reduce((count, cell) => count + (cell.match(/\n/g)?.length ?? 0), 0)
    const cell = (name: (typeof OFFER_COLUMNS)[number]): string => (record[head.indexOf(name)] ?? '').trim()
    const before = bad.length
    const fault = (column: string, message: string): void => void bad.push({ line, column, message })
    if (record.length !== head.length) fault('', `This row has ${record.length} cells, the first line has ${head.length}. Quote cells that hold "${delimiter}".`)
    if (cell('supplier') !== '' && !isSupplier(cell('supplier'))) fault('supplier', `There is no supplier "${cell('supplier')}". Add it under Suppliers first, or mend the name.`)
    const row = readRow(cell, line, delimiter, decimal, fault)
    if (bad.length === before && row) rows.push(row)
  }
  return { rows, bad }
}

function readRow(
  cell: (name: (typeof OFFER_COLUMNS)[number]) => string,
  line: number,
  delimiter: string,
  decimal: Decimal,
  fault: (column: string, message: string) => void,
): OfferLine | null {
  for (const name of ['supplier', 'issuer', 'number'] as const) if (cell(name) === '') fault(name, `Fill in the ${name}.`)
  const currency = cell('currency').toUpperCase()
  if (!isCurrency(currency)) {
    fault('currency', `"${cell('currency')}" is not an ISO 4217 code. Use one such as EUR.`)
    return null
  }
  const priceMinor = readPrice(cell('price'), currency, delimiter, decimal, fault)
  const tax = /^(yes|true|1|incl)$/i.test(cell('taxIncluded')) ? true : /^(no|false|0|excl)$/i.test(cell('taxIncluded')) ? false : null
  if (tax === null) fault('taxIncluded', `"${cell('taxIncluded')}" should be yes or no.`)
  const whole = (name: 'pack' | 'stock' | 'leadDays', least: number): number | null => {
    const text = cell(name)
    if (text === '') return null
    if (!/^\d+$/.test(text) || Number(text) < least) fault(name, `"${text}" should be a whole number, ${least} or more, or blank.`)
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
  return delimiter === ';' ? text.replace(',', '.') : text
}

/** One mark and three figures after it: a thousand, or a thousandth. */
const TWO_WAYS = /^[1-9]\d{0,2}[.,]\d{3}$/

function readPrice(text: string, currency: string, delimiter: string, decimal: Decimal, fault: (column: string, message: string) => void): number | null {
  if (decimal === 'ask' && TWO_WAYS.test(text)) {
    fault('price', `"${text}" could be ${text.replace(/[.,]/, '')} or ${Number(text.replace(',', '.'))}. Say above what a comma means in this file.`)
    return null
  }
  const plain = plainFigure(text, delimiter, decimal)
  if (!/^\d+(\.\d+)?$/.test(plain)) {
    fault(
      'price',
      text === '' ? 'Fill in the price.' : `"${text}" is not a price. Write 286.50${delimiter === ';' ? ' or 286,50' : ''}, without a currency sign or thousands mark.`,
    )
    return null
  }
  const digits = minorDigits(currency)
  const [units = '0', part = ''] = plain.split('.')
  if (part.replace(/0+$/, '').length > digits) {
    fault('price', `"${text}" has more decimals than ${currency} has (${digits}).`)
    return null
  }
  return Number(units) * 10 ** digits + Number((part + '0'.repeat(digits)).slice(0, digits) || '0')
}
