import { parseQuantity, QuantityError, type Reading } from '../quantity/units.ts'

/** Splines of a shaft or hub: how many, and their outer Ø, mm. */
export interface Spline {
  readonly splines: number
  readonly majorMm: number
}

const SPLINE = /^(\d+)\s*(?:-?\s*(?:spline|splines|teeth|tooth|t)\b)?\s*(?:[x×,]|on|by)?\s*(.+)$/i

/** True where it reads as a spline said whole, such as `26 spline 1-1/8`. */
export const isSpline = (typed: string): boolean =>
  /^\s*\d+\s*-?\s*(spline|splines|teeth|tooth)\b/i.test(typed)

/**
 * Reads a spline as a shop says it: `26 spline 1-1/8`, `23 splines 25.4 mm`, `10 spline 1 1/8 in`.
 *
 * @throws QuantityError saying how it is written
 * @example parseSpline('26 spline 1-1/8') // { splines: 26, majorMm: 28.575 }
 */
export function parseSpline(typed: string, reading: Reading = {}): Spline {
  const match = SPLINE.exec(typed.trim())
  if (!match || !isSpline(typed))
    throw new QuantityError(
      `"${typed}" is not a spline. Write how many and the outer Ø: 26 spline 1-1/8, or 23 spline 25.4 mm.`,
    )
  const splines = Number(match[1])
  if (splines < 3) throw new QuantityError(`${splines} splines are too few: count them again.`)
  const majorMm = parseQuantity(match[2]!.replace(/^(\d+)-(\d+\/\d+)/, '$1 $2'), 'mm', reading)
  if (majorMm <= 0) throw new QuantityError(`"${typed}": the Ø must be more than 0.`)
  return { splines, majorMm }
}
