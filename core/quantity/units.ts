import { own } from '../own.ts'

/**
 * Units and how people type them.
 * Factors: NIST SP 811 (2008), appendix B, exact where exact.
 */
export type StoredUnit =
  | 'mm'
  | 'N·m'
  | 'kg'
  | 'kPa'
  | '°C'
  | 'L'
  | 'L/100km'
  | 'rpm'
  | '°'
  | 'h'
  | 'N'
  | 'kW'
  | ''

/** From a unit to the stored one: value × factor + offset, or `inverse` ÷ value. */
interface Conversion {
  readonly factor: number
  readonly offset?: number
  readonly inverse?: number
}

const by = (factor: number): Conversion => ({ factor })
const MILE_KM = 1.609344
const US_GALLON = 3.785411784
const IMPERIAL_GALLON = 4.54609
const perGallon = (litres: number): Conversion => ({ factor: 1, inverse: (100 * litres) / MILE_KM })

/** Every spelling of every unit, lower case. */
const UNITS: Record<Exclude<StoredUnit, ''>, Record<string, Conversion>> = {
  mm: {
    mm: by(1),
    cm: by(10),
    m: by(1000),
    in: by(25.4),
    '"': by(25.4),
    inch: by(25.4),
    inches: by(25.4),
    ft: by(304.8),
    thou: by(0.0254),
  },
  N·m: {
    n·m: by(1),
    nm: by(1),
    'n.m': by(1),
    lbf·ft: by(1.3558179483314),
    'lbf.ft': by(1.3558179483314),
    'lb-ft': by(1.3558179483314),
    lb·ft: by(1.3558179483314),
    kgf·m: by(9.80665),
    'kgf.m': by(9.80665),
    mkp: by(9.80665),
  },
  kg: { kg: by(1), g: by(0.001), t: by(1000), lb: by(0.45359237), lbs: by(0.45359237) },
  kPa: {
    kpa: by(1),
    bar: by(100),
    psi: by(6.894757293168361),
    mpa: by(1000),
    'kgf/cm²': by(98.0665),
  },
  '°C': {
    '°c': by(1),
    c: by(1),
    '°f': { factor: 5 / 9, offset: -160 / 9 },
    f: { factor: 5 / 9, offset: -160 / 9 },
  },
  L: {
    l: by(1),
    ml: by(0.001),
    'us gal': by(US_GALLON),
    'gal us': by(US_GALLON),
    'imp gal': by(IMPERIAL_GALLON),
    'gal imp': by(IMPERIAL_GALLON),
  },
  'L/100km': {
    'l/100km': by(1),
    'l/100 km': by(1),
    'km/l': { factor: 1, inverse: 100 },
    'us mpg': perGallon(US_GALLON),
    'mpg us': perGallon(US_GALLON),
    'imp mpg': perGallon(IMPERIAL_GALLON),
    'mpg imp': perGallon(IMPERIAL_GALLON),
  },
  rpm: { rpm: by(1), '/min': by(1), 'rev/min': by(1) },
  '°': { '°': by(1), deg: by(1) },
  N: { n: by(1), kn: by(1000), kgf: by(9.80665), lbf: by(4.4482216152605) },
  kW: {
    kw: by(1),
    w: by(0.001),
    hp: by(0.7456998715822702),
    bhp: by(0.7456998715822702),
    ps: by(0.73549875),
    cv: by(0.73549875),
    pk: by(0.73549875),
  },
  h: { h: by(1), hr: by(1), min: by(1 / 60) },
}

/** Units whose name alone does not say which is meant: asked, never guessed. */
const ASKED: Readonly<Record<string, readonly string[]>> = {
  mpg: ['US mpg', 'imp mpg'],
  gal: ['US gal', 'imp gal'],
  gallon: ['US gal', 'imp gal'],
  gallons: ['US gal', 'imp gal'],
}

/** Units a shop may show each stored unit in; the stored one first. */
export const UNIT_CHOICES = {
  mm: ['mm', 'in'],
  N·m: ['N·m', 'lbf·ft', 'kgf·m'],
  kg: ['kg', 'lb'],
  kPa: ['kPa', 'bar', 'psi'],
  '°C': ['°C', '°F'],
  L: ['L', 'US gal', 'imp gal'],
  'L/100km': ['L/100km', 'US mpg', 'imp mpg'],
  kW: ['kW', 'hp', 'PS'],
} as const satisfies Partial<Record<StoredUnit, readonly string[]>>

export type ChosenUnit = keyof typeof UNIT_CHOICES
/** The unit each kind of field is shown in, and read in where none is typed. */
export type Units = Partial<Record<ChosenUnit, string>>
/** What a comma in a figure means to whoever typed it; `ask` where nobody said. */
export type Decimal = 'point' | 'comma' | 'ask'

/** How what was typed is to be read. */
export interface Reading {
  readonly units?: Units | undefined
  readonly decimal?: Decimal | undefined
}

export class QuantityError extends Error {}

