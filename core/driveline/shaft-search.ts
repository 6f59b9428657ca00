/** One half of a shaft that somebody sells: what its end fits, how it joins its other half, and how long it is. */
export interface ShaftHalf {
  readonly id: string
  readonly end: 'inner' | 'outer'
  readonly fits: string
  readonly bar: string
  /** Joint centre to the end of the bar. */
  readonly lengthMm: number
  /** How far it may go into the other half, of the outer one. */
  readonly overlapMm: readonly [least: number, most: number]
  readonly priceMinor: number | null
}

/** What the shaft must do. */
export interface ShaftWanted {
  readonly inner: string
  readonly outer: string
  /** Joint centre to joint centre at ride height, and how far the length may be off. */
  readonly lengthMm: number
  readonly withinMm: number
}

/** A shaft made to order: no half of it need exist. */
export interface CustomShaft {
  readonly priceMinor: number
  readonly words: string
}

export interface ShaftOption {
  readonly kind: 'off the shelf' | 'custom'
  readonly halves: readonly string[]
  /** Length it is put together to, mm; how far the halves go into each other. */
  readonly lengthMm: number
  readonly overlapMm: number | null
  readonly priceMinor: number | null
  readonly words: string
}

export interface ShaftSearch {
  readonly options: readonly ShaftOption[]
  readonly tried: number
  /** Why the rest of the pairs do not do, counted. */
  readonly refused: Readonly<Record<'inner end' | 'outer end' | 'bar' | 'length', number>>
}

/**
 * Every pair of an inner and an outer half, against the shaft made to order: complete enumeration, cheapest first, unknown
 * prices last. Two halves do where both ends fit, both join by one bar, and some overlap both allow gives a length within
 * what the joints take up.
 */
export function searchShafts(
  wanted: ShaftWanted,
  halves: readonly ShaftHalf[],
  custom: CustomShaft | null,
): ShaftSearch {
  const inner = halves.filter((half) => half.end === 'inner')
  const outer = halves.filter((half) => half.end === 'outer')
  const refused = { 'inner end': 0, 'outer end': 0, bar: 0, length: 0 }
  const options: ShaftOption[] = []
  for (const one of inner)
    for (const other of outer) {
      const overlapMm =
        one.fits === wanted.inner && other.fits === wanted.outer && one.bar === other.bar
          ? overlapFor(wanted, one, other)
          : null
      if (one.fits !== wanted.inner) refused['inner end']++
      else if (other.fits !== wanted.outer) refused['outer end']++
      else if (one.bar !== other.bar) refused.bar++
      else if (overlapMm === null) refused.length++
      else
        options.push({
          kind: 'off the shelf',
          halves: [one.id, other.id],
          lengthMm: one.lengthMm + other.lengthMm - overlapMm,
          overlapMm,
          priceMinor:
            one.priceMinor === null || other.priceMinor === null
              ? null
              : one.priceMinor + other.priceMinor,
          words: `Two halves, ${Math.round(overlapMm)} mm into each other`,
        })
    }
  if (custom)
    options.push({
      kind: 'custom',
      halves: [],
      lengthMm: wanted.lengthMm,
      overlapMm: null,
      priceMinor: custom.priceMinor,
      words: custom.words,
    })
  options.sort(
    (p, q) =>
      (p.priceMinor ?? Infinity) - (q.priceMinor ?? Infinity) ||
      Math.abs(p.lengthMm - wanted.lengthMm) - Math.abs(q.lengthMm - wanted.lengthMm),
  )
  return { options, tried: inner.length * outer.length, refused }
}

/** The overlap that brings a pair nearest to the length wanted; null where even the best one is further off than allowed. */
function overlapFor(wanted: ShaftWanted, one: ShaftHalf, other: ShaftHalf): number | null {
  const least = Math.max(one.overlapMm[0], other.overlapMm[0])
  const most = Math.min(one.overlapMm[1], other.overlapMm[1])
  if (least > most) return null
  const ideal = one.lengthMm + other.lengthMm - wanted.lengthMm
  const overlap = Math.min(most, Math.max(least, ideal))
  return Math.abs(one.lengthMm + other.lengthMm - overlap - wanted.lengthMm) <=
    wanted.withinMm + 1e-6
    ? overlap
    : null
}
