/** How a reading of a feed went. */
export interface Reading {
  /** When it ended, in ms. */
  readonly at: number
  readonly isRead: boolean
}

const HOUR = 3_600_000
/** The wait after a first failure (common practice, no published source). */
const FIRST_WAIT = HOUR / 12

/**
 * When a feed is to be read next, in ms: as often as is said; after a failure sooner, each time after twice the wait, never
 * later than it would be anyway.
 * @param newest readings, newest first
 */
export function nextReading(newest: readonly Reading[], everyHours: number): number {
  const [last] = newest
  if (!last) return -Infinity
  const every = everyHours * HOUR
  if (last.isRead) return last.at + every
  const read = newest.findIndex(({ isRead }) => isRead)
  const failures = read < 0 ? newest.length : read
  return last.at + Math.min(every, FIRST_WAIT * 2 ** (failures - 1))
}
