import { BRIDGE, WORK } from './code.ts'
import { type Caution, formula, type Limit, less, minus, plus } from './judging/declaration.ts'
import { SLACK } from './judging/judge.ts'
import { a, b, plates, type Shop, spacers, type Term, total, unless } from './judging/read.ts'
import { flange } from './stack.ts'
import type { Outcome } from './verdict.ts'

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

/** Shims at the pads take up a pull-up that is too large by this at most, mm; common practice, no published source. */
const SHIMS_MM = 2

/** Mm of equal shims that bring a pull-up back into its window; 0 where none do, or where it is not known. */
export function shimsFor(pullUpMm: number, { tolerances }: Shop): number {
  const over = pullUpMm - tolerances.pullUpHighMm
  return over > SLACK && over <= SHIMS_MM + SLACK ? over : 0
}
/** The least and the most they may be of a pull-up that lies between two ends. */
export function shimsWithin(least: number, most: number, shop: Shop): readonly [number, number] {
  const from = least - shop.tolerances.pullUpHighMm
  const to = most - shop.tolerances.pullUpHighMm
  return [
    from > SLACK && to <= SHIMS_MM + SLACK ? from : 0,
    to > SLACK && from <= SHIMS_MM + SLACK ? Math.min(to, SHIMS_MM) : 0,
  ]
}

const behindWheel: readonly Term[] = [minus(b.converter.noseTipMm), minus(b.flexPads.heightMm)]
/** Spacers stand before a bore of the crank; one that a wheel carries has none before it. */
const before = unless(a.converterBore.slot, 'flange', spacers)
/** How far the converter's nose is held in its bore, unshimmed: one that a spacer carries begins behind the spacer. */
export const heldTerms: readonly Term[] = [
  ...behindWheel,
  minus(unless(a.converterBore.slot, 'spacer', before)),
]
/** How far it stands ahead of the face the bore's depth is told from, the front of whatever carries it. */
export const noseTerms: readonly Term[] = [...behindWheel, minus(before)]

const shimmed: Outcome = {
  code: WORK,
  words: 'Pull-up a little too large: equal shims at the pads take it up',
  task: {
    id: 'shim-pads',
    words:
      'Shim all converter pads equally until the pull-up is in its window; longer bolts by as much',
    hours: 0.8,
    skills: ['mechanic'],
    reversible: true,
    caution: 'Rotating hardware: hard, flat shims of one thickness, and the right class of bolt.',
  },
}

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
  above: [
    {
      within: SHIMS_MM,
      // Shims move the converter back: its nose must still be held.
      when: formula(
        { held: total(heldTerms), pullUp: total(pullUpTerms) },
        (x, shop) => !(x.held - shimsFor(x.pullUp, shop) < shop.tolerances.noseInMm - SLACK),
      ),
      becomes: shimmed,
    },
    {
      becomes: {
        code: BRIDGE,
        words: 'Pull-up too large: pump lugs half engaged. A spacer takes it up',
        pieces: ['spacer', 'flexplate'],
      },
    },
  ],
}

export const BY_HAND: Caution = {
  words:
    'Draw nothing up with the bolts: bring the case home by hand all round, or the pump breaks.',
}
