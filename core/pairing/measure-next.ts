import { seeded } from '../seeded.ts'

/** A field nobody measured: what it may turn out to be, with chances that sum to 1, and what it takes to find out. */
export interface OpenField {
  readonly id: string
  readonly minutes: number
  readonly chances: readonly number[]
}

/** One part of what a pairing costs, that hangs on some of the open fields: by the outcome of each, in their order. */
export interface CostTerm {
  /** Places in the list of open fields. */
  readonly fields: readonly number[]
  /** Minor units; Infinity where the pairing is out. */
  readonly cost: (outcomes: readonly number[]) => number
}

/** A pairing in play. */
export interface InPlay {
  readonly id: string
  readonly terms: readonly CostTerm[]
}

/** What measuring one field first is worth. */
export interface Worth {
  readonly id: string
  /** Expected fall of the least likely cost over the pairings, minor units. */
  readonly value: number
  readonly perMinute: number
  /** How far knowing it moves that least cost on average, either way, minor units: where it turns no choice, it tells the cost. */
  readonly moves: number
  readonly minutes: number
}

/** A pairing that is out costs this much, euros: more than any build, so that being able to rule it out is worth something. */
export const OUT_EUR = 100_000
/** Fields of one term that are gone through in full; beyond, outcomes of the others are drawn. */
export const EXACT_FIELDS = 6
const DRAWS = 4000
const SEED = 20_261_129

/**
 * What each open field is worth measuring first: the least of the pairings' likely costs now, less what one may expect it to
 * be once the field is known. A cost is a sum of terms, each over few fields, so a likely cost under one outcome is the sum
 * of its terms' means under it: exact while no term has more than six open fields. A larger term is drawn, the same
 * draws for every outcome, so that what differs is the outcome. Value of information of one observation: Howard (1966),
 * from memory.
 */
export function measureNext(
  fields: readonly OpenField[],
  pairings: readonly InPlay[],
  outMinor: number = OUT_EUR * 100,
): readonly Worth[] {
  const bounded = ({ fields: at, cost }: CostTerm): CostTerm => ({
    fields: at,
    cost: (outcomes) => Math.min(cost(outcomes), outMinor),
  })
  const means = pairings.map(({ terms }) => terms.map((term) => meansOf(bounded(term), fields)))
  const plain = means.map((terms) => terms.reduce((sum, { mean }) => sum + mean, 0))
  const least = Math.min(...plain)
  return fields
    .map(({ id, minutes, chances }, at): Worth => {
      let [expected, moves] = [0, 0]
      chances.forEach((chance, outcome) => {
        const costs = means.map((terms, i) =>
          terms.reduce((cost, { mean, given }) => {
            const known = given.get(at)
            return known ? cost + known[outcome]! - mean : cost
          }, plain[i]!),
        )
        if (costs.length === 0) return
        expected += chance * Math.min(...costs)
        moves += chance * Math.abs(Math.min(...costs) - least)
      })
      const value = pairings.length === 0 ? 0 : Math.max(0, least - expected)
      return { id, value, moves, minutes, perMinute: value / Math.max(1, minutes) }
    })
    .toSorted(
      (a, b) =>
        b.perMinute - a.perMinute ||
        b.moves / Math.max(1, b.minutes) - a.moves / Math.max(1, a.minutes) ||
        (a.id < b.id ? -1 : 1),
    )
}

interface Means {
  readonly mean: number
  /** By field, its mean under each outcome. */
  readonly given: ReadonlyMap<number, readonly number[]>
}

function meansOf(term: CostTerm, fields: readonly OpenField[]): Means {
  const own = term.fields.map((at) => fields[at]!.chances)
  return own.length <= EXACT_FIELDS ? exactly(term, own) : byDraws(term, own)
}

/** Every outcome of the fields together, each once. */
function exactly(term: CostTerm, own: readonly (readonly number[])[]): Means {
  const sums = own.map((chances) => chances.map(() => 0))
  let mean = 0
  const outcomes = own.map(() => 0)
  for (;;) {
    const chance = outcomes.reduce((product, outcome, i) => product * own[i]![outcome]!, 1)
    const cost = term.cost(outcomes) * chance
    mean += cost
    outcomes.forEach((outcome, i) => {
      sums[i]![outcome]! += cost
    })
    let i = 0
    while (i < own.length && ++outcomes[i]! === own[i]!.length) outcomes[i++] = 0
    if (i === own.length) break
  }
  return {
    mean,
    given: new Map(
      term.fields.map((at, i) => [
        at,
        sums[i]!.map((sum, outcome) => (own[i]![outcome]! > 0 ? sum / own[i]![outcome]! : mean)),
      ]),
    ),
  }
}

/** Outcomes drawn for all fields; each field in turn is set to each of its outcomes over the same draws. */
function byDraws(term: CostTerm, own: readonly (readonly number[])[]): Means {
  const random = seeded(SEED)
  const sums = own.map((chances) => chances.map(() => 0))
  for (let n = 0; n < DRAWS; n++) {
    const outcomes = own.map((chances) => {
      let left = random() / 2 ** 32
      const found = chances.findIndex((chance) => (left -= chance) < 0)
      return found < 0 ? chances.length - 1 : found
    })
    own.forEach((chances, i) => {
      const drawn = outcomes[i]!
      for (let outcome = 0; outcome < chances.length; outcome++) {
        outcomes[i] = outcome
        sums[i]![outcome]! += term.cost(outcomes)
      }
      outcomes[i] = drawn
    })
  }
  const given = new Map(
    term.fields.map((at, i) => [at, sums[i]!.map((sum) => sum / DRAWS)] as const),
  )
  // One mean for all fields, so that what one field is compared with is the same.
  const each = own.map((chances, i) =>
    chances.reduce(
      (sum, chance, outcome) => sum + chance * given.get(term.fields[i]!)![outcome]!,
      0,
    ),
  )
  const mean = each.reduce((sum, one) => sum + one, 0) / each.length
  return {
    mean,
    given: new Map(
      [...given].map(([at, values], i) => [at, values.map((value) => value + mean - each[i]!)]),
    ),
  }
}
