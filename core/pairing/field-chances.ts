import { type CompiledPart, fieldOf, isPortKind } from '../ports/index.ts'
import type { OpenField } from './measure-next.ts'

/** What an open field may turn out to be, each with its chance. */
export interface FieldOutcomes {
  readonly values: readonly unknown[]
  readonly chances: OpenField['chances']
}

const QUARTERS = [0.25, 0.5, 0.25] as const
/** A word or a flag is tried as those that are met most. */
const MOST_WORDS = 3

/**
 * What a field may be, from what parts of the same kind have: a figure low, mid and high at the 10th, 50th and 90th
 * percentile with chances ¼ ½ ¼; a word or a flag as often as it is met. Null where fewer than two parts say it, or where it
 * is a list of places, of which no other part's says anything.
 */
export function chancesOf(
  kind: string,
  field: string,
  parts: readonly CompiledPart[],
): FieldOutcomes | null {
  if (!isPortKind(kind)) return null
  const found = parts.flatMap((part) =>
    part.ports.flatMap((port) => {
      const value = port.kind === kind ? fieldOf(port, field)?.v : undefined
      return value === undefined || value === null || Number.isNaN(value) ? [] : [value]
    }),
  )
  if (found.length < 2 || found.some((value) => typeof value === 'object')) return null
  if (found.every((value): value is number => typeof value === 'number')) {
    const sorted = found.toSorted((a, b) => a - b)
    const at = (share: number): number => sorted[Math.round(share * (sorted.length - 1))]!
    return { values: [at(0.1), at(0.5), at(0.9)], chances: QUARTERS }
  }
  const counts = new Map<unknown, number>()
  for (const value of found) counts.set(value, (counts.get(value) ?? 0) + 1)
  const most = [...counts].toSorted((a, b) => b[1] - a[1]).slice(0, MOST_WORDS)
  const sum = most.reduce((total, [, count]) => total + count, 0)
  return { values: most.map(([value]) => value), chances: most.map(([, count]) => count / sum) }
}