/** Typed well, but it can mean two things: each way to write it plainly. */
export class QuantityQuestion extends QuantityError {
  readonly choices: readonly string[]
  constructor(message: string, choices: readonly string[]) {
    super(message)
    this.choices = choices
  }
}

const NUMBER = /^([+-])?(?:(\d+)[\s-]+)?(?:(\d+)\/(\d+)|(\d[\d.,]*|[.,]\d+))/

/**
 * Reads a quantity as typed (`86 mm`, `3 3/8 in`, `7/16`, `47 lbf·ft`, `10 bar`, `190 °F`) into the stored unit.
 * A bare figure is in the unit of choice; a bare binary fraction of a length is in inches, as everybody means it.
 *
 * @throws QuantityQuestion where it can mean two things (`1,500 kg`, `28 mpg`) · QuantityError saying what to type
 * @example parseQuantity('3 3/8 in', 'mm') // 85.725
 */
export function parseQuantity(
  typed: string,
  unit: StoredUnit,
  { units = {}, decimal = 'ask' }: Reading = {},
): number {
  const text = typed.trim().replace('−', '-')
  const match = NUMBER.exec(text)
  if (!match || text === '')
    throw new QuantityError(
      `"${typed}" is not a number. Type a figure such as ${unit === 'mm' ? '11.8, 86 mm or 3 3/8 in' : '180'}.`,
    )
  const [read, sign, whole, over, under, figure] = match
  const named = text.slice(read.length).trim()
  if (whole && figure)
    throw new QuantityError(
      `"${typed}" has two numbers. Type one, such as ${whole}.${figure.replace(/\D/g, '')}.`,
    )
  if (under && Number(under) === 0)
    throw new QuantityError(`"${typed}" divides by zero. Check the fraction.`)
  const plain = figure ? plainFigure(figure, decimal, (other) => text.replace(figure, other)) : 0
  const magnitude = (whole ? Number(whole) : 0) + (over ? Number(over) / Number(under) : 0) + plain
  const isInchFraction =
    unit === 'mm' && under !== undefined && Number.isInteger(Math.log2(Number(under)))
  const assumed = isInchFraction ? 'in' : ((units as Record<string, string>)[unit] ?? '')
  const value = convertIn(
    (sign === '-' ? -1 : 1) * magnitude,
    named || assumed,
    unit,
    typed,
    (other) => `${read.trim()} ${other}`,
  )
  return Number(value.toPrecision(15))
}

/**
 * Reads a ± as typed beside a value: a bare figure is in the unit the value was typed in (0.01 beside `2 1/4 in` is of an
 * inch), another unit may be written. In the stored unit.
 *
 * @throws QuantityError
 */
export function parsePlusMinus(
  typed: string,
  value: string,
  unit: StoredUnit,
  reading: Reading = {},
): number {
  const text = typed.trim().replace(/^±\s*/, '')
  const [of] = NUMBER.exec(text) ?? ['']
  const own = text.slice(of.length).trim()
  const beside = value.trim().replace('−', '-')
  const [figure] = NUMBER.exec(beside) ?? ['']
  const named = own || beside.slice(figure.length).trim() || (isInches(figure, unit) ? 'in' : '')
  const at = parseQuantity(named && figure ? `${figure.trim()} ${named}` : value, unit, reading)
  // By the difference it makes: degrees Fahrenheit have an offset, miles a gallon turn over.
  const shown = convertOut(at, unit, shownUnit(named, unit, reading))
  const by = parseQuantity(of, '', reading)
  if (by < 0) throw new QuantityError(`"${typed}" is not a ±. Type a figure such as 0.1.`)
  const moved = (to: number): number =>
    convertIn(to, shownUnit(named, unit, reading), unit, typed, (other) => `${of} ${other}`)
  return Math.max(Math.abs(moved(shown + by) - at), Math.abs(at - moved(shown - by)))
}

const isInches = (figure: string, unit: StoredUnit): boolean =>
  unit === 'mm' && Number.isInteger(Math.log2(Number(/\/(\d+)/.exec(figure)?.[1])))
const shownUnit = (named: string, unit: StoredUnit, { units = {} }: Reading): string =>
  named || ((units as Record<string, string>)[unit] ?? unit)

/**
 * Asks where a figure has one separator and three digits after it: `1.500` is one and a half, or fifteen hundred.
 *
 * @param decimal what a person's decimal sign is: its reading is offered first
 * @throws QuantityQuestion
 */
export function askWhereDoubtful(typed: string, decimal: Decimal): void {
  const [, units, sign, rest] = /^(-?[1-9]\d{0,2})([.,])(\d{3})$/.exec(typed) ?? []
  if (units === undefined) return
  const [grouped, pointed] = [`${units}${rest}`, String(Number(`${units}.${rest}`))]
  const isDecimal = decimal !== 'ask' && (decimal === 'point') === (sign === '.')
  const choices = isDecimal ? [pointed, grouped] : [grouped, pointed]
  throw new QuantityQuestion(
    `"${typed}" could be ${choices.join(' or ')}. Type it without the ${sign === '.' ? 'point' : 'comma'}, or with fewer digits behind it.`,
    choices,
  )
}

