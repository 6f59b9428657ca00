import type { JointContext } from './joint.ts'
import type { Sheet } from './sheet.ts'
import type { Side } from './side.ts'
import { flange, plates } from './stack.ts'
import { BRIDGE, type Limit, type Outcome } from './verdict.ts'

const CAUTION = 'Draw nothing up with the bolts: bring the case home by hand all round, or the pump breaks.'
const hardToTurn: Outcome = { code: BRIDGE, words: 'No pull-up left: the engine will hardly turn by hand. A plate gives room', pieces: ['plate'] }
const halfEngaged: Outcome = {
  code: BRIDGE,
  words: 'Pull-up too large: pump lugs half engaged. A spacer, or equal shims at the pads, takes it up',
  pieces: ['spacer', 'flexplate'],
}
const PULL_UP: Limit = { id: 'pull-up', label: 'Converter pull-up', unit: 'mm', damage: true, below: hardToTurn, above: halfEngaged }

/**
 * Converter pull-up from two depths taken before mating: X + Σ plates − (f + Σ spacers + h), judged at worst case.
 * X: bell face to the seated converter's pads. h: pads of the flexplate behind the flange.
 */
export function pullUp(a: Side, b: Side, ctx: JointContext, sheet: Sheet): void {
  addPullUp(1, a, b, ctx, sheet)
  sheet.within(PULL_UP, ctx.tolerances.pullUpLowMm, ctx.tolerances.pullUpHighMm)
  sheet.caution(CAUTION)
}

/** Adds ± the pull-up to the running sum. */
export function addPullUp(sign: 1 | -1, a: Side, b: Side, ctx: JointContext, sheet: Sheet): void {
  const back = sign === 1 ? -1 : 1
  sheet.term(sign, b.pump.padMm)
  plates(sign, ctx, sheet)
  flange(back, a, ctx, sheet)
  sheet.term(back, b.flexPads.heightMm)
}
