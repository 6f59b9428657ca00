import { QuantityError } from '../quantity/units.ts'

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

const METRIC = /^M\s*(\d+(?:[.,]\d+)?)(?:\s*[x×*X]\s*(\d+(?:[.,]\d+)?))?$/i
const INCH =
  /^(?:(\d+)\s+)?(?:(\d+)\/(\d+)|(\d+(?:\.\d+)?))\s*(?:"|in)?\s*-\s*(\d+)(?:\s*(UNC|UNF|UN))?$/i
const PIPE = /^(?:(\d+)[\s-]+)?(?:(\d+)\/(\d+)|(\d+))\s*(?:"|in)?\s*-?\s*(NPT|NPTF|BSPT|BSPP|BSP)$/i

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
  if (key === undefined)
    keys.set(
      thread,
      (key = thread.toUpperCase().replace(/[×*]/g, 'X').replace(/\s+/g, '').replace(/\.0$/, '')),
    )
  return key
}

/**
 * Reads a thread as typed into one spelling: `m10 X 1,25` → `M10x1.25`, `3/8-16 UNC` → `3/8-16`, `1/8npt` → `1/8 NPT`.
 * "through", for a hole that has none, stays.
 *
 * @throws QuantityError saying how threads are written
 */
export function parseThread(typed: string): string {
  const text = typed.trim()
  if (/^through$/i.test(text)) return 'through'
  const metric = METRIC.exec(text)
  if (metric) return `M${plain(metric[1]!)}${metric[2] ? `x${plain(metric[2])}` : ''}`
  const inch = INCH.exec(text)
  if (inch) return `${size(inch)}-${inch[5]}`
  const pipe = PIPE.exec(text)
  if (pipe) return `${size(pipe)} ${pipe[5]!.toUpperCase()}`
  throw new QuantityError(
    `"${typed}" is not a thread. Write it as M10x1.25, 3/8-16, 1/8 NPT, or "through" for a plain hole.`,
  )
}

/** Whether a text is a thread, or says that a hole has none. */
export function isThread(text: string): boolean {
  try {
    parseThread(text)
    return true
  } catch {
    return false
  }
}

const plain = (figure: string): string => String(Number(figure.replace(',', '.')))
const size = ([, whole, over, under, decimal]: RegExpExecArray): string =>
  `${whole ? `${whole} ` : ''}${over ? `${over}/${under}` : decimal}`
