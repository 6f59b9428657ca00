/** Nominal Ø in mm of a thread written M10x1.25, M10, 3/8-16 or 7/16-20; NaN when it cannot be read. */
export function threadDiameter(thread: string | null): number {
  if (thread === null) return Number.NaN
  let found = diameters.get(thread)
  if (found === undefined) diameters.set(thread, (found = readDiameter(thread)))
  return found
}

/** The same few threads are read over and over. */
const diameters = new Map<string, number>()
const keys = new Map<string, string>()

function readDiameter(thread: string): number {
  const metric = /^\s*M(\d+(?:\.\d+)?)/i.exec(thread)
  if (metric) return Number(metric[1])
  const inch = /^\s*(?:(\d+)\/(\d+)|(\d+(?:\.\d+)?))\s*(?:"|in)?\s*-\s*\d+/.exec(thread)
  if (!inch) return Number.NaN
  return 25.4 * (inch[1] ? Number(inch[1]) / Number(inch[2]) : Number(inch[3]))
}

/** One spelling for comparing threads: upper case, `X` between, no spaces. */
export function threadKey(thread: string): string {
  let key = keys.get(thread)
  if (key === undefined) keys.set(thread, (key = thread.toUpperCase().replace(/[×*]/g, 'X').replace(/\s+/g, '').replace(/\.0$/, '')))
  return key
}
