import { type Currency, parseMoney } from '../money/money.ts'
import { LINE_PLACES, type LinePlace, OWN_STATES } from './line.ts'

/** One row of what was pasted, read; `fault` says why it cannot be taken as it is. */
export interface PastedLine {
  readonly row: number
  readonly words: string
  readonly place: LinePlace
  readonly quantity: number
  readonly priceMinor: number | null
  readonly state: (typeof OWN_STATES)[number] | null
  /** A place that is none here, as it stood there. */
  readonly note: string | null
  readonly fault: string | null
}

const MOST = 500
/** First cells of a heading, which is no line. */
const HEADINGS = new Set(['words', 'line', 'part', 'item', 'what', 'name', 'description'])

/**
 * Lines pasted from a spreadsheet, one a row: words, place, quantity, price, state, with tabs or semicolons between. A place
 * nobody knows is the shop's, and is kept as a note; what cannot be read is said by row, and nothing is guessed of it.
 *
 * @throws Error where there are more rows than are taken at once
 */
export function pastedLines(text: string, currency: Currency): readonly PastedLine[] {
  const rows = text
    .split(/\r?\n/)
    .map((line, i) => ({
      cells: line.split(line.includes('\t') ? '\t' : ';').map((one) => one.trim()),
      row: i + 1,
    }))
    .filter(({ cells }) => cells.some((one) => one !== ''))
    .filter(({ cells, row }) => row > 1 || !HEADINGS.has((cells[0] ?? '').toLowerCase()))
  if (rows.length > MOST) throw new Error(`${rows.length} rows: paste at most ${MOST} at a time.`)
  return rows.map(
    ({ cells: [words = '', place = '', quantity = '', price = '', state = ''], row }) => {
      const faults: string[] = []
      if (words === '') faults.push('the first cell is blank: say what the line is')
      if (words.length > 300) faults.push('the first cell is longer than 300 letters')
      const count = quantity === '' ? 1 : Number(quantity)
      if (!Number.isInteger(count) || count < 1 || count > 100_000)
        faults.push(`"${quantity}" is no quantity: a whole number from 1`)
      let priceMinor: number | null = null
      if (price !== '')
        try {
          priceMinor = parseMoney(price, currency)
          if (priceMinor < 0) faults.push(`"${price}" is less than nothing`)
        } catch (error) {
          faults.push((error as Error).message.replace(/\.$/, ''))
        }
      const known = OWN_STATES.find((one) => one === state.toLowerCase()) ?? null
      if (state !== '' && known === null)
        faults.push(`"${state}" is no state: one of ${OWN_STATES.join(', ')}`)
      const stands = LINE_PLACES.find((one) => one === place.toLowerCase())
      return {
        row,
        words,
        place: stands ?? 'shop',
        note: stands || place === '' ? null : `Place in the spreadsheet: ${place.slice(0, 100)}`,
        quantity: count,
        priceMinor,
        state: known,
        fault: faults.length === 0 ? null : `Row ${row}: ${faults.join('; ')}.`,
      }
    },
  )
}
