import type { Code } from '../joints/code.ts'
import type { Range } from '../money/range.ts'

/** What a pairing is weighed by beside its likely money: whole euros for one of each. Common practice, no published source. */
export const WEIGHTS = {
  open: 150,
  hour: 10,
  kg: 3,
  rpm: 0.2,
  wish: 400,
} as const
export type WeightName = keyof typeof WEIGHTS
export type Weights = Readonly<Record<WeightName, number>>

export const WEIGHT_WORDS: Readonly<Record<WeightName, string>> = {
  open: 'a joint that is not measured',
  hour: 'an hour of work, beside its rate',
  kg: 'a kilogram more than now',
  rpm: 'a turn a minute over 2,000 in top at 80',
  wish: 'a wish it does not meet, or a piece to be found',
}
/** Engine speed in top that costs nothing, rpm. */
const QUIET_RPM = 2000

export const weightsOf = (kept: Readonly<Record<string, number>>): Weights => ({
  ...WEIGHTS,
  ...kept,
})

/** What a pairing is weighed by. */
export interface Weighed {
  readonly codes: readonly Code[]
  readonly money: (Range & { readonly likely: number }) | null
  readonly hours: Range
  readonly open: number
  readonly massChangeKg: number | null
  readonly cruiseRpm: number | null
  /** The fastest it holds a hill of 6 % in top, km/h. */
  readonly hillTopKmh: number | null
  readonly marginNm: number | null
  readonly cuts: number
  readonly makes: number
}

/** Limits of the brief: what breaks one is out. Minor units, hours. */
export interface BriefLimits {
  readonly money: number | null
  readonly hours: number | null
  readonly boltIn: boolean
  readonly uncut: boolean
}

/** One thing that adds to what a pairing weighs, minor units. */
export interface Share {
  readonly words: string
  readonly minor: number
}

export type Weighing =
  | { readonly out: string }
  | { readonly minor: number; readonly shares: readonly Share[] }

/** Speed at which a hill of 6 % is wished to be held in top. */
const HILL_KMH = 60

/**
 * What a pairing comes to for choosing: its likely money, with a price on what money does not count. What clashes or breaks a
 * limit of the brief is out, and says why.
 *
 * @param euroMinor minor units of the build for a euro
 */
export function weigh(
  one: Weighed,
  limits: BriefLimits,
  weights: Weights,
  euroMinor: number,
): Weighing {
  if (one.codes.includes('clash')) return { out: 'a joint clashes' }
  if (one.money === null) return { out: 'no rate of exchange, so no money' }
  if (limits.money !== null && one.money.low > limits.money)
    return { out: 'over the money in nine builds of ten' }
  if (limits.hours !== null && one.hours.low > limits.hours)
    return { out: 'over the hours in nine builds of ten' }
  if (limits.boltIn && one.makes > 0) return { out: 'something is welded or machined' }
  if (limits.uncut && one.cuts > 0) return { out: 'something is cut' }
  const wishes = [
    ...(one.hillTopKmh !== null && one.hillTopKmh < HILL_KMH
      ? [`does not hold 6 % at ${HILL_KMH} in top`]
      : []),
    ...(one.marginNm !== null && one.marginNm < 0 ? ['its torque is over a rating'] : []),
  ]
  const pieces = one.codes.filter((code) => code === 'bridge').length
  const hours = (one.hours.low + one.hours.high) / 2
  const share = (name: WeightName, count: number, words: string): Share[] => {
    const minor = Math.round(count * weights[name] * euroMinor)
    return minor > 0 ? [{ words, minor }] : []
  }
  const shares = [
    ...share('open', one.open, `${one.open} not measured`),
    ...share('hour', hours, `${Math.round(hours)} h of work`),
    ...share(
      'kg',
      Math.max(0, one.massChangeKg ?? 0),
      `${Math.round(one.massChangeKg ?? 0)} kg more`,
    ),
    ...share(
      'rpm',
      Math.max(0, (one.cruiseRpm ?? QUIET_RPM) - QUIET_RPM),
      `${Math.round(one.cruiseRpm ?? 0)} rpm at 80`,
    ),
    ...wishes.flatMap((words) => share('wish', 1, words)),
    ...share('wish', pieces, pieces === 1 ? 'a piece to be found' : `${pieces} pieces to be found`),
  ]
  return { minor: one.money.likely + shares.reduce((sum, { minor }) => sum + minor, 0), shares }
}
