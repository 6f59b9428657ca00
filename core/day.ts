import { TZDate } from '@date-fns/tz'
import { lightFormat } from 'date-fns'

/** True for a time zone that is known, as `Area/Town` or UTC. */
export function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone })
    return true
  } catch {
    return false
  }
}

/** The day it is somewhere at a moment, as `2026-03-01`. @throws RangeError for a zone that is not known */
export const dayIn = (zone: string, at: Date): string => {
  if (!isTimeZone(zone)) throw new RangeError(`"${zone}" is not a time zone.`)
  return lightFormat(new TZDate(at.getTime(), zone), 'yyyy-MM-dd')
}
