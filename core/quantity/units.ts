/**
 * Units and how people type them. Stored units are mm, N·m, kg, rev/min, degrees, hours, litres.
 * Factors: NIST SP 811 (2008), appendix B, exact where exact.
 */
export type StoredUnit = 'mm' | 'N·m' | 'kg' | 'rpm' | '°' | 'h' | 'L' | ''

const FACTORS: Record<Exclude<StoredUnit, ''>, Record<string, number>> = {
  mm: { mm: 1, cm: 10, m: 1000, in: 25.4, '"': 25.4, inch: 25.4, inches: 25.4, ft: 304.8, thou: 0.0254 },
  N·m: { n·m: 1, nm: 1, 'n.m': 1, lbf·ft: 1.3558179483314, 'lbf.ft': 1.3558179483314, 'lb-ft': 1.3558179483314, kgf·m: 9.80665, 'kgf.m': 9.80665 },
  kg: { kg: 1, g: 0.001, t: 1000, lb: 0.45359237, lbs: 0.45359237 },
  rpm: { rpm: 1, '/min': 1, 'rev/min': 1 },
  '°': { '°': 1, deg: 1 },
  h: { h: 1, hr: 1, min: 1 / 60 },
  L: { l: 1, ml: 0.001 },
}

export class QuantityError extends Error {}

const NUMBER = /^([+-])?(?:(\d+)\s+)?(?:(\d+)\/(\d+)|(\d+(?:[.,]\d+)?|[.,]\d+))/

/**
 * Reads a quantity as typed (`86 mm`, `3 3/8 in`, `7/16"`, `47 lbf·ft`, `11,8`) into the stored unit.
 * A number without a unit is read in `assume` (default: the stored unit).
 *
 * @throws QuantityError saying what could not be read and what can be typed
 * @example parseQuantity('3 3/8 in', 'mm') // 85.725
 */
export function parseQuantity(typed: string, unit: StoredUnit, assume?: string): number {
  const text = typed.trim().replace('−', '-')
  const match = NUMBER.exec(text)
  if (!match || text === '') throw new QuantityError(`"${typed}" is not a number. Type a figure such as ${unit === 'mm' ? '11.8, 86 mm or 3 3/8 in' : '180'}.`)
  const [read, sign, whole, over, under, decimal] = match
  if (decimal && /^\d{1,3},\d{3}$/.test(decimal) && !decimal.startsWith('0'))
    throw new QuantityError(`"${typed}" could be ${decimal.replace(',', '')} or ${decimal.replace(',', '.')}. Type it without the comma.`)
  if (whole && decimal) throw new QuantityError(`"${typed}" has two numbers. Type one, such as ${whole}.${decimal}.`)
  if (under && Number(under) === 0) throw new QuantityError(`"${typed}" divides by zero. Check the fraction.`)
  const fraction = over ? Number(over) / Number(under) : 0
  const magnitude = (whole ? Number(whole) : 0) + fraction + (decimal ? Number(decimal.replace(',', '.')) : 0)
  const named = text.slice(read.length).trim()
  const value = (sign === '-' ? -1 : 1) * magnitude * factor(named || assume || '', unit, typed)
  return Number(value.toPrecision(15))
}

function factor(named: string, unit: StoredUnit, typed: string): number {
  if (named === '' || named.toLowerCase() === unit.toLowerCase()) return 1
  if (unit === '') {
    if (named === ':1') return 1
    throw new QuantityError(`"${typed}" should be a plain number, without "${named}".`)
  }
  const found = FACTORS[unit][named.toLowerCase().replace('*', '·')]
  if (found === undefined) throw new QuantityError(`"${named}" is not a unit for this. Use ${Object.keys(FACTORS[unit]).slice(0, 5).join(', ')}.`)
  return found
}

export type LengthUnit = 'mm' | 'in'

/** Prints a stored value for reading: lengths in mm or inches (fraction where it is one to 1/64), others as stored. */
export function printQuantity(value: number, unit: StoredUnit, length: LengthUnit = 'mm'): string {
  if (unit === 'mm' && length === 'in') return `${printInches(value)} in`
  const figure = trim(value)
  return unit === '' ? figure : unit === '°' ? `${figure}°` : `${figure} ${unit}`
}

/** Inches as a mixed fraction when the value is one to within a micron, else three decimals. */
export function printInches(mm: number): string {
  const inches = mm / 25.4
  const sixtyFourths = Math.round(Math.abs(inches) * 64)
  if (sixtyFourths === 0 || Math.abs(Math.abs(inches) * 64 - sixtyFourths) > 64 * (0.001 / 25.4)) return inches.toFixed(3)
  let over = sixtyFourths % 64
  let under = 64
  while (over > 0 && over % 2 === 0) {
    over /= 2
    under /= 2
  }
  const whole = Math.floor(sixtyFourths / 64)
  const body = over === 0 ? `${whole}` : whole === 0 ? `${over}/${under}` : `${whole} ${over}/${under}`
  return inches < 0 ? `-${body}` : body
}

const trim = (value: number): string => {
  const digits = Math.abs(value) >= 1000 ? 0 : Math.abs(value) >= 100 ? 1 : 3
  return String(Number(value.toFixed(digits)))
}
