import { isCurrency, minorDigits } from '../../core/money/money.ts'
import type { Decimal } from '../../core/quantity/units.ts'
import { STANDINGS, type Standing } from '../../core/sourcing/standing.ts'
import { OFFER_COLUMNS, type OfferColumn } from '../../core/tables/offer-columns.ts'

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
  /** Null where the list does not say. */
  readonly standing: Standing | null
}

export interface BadCell {
  readonly line: number
  readonly column: string
  readonly message: string
}

type Cell = (name: OfferColumn) => string
/** Tells what is wrong in a column, and what to do. */
export type Tell = (column: string, message: string) => void

/** Longest texts of an offer, as where they are typed. */
const LONGEST: Partial<Record<OfferColumn, number>> = {
  supplier: 120,
  issuer: 120,
  number: 120,
  description: 2000,
  condition: 40,
}

/**
 * One offer, read from the words of its columns; null where any is wrong, each told.
 * @param delimiter with semicolons or tabs decimals may have a comma
 */
export function readOffer(
  cell: Cell,
  line: number,
  delimiter: string,
  decimal: Decimal,
  fault: Tell,
): OfferLine | null {
  let isRight = true
  const tell: Tell = (column, message) => {
    isRight = false
    fault(column, message)
  }
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
  fault: Tell,
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
    standing: readStanding(cell('standing'), fault),
  }
}

/** Words by which lists say how far something has come (common practice, no published source). */
const STANDING_WORDS: Readonly<Record<Standing, readonly string[]>> = {
  announced: ['announced', 'coming', 'coming soon', 'pre-order', 'preorder'],
  trial: ['trial', 'on trial', 'test', 'prototype'],
  shipping: ['shipping', 'sold', 'active', 'available', 'current'],
  ended: ['ended', 'discontinued', 'obsolete', 'no longer sold', 'ended, no successor'],
}

function readStanding(text: string, fault: Tell): Standing | null {
  if (text === '') return null
  const found = STANDINGS.find((one) => STANDING_WORDS[one].includes(text.toLowerCase()))
  if (!found)
    fault('standing', `"${text.slice(0, 40)}" should be ${STANDINGS.join(', ')}, or blank.`)
  return found ?? null
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
  fault: Tell,
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