/** A figure with its comma or points understood. */
function plainFigure(
  figure: string,
  decimal: Decimal,
  rewrite: (figure: string) => string,
): number {
  const separators = figure.replace(/\d/g, '')
  const bad = (): never => {
    throw new QuantityError(`"${figure}" is not a number. Type it with one decimal point, or none.`)
  }
  if (separators === '') return Number(figure)
  if (separators.length === 1) {
    const isPoint = separators === '.'
    const mayGroup = /^[1-9]\d{0,2}[.,]\d{3}$/.test(figure)
    const grouped = figure.replace(separators, '')
    const pointed = figure.replace(',', '.')
    if (!mayGroup || (isPoint && decimal !== 'comma')) return Number(pointed)
    if (!isPoint && decimal === 'point') return Number(grouped)
    if (!isPoint && decimal === 'comma') return Number(pointed)
    throw new QuantityQuestion(
      `"${figure}" could be ${grouped} or ${pointed}. Type it without the ${isPoint ? 'point' : 'comma'}.`,
      [rewrite(grouped), rewrite(trailing(pointed))],
    )
  }
  // Both kinds: the last is the decimal. One kind more than once: thousands.
  const last = separators.at(-1)!
  const others = separators.slice(0, -1)
  const grouping = others.includes(last) ? last : others[0]!
  const [units = '', rest] = others.includes(last)
    ? [figure]
    : [figure.slice(0, figure.lastIndexOf(last)), figure.slice(figure.lastIndexOf(last) + 1)]
  if ([...others].some((one) => one !== grouping) || !/^\d{1,3}([.,]\d{3})+$/.test(units)) bad()
  return Number(`${units.replace(/[.,]/g, '')}${rest === undefined ? '' : `.${rest}`}`)
}

/** 1.500 as 1.5: so that it reads one way only. */
const trailing = (figure: string): string => String(Number(figure))

function convertIn(
  value: number,
  named: string,
  unit: StoredUnit,
  typed: string,
  rewrite: (unit: string) => string,
): number {
  if (named === '' || named.toLowerCase() === unit.toLowerCase()) return value
  if (unit === '') {
    if (named === ':1' || named === ': 1') return value
    throw new QuantityError(`"${typed}" should be a plain number, without "${named}".`)
  }
  const key = named.toLowerCase().replace('*', '·').replace(/\s+/g, ' ')
  const asked = own(ASKED, key)
  if (asked && UNITS[unit][asked[0]!.toLowerCase()])
    throw new QuantityQuestion(
      `"${named}" could be of a US gallon (3.785 L) or an imperial one (4.546 L). Write which.`,
      asked.map(rewrite),
    )
  const found = own(UNITS[unit], key)
  if (found === undefined)
    throw new QuantityError(
      `"${named}" is not a unit for this. Use ${Object.keys(UNITS[unit]).slice(0, 5).join(', ')}.`,
    )
  if (found.inverse === undefined) return value * found.factor + (found.offset ?? 0)
  if (value === 0)
    throw new QuantityError(`"${typed}" would be no distance at all. Check the figure.`)
  return found.inverse / value
}

/** A stored value in the unit it is shown in, as a figure. */
function convertOut(value: number, unit: StoredUnit, shown: string): number {
  if (unit === '' || shown === unit) return value
  const { factor, offset = 0, inverse } = UNITS[unit][shown.toLowerCase()]!
  return inverse === undefined ? (value - offset) / factor : inverse / value
}

/** Prints a stored value for reading, in the unit of choice: inches as a fraction where it is one to 1/64. */
export function printQuantity(value: number, unit: StoredUnit, units: Units = {}): string {
  const shown = (units as Record<string, string>)[unit] ?? unit
  if (unit === 'mm' && shown === 'in') return `${printInches(value)} in`
  const figure = trim(convertOut(value, unit, shown))
  return shown === '' ? figure : shown === '°' ? `${figure}°` : `${figure} ${shown}`
}

/** Inches as a mixed fraction when the value is one to within a micron, else three decimals. */
export function printInches(mm: number): string {
  const inches = mm / 25.4
  const sixtyFourths = Math.round(Math.abs(inches) * 64)
  if (sixtyFourths === 0 || Math.abs(Math.abs(inches) * 64 - sixtyFourths) > 64 * (0.001 / 25.4))
    return inches.toFixed(3)
  let over = sixtyFourths % 64
  let under = 64
  while (over > 0 && over % 2 === 0) {
    over /= 2
    under /= 2
  }
  const whole = Math.floor(sixtyFourths / 64)
  const body =
    over === 0 ? `${whole}` : whole === 0 ? `${over}/${under}` : `${whole} ${over}/${under}`
  return inches < 0 ? `-${body}` : body
}

const trim = (value: number): string => {
  const digits = Math.abs(value) >= 1000 ? 0 : Math.abs(value) >= 100 ? 1 : 3
  return String(Number(value.toFixed(digits)))
}
