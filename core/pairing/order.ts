import type { Code } from '../joints/code.ts'

/** What counts of a joint: its verdict with the closing set in, else the bare one. */
export const effective = <V>({
  bare,
  closed,
}: {
  readonly bare: V
  readonly closed?: V | undefined
}): V => closed ?? bare

/** What the order of pairings looks at: each joint's bare code and, where it was closed, the code then. */
export interface Promising {
  readonly chosen: boolean
  readonly engine: string
  readonly transmission: string
  /** Whether sets that may close it were looked for. */
  readonly isWorkedOut: boolean
  readonly joints: readonly { readonly code: Code; readonly closed: Code | null }[]
}

/** What each code weighs when pairings are ordered: a clash last, much unknown after little to make. */
export const CODE_WEIGHTS = {
  fits: 0,
  work: 1,
  bridge: 4,
  unmeasured: 5,
  clash: 100,
} as const satisfies Record<Code, number>
/** A gap that nothing in the catalogue closes, once that was looked for: more than something not measured yet. */
const NOTHING_CLOSES = 12

export const promise = ({ joints, isWorkedOut }: Promising): number =>
  joints.reduce((sum, { code, closed }) => {
    const reads = closed ?? code
    return sum + (reads === 'bridge' && isWorkedOut ? NOTHING_CLOSES : CODE_WEIGHTS[reads])
  }, 0)

/**
 * The order of pairings wherever they are listed: the chosen one, then the most promising, then by name. What is not worked
 * out yet promises more than it may hold, and comes after what is.
 */
export const byPromise = (p: Promising, q: Promising): number =>
  Number(q.chosen) - Number(p.chosen) ||
  Number(q.isWorkedOut) - Number(p.isWorkedOut) ||
  promise(p) - promise(q) ||
  order(p.engine, q.engine) ||
  order(p.transmission, q.transmission)

const order = (p: string, q: string): number => (p < q ? -1 : p > q ? 1 : 0)
