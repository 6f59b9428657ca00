/** A value known only to lie between two ends. */
export type Interval = readonly [number, number]

export const about = (v: number, pm: number): Interval => [v - pm, v + pm]
export const subtract = ([a, b]: Interval, [c, d]: Interval): Interval => [a - d, b - c]
/** How far from 0 it may be. */
export const absolute = ([a, b]: Interval): Interval =>
  a >= 0 ? [a, b] : b <= 0 ? [-b, -a] : [0, Math.max(-a, b)]
/** √(Σ squares) of what lies between. */
export function hypot(...parts: readonly Interval[]): Interval {
  const ends = parts.map(absolute)
  return [Math.hypot(...ends.map(([least]) => least)), Math.hypot(...ends.map(([, most]) => most))]
}
/** A rise over a run that may be as steep as upright where the run may be nothing, as a slope. */
export function slope([least, most]: Interval, [short, long]: Interval): Interval {
  if (!(short > 0)) return [-Infinity, Infinity]
  const ends = [least / short, least / long, most / short, most / long]
  return [Math.min(...ends), Math.max(...ends)]
}
