import { allocate as allocateDinero, type DineroCurrency, dinero, toSnapshot } from 'dinero.js'
import * as currencies from 'dinero.js/currencies'
import { askWhereDoubtful, type Decimal } from '../quantity/units.ts'

/** ISO 4217 alphabetic code. Amounts are integers of its minor unit. */
export type Currency = string

const known: Readonly<Record<string, DineroCurrency<number> | undefined>> = { ...currencies }

export const isCurrency = (code: string): boolean => Object.hasOwn(known, code)

/**
 * Digits of the minor unit (ISO 4217): JPY 0, EUR 2, KWD 3.
 * @throws RangeError on an unknown code
 */
export function minorDigits(code: Currency): number {
  const found = known[code]
  if (!found) throw new RangeError(`"${code}" is not an ISO 4217 currency code, such as EUR.`)
  return found.exponent
}

/**
 * amount × rate, rounded half-even, exact in decimals (the rate is read to 12 places).
 * @throws RangeError when the amount is not an integer or the rate not finite
 */
export function timesRate(minor: number, rate: number): number {
  if (!Number.isSafeInteger(minor))
    throw new RangeError(`timesRate requires an integer of minor units, not ${minor}`)
  if (!Number.isFinite(rate)) throw new RangeError(`timesRate requires a finite rate, not ${rate}`)
  if (rate === 1) return minor
  const scale = 1_000_000_000_000n
  const scaled = BigInt(minor) * toScaled(rate)
  const negative = scaled < 0n
  const size = negative ? -scaled : scaled
  let whole = size / scale
  const twice = (size % scale) * 2n
  if (twice > scale || (twice === scale && whole % 2n === 1n)) whole += 1n
  return Number(negative ? -whole : whole)
}

function toScaled(rate: number): bigint {
  const [whole, part = ''] = Math.abs(rate).toFixed(12).split('.') as [string, string?]
  const scaled = BigInt(whole + part.padEnd(12, '0'))
  return rate < 0 ? -scaled : scaled
}

/** Amount in another currency at a rate of `to` per `from`, half-even. */
export const convert = (minor: number, from: Currency, to: Currency, rate: number): number =>
  timesRate(minor, rate * 10 ** (minorDigits(to) - minorDigits(from)))

/** Splits an amount by ratios without losing a minor unit: the shares sum to the amount. */
export function allocate(
  minor: number,
  ratios: readonly number[],
  currency: Currency = 'EUR',
): number[] {
  const shares = allocateDinero(
    dinero({ amount: minor, currency: known[currency]! }),
    ratios as number[],
  )
  return shares.map((share) => toSnapshot(share).amount)
}

/** Prints an amount for reading: `€ 3 410`, `€ 286.00`. Whole amounts drop the minor unit when asked. */
export function printMoney(minor: number, currency: Currency, whole = false): string {
  const digits = minorDigits(currency)
  const shown = whole ? 0 : digits
  const text = (Math.abs(minor) / 10 ** digits).toFixed(shown)
  const [units = '0', part] = text.split('.')
  const grouped = units.replace(/\B(?=(\d{3})+$)/g, '\u202f')
  return `${minor < 0 ? '−' : ''}${SYMBOLS[currency] ?? currency} ${grouped}${part ? `.${part}` : ''}`
}

const SYMBOLS: Record<string, string> = { EUR: '€', GBP: '£', USD: '$', JPY: '¥' }

/**
 * Reads an amount as typed (`286`, `286.50`, `1 286,5`) into minor units. One separator and three digits can mean two
 * things, and is asked.
 * @param decimal what a person's decimal sign is: its reading is offered first
 * @throws QuantityQuestion where it can mean two things · RangeError saying what could not be read
 */
export function parseMoney(typed: string, currency: Currency, decimal: Decimal = 'ask'): number {
  const text = typed.replace(/[\s\u202f\u00a0]/g, '').replace(/^[€£$¥]/, '')
  if (!/^-?\d+([.,]\d+)?$/.test(text))
    throw new RangeError(`"${typed}" is not an amount. Type figures such as 286.50.`)
  askWhereDoubtful(text, decimal)
  const digits = minorDigits(currency)
  const [units = '0', part = ''] = text.replace(',', '.').split('.')
  if (part.replace(/0+$/, '').length > digits)
    throw new RangeError(`"${typed}" has more decimals than ${currency} has (${digits}).`)
  const sign = units.startsWith('-') ? -1 : 1
  return (
    sign *
    (Math.abs(Number(units)) * 10 ** digits +
      Number((part + '0'.repeat(digits)).slice(0, digits) || '0'))
  )
}
