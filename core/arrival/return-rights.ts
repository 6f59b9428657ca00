import { addDays, differenceInCalendarDays, formatISO, parseISO } from 'date-fns'

/** From so few days left a part that is not measured is warned of (common practice, no published source). */
export const WARNED_DAYS = 7

/** Until when a part that came on a day is taken back, and how many days are left; null where nobody said. */
export function returnRights(
  cameOn: string,
  returnDays: number | null,
  today: string,
): { readonly until: string; readonly daysLeft: number } | null {
  if (returnDays === null) return null
  const until = addDays(parseISO(cameOn), returnDays)
  return {
    until: formatISO(until, { representation: 'date' }),
    daysLeft: differenceInCalendarDays(until, parseISO(today)),
  }
}
