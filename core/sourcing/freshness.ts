import { differenceInCalendarDays, parseISO } from 'date-fns'

/** Days from which a price is old enough to be asked for again (common practice, no published source). */
export const STALE_AFTER_DAYS = 30

/**
 * How old what is known of an offer is, in days; null where nobody knows.
 * @param seenOn the day it was last heard of
 * @param feedReadOn the day all that its supplier sells was last read: what is gone is marked then, so the rest stands
 */
export function daysOld(
  seenOn: string | null | undefined,
  feedReadOn: string | null | undefined,
  today: string,
): number | null {
  const newest = newestDay(seenOn, feedReadOn)
  return newest === null
    ? null
    : Math.max(0, differenceInCalendarDays(parseISO(today), parseISO(newest)))
}

/** The newer of days that are known; null where none is. */
export const newestDay = (...days: readonly (string | null | undefined)[]): string | null =>
  days
    .flatMap((day) => day ?? [])
    .sort()
    .at(-1) ?? null
