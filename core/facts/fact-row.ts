/** One thing that may be known of a build: what it can be, how it is asked and found out, and what is assumed of it. */
export interface FactRow {
  /** Every value it can have; a fact nobody knows has none. */
  readonly values: readonly string[]
  /** The question in shop words; absent where it is never asked, only read off something else. */
  readonly asks?: string
  /** How one finds out. */
  readonly found?: string
  /** At the start of a build, with the stoppers, or later one by one, the dearest first. */
  readonly when?: 'start' | 'stopper'
  /** Taken until somebody says otherwise; absent where nothing is. */
  readonly assumed?: string
}

export const YES_NO = ['yes', 'no'] as const
/** What a joint says, as a fact. */
export const JOINT_SAYS = ['fits', 'work', 'bridge', 'clash'] as const
export const ROOM_SAYS = ['free', 'short'] as const

type Rows<K extends string> = Readonly<Record<K, FactRow>>

/** Facts of one form, by a common head: `all('keep', ['air', 'cruise'], …)` gives keep.air and keep.cruise. */
export const each = <const H extends string, const T extends string>(
  head: H,
  tails: readonly T[],
  row: FactRow | ((tail: T) => FactRow),
): Rows<`${H}.${T}`> =>
  Object.fromEntries(
    tails.map((tail) => [`${head}.${tail}`, typeof row === 'function' ? row(tail) : row]),
  ) as Rows<`${H}.${T}`>

/** Yes or no, as it is asked. */
export const yesNo = (asks: string, more: Omit<FactRow, 'values' | 'asks'> = {}): FactRow => ({
  values: YES_NO,
  asks,
  ...more,
})
