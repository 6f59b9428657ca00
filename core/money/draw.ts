import { seeded } from '../seeded.ts'
import type { Three } from './three.ts'
import { meanOf, quantileOf, varianceOf } from './triangle.ts'

/** One line as it may come out. */
export interface DrawnLine {
  /** If it must be got, minor units; likeliest between least and most. */
  readonly price: Three
  readonly hours: Three
  /** Chance that it must be got, told that it stands. */
  readonly chance: number
  /** The fact it hangs on, by its place in the list; null where it stands in any case. */
  readonly on: number | null
  /** How often it stands by each value of that fact. */
  readonly stands: readonly number[]
  /** Bought or typed: its money no longer moves with prices. */
  readonly isSettled?: boolean
}

export interface DrawnFact {
  /** Chance of each of its values; they add up to 1. */
  readonly chances: readonly number[]
}

export interface DrawInput {
  readonly lines: readonly DrawnLine[]
  readonly facts: readonly DrawnFact[]
  /** Minor units an hour. */
  readonly rateMinor: number
  /** What comes to every draw: bought, sold, shipped. */
  readonly fixedMinor: number
  /** Levels drawn once for the build: what prices and hours do against what was thought. */
  readonly levels: { readonly price: Three; readonly hours: Three }
}

/** A build's prices and hours against what was thought of them: common practice, no published source. */
export const LEVELS = {
  price: [0.85, 1, 1.35],
  hours: [0.8, 1, 2],
} as const satisfies DrawInput['levels']

export interface Drawn {
  readonly p10: number
  readonly p50: number
  readonly p90: number
  /** Twenty quantiles, each as likely as the next. */
  readonly dots: readonly number[]
  readonly mean: number
  readonly deviation: number
  /** Hours, the same way. */
  readonly hours: { readonly p10: number; readonly p50: number; readonly p90: number }
}

/** Steps in which a triangle is drawn: the middles of two hundred and fifty-six equal shares. */
const STEPS = 256
const stepsOf = (three: Three): Float64Array =>
  Float64Array.from({ length: STEPS }, (_, i) => quantileOf(three, (i + 0.5) / STEPS))
/** Chances are drawn in shares of this. */
const CHANCES = 65536

/**
 * One seeded draw of a build's total: facts take their values, lines follow, prices and hours fall between their ends. One
 * number of 32 bits serves a line: eight for its price, eight for its hours, sixteen for whether it stands and must be got.
 */
export function draw(input: DrawInput, draws = 20_000, seed = 1): Drawn {
  const { lines, facts, rateMinor, fixedMinor, levels } = input
  const random = seeded(seed)
  const totals = new Float64Array(draws)
  const allHours = new Float64Array(draws)
  const taken = new Int32Array(facts.length)
  const chances = facts.map((fact) => fact.chances)
  const made = lines.map(({ price, hours, chance, on, stands, isSettled }) => ({
    price: stepsOf(price),
    hours: stepsOf(hours),
    // Where what stands must be got by chance too, one share of the sixteen bits lies within the other.
    stands: stands.map((share) => share * CHANCES),
    chance,
    on: on ?? -1,
    isSettled: isSettled === true,
  }))
  const [prices, works] = [stepsOf(levels.price), stepsOf(levels.hours)]
  for (let i = 0; i < draws; i++) {
    for (let f = 0; f < taken.length; f++) {
      const of = chances[f]!
      let u = random() / 4294967296
      let v = 0
      while (v < of.length - 1 && u >= of[v]!) u -= of[v++]!
      taken[f] = v
    }
    let open = 0
    let settled = fixedMinor
    let hours = 0
    for (let l = 0; l < made.length; l++) {
      const line = made[l]!
      const share = line.on < 0 ? CHANCES : line.stands[taken[line.on]!]!
      if (share === 0) continue
      const bits = random()
      const drawn = bits >>> 16
      if (drawn >= share) continue
      hours += line.hours[bits & (STEPS - 1)]!
      if (drawn >= share * line.chance) continue
      const price = line.price[(bits >>> 8) & (STEPS - 1)]!
      if (line.isSettled) settled += price
      else open += price
    }
    const bits = random()
    const worked = hours * works[bits & (STEPS - 1)]!
    allHours[i] = worked
    totals[i] = settled + open * prices[(bits >>> 8) & (STEPS - 1)]! + worked * rateMinor
  }
  const mean = totals.reduce((sum, one) => sum + one, 0) / draws
  const deviation = Math.sqrt(totals.reduce((sum, one) => sum + (one - mean) ** 2, 0) / draws)
  totals.sort()
  allHours.sort()
  const at = (of: Float64Array, share: number): number =>
    of[Math.min(draws - 1, Math.floor(share * draws))]!
  return {
    p10: at(totals, 0.1),
    p50: at(totals, 0.5),
    p90: at(totals, 0.9),
    dots: Array.from({ length: 20 }, (_, i) => at(totals, (i + 0.5) / 20)),
    mean,
    deviation,
    hours: { p10: at(allHours, 0.1), p50: at(allHours, 0.5), p90: at(allHours, 0.9) },
  }
}

