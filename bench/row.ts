/** One measured figure. A missed goal is said, never a failure. */
export interface Row {
  readonly name: string
  readonly value: number
  readonly unit: string
  readonly goal: number | null
  readonly better: 'lower' | 'higher'
  readonly percentile?: string
  readonly runs: number
  readonly seed?: number | string
}

export const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!
export const megabytes = (): number => Math.round(process.memoryUsage().rss / 1e6)

/** Goal reached, missed, or none set. */
export function saysOf(row: Row): string {
  if (row.goal === null) return ''
  const reached = row.better === 'lower' ? row.value <= row.goal : row.value >= row.goal
  return reached ? 'reached' : 'missed'
}
