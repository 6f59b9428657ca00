import type { Three } from './three.ts'

/** A value with a least, a likeliest and a most: triangular distribution. Mean, variance and inverse: Kotz & van Dorp, Beyond Beta, 2004, chapter 1 (from memory). */
export const meanOf = ([low, likely, high]: Three): number => (low + likely + high) / 3
export const varianceOf = ([a, c, b]: Three): number =>
  (a * a + b * b + c * c - a * b - a * c - b * c) / 18

/** The value below which a share u of draws lies. */
export function quantileOf([low, likely, high]: Three, u: number): number {
  const width = high - low
  if (width <= 0) return low
  const split = (likely - low) / width
  return u < split
    ? low + Math.sqrt(u * width * (likely - low))
    : high - Math.sqrt((1 - u) * width * (high - likely))
}