/** Mean and deviation of the same, in closed form: what the draws are held against. */
export function momentsOf({ lines, facts, rateMinor, fixedMinor, levels }: DrawInput): {
  readonly mean: number
  readonly deviation: number
} {
  // Money open, money settled and hours as three sums that lean on the same facts.
  const groups = new Map<number | null, DrawnLine[]>()
  for (const line of lines) groups.set(line.on, [...(groups.get(line.on) ?? []), line])
  const mean = [0, 0, 0]
  const cov = [
    [0, 0, 0],
    [0, 0, 0],
    [0, 0, 0],
  ]
  for (const [on, members] of groups) {
    const chances = on === null ? [1] : facts[on]!.chances
    const byValue = chances.map((_, v) => {
      const m = [0, 0, 0]
      const c = [
        [0, 0, 0],
        [0, 0, 0],
        [0, 0, 0],
      ]
      for (const line of members) {
        const stands = on === null ? 1 : line.stands[v]!
        const at = line.isSettled ? 1 : 0
        const [price, hours] = [meanOf(line.price), meanOf(line.hours)]
        const got = stands * line.chance
        m[at]! += got * price
        m[2]! += stands * hours
        c[at]![at]! += got * (varianceOf(line.price) + price * price) - (got * price) ** 2
        c[2]![2]! += stands * (varianceOf(line.hours) + hours * hours) - (stands * hours) ** 2
        const both = got * price * hours - got * price * stands * hours
        c[at]![2]! += both
        c[2]![at]! += both
      }
      return { m, c }
    })
    const groupMean = [0, 1, 2].map((a) =>
      byValue.reduce((sum, { m }, v) => sum + chances[v]! * m[a]!, 0),
    )
    for (const a of [0, 1, 2]) {
      mean[a]! += groupMean[a]!
      for (const b of [0, 1, 2])
        cov[a]![b]! += byValue.reduce(
          (sum, { m, c }, v) =>
            sum + chances[v]! * (c[a]![b]! + (m[a]! - groupMean[a]!) * (m[b]! - groupMean[b]!)),
          0,
        )
    }
  }
  const [lp, lh] = [meanOf(levels.price), meanOf(levels.hours)]
  const [vp, vh] = [varianceOf(levels.price), varianceOf(levels.hours)]
  const second = (a: number): number => cov[a]![a]! + mean[a]! ** 2
  const variance =
    (vp + lp * lp) * second(0) -
    (lp * mean[0]!) ** 2 +
    cov[1]![1]! +
    rateMinor ** 2 * ((vh + lh * lh) * second(2) - (lh * mean[2]!) ** 2) +
    2 * lp * cov[0]![1]! +
    2 * lp * lh * rateMinor * cov[0]![2]! +
    2 * lh * rateMinor * cov[1]![2]!
  return {
    mean: fixedMinor + lp * mean[0]! + mean[1]! + rateMinor * lh * mean[2]!,
    deviation: Math.sqrt(variance),
  }
}
