import { BRIDGE } from './code.ts'
import { type Caution, type Limit, less, plus } from './judging/declaration.ts'
import { b, plates, type Term } from './judging/read.ts'
import { flange } from './stack.ts'

/**
 * Converter pull-up from two depths taken before mating: X + Σ plates − (f + Σ spacers + h), judged at worst case.
 * X: bell face to the seated converter's pads. h: pads of the flexplate behind the flange.
 */
export const pullUpTerms: readonly Term[] = [
  plus(b.pump.padMm),
  plus(plates),
  ...less(flange),
  ...less([plus(b.flexPads.heightMm)]),
]

export const PULL_UP: Limit = {
  id: 'pull-up',
  label: 'Converter pull-up',
  unit: 'mm',
  damage: true,
  terms: pullUpTerms,
  window: ['pullUpLowMm', 'pullUpHighMm'],
  below: {
    code: BRIDGE,
    words: 'No pull-up left: the engine will hardly turn by hand. A plate gives room',
    pieces: ['plate'],
  },
  above: {
    code: BRIDGE,
    words:
      'Pull-up too large: pump lugs half engaged. A spacer, or equal shims at the pads, takes it up',
    pieces: ['spacer', 'flexplate'],
  },
}

export const BY_HAND: Caution = {
  words:
    'Draw nothing up with the bolts: bring the case home by hand all round, or the pump breaks.',
}
