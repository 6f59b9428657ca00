export const LEANS = ['open', 'likely', 'doubtful'] as const

/** Where a joint leans to, by its limits: doubtful where any is outside, likely where at least half are known, else open. */
export type Lean = (typeof LEANS)[number]

export const leanOf = ({
  stated,
  known,
  outside,
}: {
  readonly stated: number
  readonly known: number
  readonly outside: number
}): Lean => (outside > 0 ? 'doubtful' : known * 2 >= stated ? 'likely' : 'open')
