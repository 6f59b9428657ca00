/** Unloaded diameter of a tyre, and what it may be off by where its marking leaves the ratio out, mm. */
export interface TyreSize {
  readonly diameterMm: number
  readonly plusMinusMm: number
}

const INCH = 25.4
/** Ratio of height to width where the marking has none; common practice, no published source. */
const UNSTATED = {
  metric: { ratio: 0.82, by: 0.02 },
  inchRadial: { ratio: 0.9, by: 0.06 },
  inchCrossPly: { ratio: 0.95, by: 0.05 },
} as const

/** `205/55R16`, `LT235/85R16`, `195R14C`, `165SR13`, `295/80R22.5 152/148M`. */
const METRIC =
  /^(?:LT|P|ST|T)?(\d{3})(?:\/(\d{2,3}))?\s*(?:[STHVWYZ]?R|-|D|B)\s*(\d{2}(?:\.5)?)\s*(?:C|LT|XL)?$/
/** `31x10.50R15LT`: the diameter stands first. */
const FLOTATION =
  /^(?:LT)?(\d{2}(?:\.\d)?)X(\d{1,2}(?:\.\d{1,2})?)\s*(?:R|-)\s*(\d{2}(?:\.5)?)\s*(?:C|LT)?$/
/** `7.50-16`, `7.50R16C`, `6.00x16`, `12.4-28`, `11R22.5`. */
const INCHES = /^(\d{1,2}(?:\.\d{1,2})?)\s*([R\-X])\s*(\d{2}(?:\.5)?)\s*(?:C|LT)?$/

/**
 * Size of a tyre by its marking (ETRTO / TRA): rim + twice width × ratio, or the diameter itself where that stands first.
 * Load, speed and ply ratings after it are passed over.
 *
 * @throws RangeError when the marking cannot be read
 * @example tyreSize('205/55R16') // 631.9 ± 0
 * @example tyreSize('7.50-16') // 768.4 ± 19.1
 */
export function tyreSize(marking: string): TyreSize {
  const text = marking
    .trim()
    .toUpperCase()
    .replace(/\s+\d{2,3}(?:\/\d{2,3})?\s*[A-Z]{1,2}\d?$/, '')
    .replace(/\s+\d{1,2}\s*PR$/, '')
    .replace(/,/g, '.')
    .trim()
  const metric = METRIC.exec(text)
  if (metric) {
    const [, width, ratio, rim] = metric.map(Number) as [number, number, number, number]
    return Number.isNaN(ratio)
      ? sized(rim, width, UNSTATED.metric)
      : sized(rim, width, { ratio: ratio / 100, by: 0 })
  }
  const flotation = FLOTATION.exec(text)
  if (flotation && Number(flotation[1]) > Number(flotation[3]))
    return { diameterMm: Number(flotation[1]) * INCH, plusMinusMm: 0 }
  const inches = INCHES.exec(text)
  if (inches)
    return sized(
      Number(inches[3]),
      Number(inches[1]) * INCH,
      inches[2] === 'R' ? UNSTATED.inchRadial : UNSTATED.inchCrossPly,
    )
  throw new RangeError(
    `"${marking}" is not a tyre marking. Type it as on the side wall, such as 205/65R15, 31x10.50R15, 7.50-16 or 195R14C.`,
  )
}

const sized = (
  rimInches: number,
  widthMm: number,
  { ratio, by }: { readonly ratio: number; readonly by: number },
): TyreSize => ({
  diameterMm: rimInches * INCH + 2 * widthMm * ratio,
  plusMinusMm: 2 * widthMm * by,
})

/** Turns per kilometre of a diameter in mm; of the rolling one under load. */
export const revsPerKm = (diameterMm: number): number => 1_000_000 / (Math.PI * diameterMm)

const sizes = new Map<string, TyreSize | null>()
const MOST_MARKINGS = 10_000

/** The size, read once; null when the marking cannot be read. */
function sizeOf(marking: string): TyreSize | null {
  let size = sizes.get(marking)
  if (size === undefined) {
    try {
      size = tyreSize(marking)
    } catch {
      size = null
    }
    if (sizes.size >= MOST_MARKINGS) sizes.clear()
    sizes.set(marking, size)
  }
  return size
}

/** What is wrong with a marking, in words; null where it can be read. */
export function markingFault(marking: string): string | null {
  try {
    tyreSize(marking)
    return null
  } catch (error) {
    return (error as Error).message
  }
}

/** Loaded rolling radius in mm, its least and its greatest; NaN when the marking cannot be read. */
export function loadedRadius(
  marking: string | null,
  rollingFactor: number,
): { readonly mm: number; readonly ends: readonly [number, number] } {
  const size = marking === null ? null : sizeOf(marking)
  if (!size) return { mm: Number.NaN, ends: [Number.NaN, Number.NaN] }
  const at = (diameterMm: number): number => (diameterMm / 2) * rollingFactor
  const { diameterMm, plusMinusMm } = size
  return {
    mm: at(diameterMm),
    ends: [at(diameterMm - plusMinusMm), at(diameterMm + plusMinusMm)],
  }
}
