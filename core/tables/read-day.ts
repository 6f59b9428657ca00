/** Which of two figures of a date is the day where a file does not say; `ask`: what can be read two ways is asked about. */
export const DATE_ORDERS = ['ask', 'dmy', 'mdy'] as const
export type DateOrder = (typeof DATE_ORDERS)[number]

/** What a date of a list comes to, or why it cannot be told. */
export type DayRead = { readonly day: string } | { readonly why: string }

const two = (figure: number): string => String(figure).padStart(2, '0')
const isDay = (year: number, month: number, day: number): boolean => {
  const at = new Date(Date.UTC(year, month - 1, day))
  return at.getUTCFullYear() === year && at.getUTCMonth() === month - 1 && at.getUTCDate() === day
}

/**
 * A date as lists write it: `2026-03-14`, `14.03.2026`, `14/3/2026`, `3/14/2026`; years and months too where the day is not
 * told. With dots the day comes first; with strokes it is asked where both figures could be a month.
 */
export function readDay(text: string, order: DateOrder): DayRead {
  const typed = text.trim()
  const iso = /^(\d{4})(?:-(\d{1,2})(?:-(\d{1,2}))?)?$/.exec(typed)
  if (iso) {
    const [, year, month, day] = iso
    if (month === undefined) return { day: year! }
    if (day === undefined)
      return Number(month) >= 1 && Number(month) <= 12
        ? { day: `${year}-${two(Number(month))}` }
        : { why: `"${typed}" is no month.` }
    return dated(Number(year), Number(month), Number(day), typed)
  }
  const parts = /^(\d{1,2})([./-])(\d{1,2})\2(\d{4})$/.exec(typed)
  if (!parts)
    return {
      why: `"${typed.slice(0, 40)}" is no date. Write 2026-03-14, or a year or month alone.`,
    }
  const [, first, mark, second, year] = parts
  const [p, q] = [Number(first), Number(second)]
  if (mark === '.' || order === 'dmy') return dated(Number(year), q, p, typed)
  if (order === 'mdy') return dated(Number(year), p, q, typed)
  if (p > 12) return dated(Number(year), q, p, typed)
  if (q > 12) return dated(Number(year), p, q, typed)
  return p === q
    ? dated(Number(year), p, q, typed)
    : {
        why: `"${typed}" could be ${year}-${two(q)}-${two(p)} or ${year}-${two(p)}-${two(q)}. Say above which comes first, day or month.`,
      }
}

const dated = (year: number, month: number, day: number, typed: string): DayRead =>
  isDay(year, month, day)
    ? { day: `${year}-${two(month)}-${two(day)}` }
    : { why: `"${typed}" is no day of the calendar.` }
