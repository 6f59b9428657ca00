import { daysOld, STALE_AFTER_DAYS } from '../../core/sourcing/freshness.ts'
import { STANDINGS, type Standing } from '../../core/sourcing/standing.ts'

export const STANDING_WORDS: Readonly<Record<Standing, string>> = {
  announced: 'announced, not sold yet',
  trial: 'on trial',
  shipping: 'sold',
  ended: 'no longer sold',
}
export const STANDING_OPTIONS = STANDINGS.map((value) => ({ value, words: STANDING_WORDS[value] }))

/** How old what is known is, in words. */
export function ageWords(
  seenOn: string | null,
  feedReadOn: string | null | undefined,
  today: string,
): string {
  const days = daysOld(seenOn, feedReadOn, today)
  if (days === null) return 'of unknown age'
  return days === 0 ? 'of today' : `${days} ${days === 1 ? 'day' : 'days'} old`
}

/** How old a price is; one that is old enough to be asked for again stands out. */
export function Age({
  seenOn,
  feedReadOn,
  today,
}: {
  seenOn: string | null
  feedReadOn?: string | null | undefined
  today: string
}) {
  const days = daysOld(seenOn, feedReadOn, today)
  const words = ageWords(seenOn, feedReadOn, today)
  return days !== null && days > STALE_AFTER_DAYS ? (
    <span className="border-l-[3px] border-work pl-1.5">{words}, ask again</span>
  ) : (
    <span className="text-steel">{words}</span>
  )
}
