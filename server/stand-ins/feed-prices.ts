/** What is sold, as a list of offers has it. */
export interface SoldItem {
  readonly issuer: string
  readonly number: string
  readonly description: string
  readonly priceMinor: number
  readonly pack: number
  readonly stock: number | null
  readonly leadDays: number | null
  readonly condition: string
}

/** A figure from 0 to 1 that a text always gives (FNV-1a). */
function share(text: string): number {
  let hash = 0x811c9dc5
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193)
  hash = Math.imul(hash ^ (hash >>> 15), 0x2c1b3c6d)
  return ((hash ^ (hash >>> 13)) >>> 0) / 2 ** 32
}

const WEEK_DAYS = 7
const MOVES = 0.12
const MOST = 0.06

/**
 * What is asked on a day: most prices stand, some move by a few parts in a hundred once a week. The same day always gives
 * the same.
 * @param dayNumber days since 1970
 */
export function priceOn({ number, priceMinor }: SoldItem, dayNumber: number): number {
  const week = Math.floor(dayNumber / WEEK_DAYS)
  let factor = 1
  for (let at = week - 2; at <= week; at++)
    if (share(`${number} moves ${at}`) < MOVES)
      factor *= 1 + (share(`${number} by ${at}`) - 0.4) * MOST
  return Math.max(1, Math.round(priceMinor * factor))
}
