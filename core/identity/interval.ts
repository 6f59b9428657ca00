/** Days from and to, both in, as far as a year, a month or a day tells; later is greater as text. */
export interface Interval {
  readonly from: string
  readonly to: string
}

const DATE = /^\d{4}(-\d{2}(-\d{2})?)?$/
/** Months are all as long as the longest: nothing is asked of a day that is not. */
const LAST = '-31'

/** A year, a month or a day as an interval. @throws RangeError where it is none */
export function intervalOf(date: string): Interval {
  const text = date.trim()
  if (!DATE.test(text))
    throw new RangeError(`"${date}" is no date: write 2004, 2004-03 or 2004-03-15.`)
  if (text.length === 4) return { from: `${text}-01-01`, to: `${text}-12${LAST}` }
  return text.length === 7 ? { from: `${text}-01`, to: text + LAST } : { from: text, to: text }
}

/** When a model year was built: from the first day of the year before to its last. Common practice, no published source. */
export const builtIn = (modelYear: number): Interval => ({
  from: `${modelYear - 1}-01-01`,
  to: `${modelYear}-12${LAST}`,
})

export type Within = 'holds' | 'fails' | 'unknown'

/** Whether an interval lies between two others: inside it holds, outside it fails, straddling is unknown. */
export function within(known: Interval, from: string | undefined, to: string | undefined): Within {
  const [low, high] = [from && intervalOf(from).from, to && intervalOf(to).to]
  if ((low && known.to < low) || (high && known.from > high)) return 'fails'
  return (!low || known.from >= low) && (!high || known.to <= high) ? 'holds' : 'unknown'
}
