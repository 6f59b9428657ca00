import type { Code } from '../joints/code.ts'

/** What counts of a joint: its verdict with the closing set in, else the bare one. */
export const effective = <V>({
  bare,
  closed,
}: {
  readonly bare: V
  readonly closed?: V | undefined
}): V => closed ?? bare

/** What the order of the grid looks at: each joint's bare code and, where a set closes, the code then. */
export interface Promising {
  readonly chosen: boolean
  readonly engine: string
  readonly joints: readonly { readonly code: Code; readonly closed: Code | null }[]
}

/** What each code weighs once closed: a bridge that nothing closes costs more than something not measured yet. */
const WEIGHTS: Readonly<Record<Code, number>> = {
  fits: 0,
  work: 1,
  unmeasured: 6,
  bridge: 12,
  clash: 100,
}

const weight = ({ joints }: Promising): number =>
  joints.reduce((sum, { code, closed }) => sum + WEIGHTS[closed ?? code], 0)

/** The order of the grid: the chosen pairing, then the most promising, then by name. */
export const byPromise = (p: Promising, q: Promising): number =>
  Number(q.chosen) - Number(p.chosen) ||
  weight(p) - weight(q) ||
  (p.engine < q.engine ? -1 : p.engine > q.engine ? 1 : 0)
