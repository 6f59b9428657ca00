import { boltSet } from '../fasteners/bolt-set.ts'
import { threadKey } from '../mechanics/thread.ts'
import { whereNamed } from './always.ts'
import { BRIDGE, WORK } from './code.ts'
import type { Joint } from './joint.ts'
import { formula, measure, minus, plus, type Step } from './judging/declaration.ts'
import { a, b, plates } from './judging/read.ts'
import type { Outcome } from './verdict.ts'

const LIFT =
  'Train held from above or on a stand before the mount is undone; never under a hanging train.'
const bracket = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['gearbox-mount'] })
const move: Outcome = {
  code: WORK,
  words: 'The crossmember is to be moved along',
  task: {
    id: 'move-crossmember',
    words: 'Move the gearbox crossmember: new holes, spreader plates, rust protection',
    hours: 4,
    skills: ['weld', 'mechanic'],
    reversible: false,
    caution: LIFT,
  },
}
const redrill: Outcome = {
  code: WORK,
  words: 'Bolt spacing differs a little',
  task: {
    id: 'slot-mount',
    words: 'Slot the mount, or make a small plate with both spacings',
    hours: 1,
    skills: ['mechanic'],
    reversible: false,
    caution: LIFT,
  },
}
const pack: Outcome = {
  code: WORK,
  words: 'A packer levels it',
  task: {
    id: 'pack-gearbox-mount',
    words: 'Make a packer for the gearbox mount, and check the driveline angles again',
    hours: 1,
    skills: ['mechanic'],
    reversible: true,
    caution: LIFT,
  },
}

const pad = b.mountPad
const cross = b.crossmember
/** Whether it may be moved decides only where it must be. */
const movedOr = (words: string): Step[] => [
  { ask: cross.mayMove, becomes: move },
  { becomes: bracket(words) },
]
const reach = (sign: 1 | -1) =>
  measure(
    { slotMm: cross.slotMm },
    ({ slotMm }, { tolerances }) => sign * (tolerances.mountMm + slotMm),
    { slotMm: sign },
  )
const spacing: Step[] = [
  { within: 20, becomes: redrill },
  { becomes: bracket('Bolt spacings differ') },
]

/** Joint 18: the gearbox mount on its crossmember: place along the train, bolt spacing, height. Has no damage limits. */
export const gearboxMount: Joint = {
  id: 'gearbox-mount',
  number: 18,
  short: 'Box mount',
  title: 'Gearbox mount to crossmember',
  place: 'vehicle',
  meets: 'whole',
  strip: 'gearbox mount',
  drawing: null,
  decides:
    'Place along the train (kept driveline: the gearbox sits here and places the train), bolt spacing, thread, height.',
  applies: whereNamed(cross),
  limits: [
    {
      id: 'mount-place',
      label: 'Mount over the crossmember, along',
      unit: 'mm',
      when: formula({}, (_, { placement }) => placement === 'set-back'),
      terms: [plus(plates), plus(pad.alongMm), minus(a.enginePads.alongMm), minus(cross.alongMm)],
      window: [reach(-1), reach(1)],
      below: movedOr('Mount stands ahead of the crossmember'),
      above: movedOr('Mount stands behind the crossmember'),
    },
    {
      id: 'mount-spacing',
      label: 'Bolt spacings agree',
      unit: 'mm',
      terms: [plus(pad.spacingMm), minus(cross.spacingMm)],
      window: ['-mountMm', 'mountMm'],
      below: spacing,
      above: spacing,
    },
    {
      id: 'mount-thread',
      label: 'Bolts are the same',
      unit: '',
      holds: formula(
        { pad: pad.thread, cross: cross.thread },
        (x) => threadKey(x.pad!) === threadKey(x.cross!),
      ),
      otherwise: {
        code: WORK,
        words: 'Other bolts',
        task: {
          id: 'mount-bolts',
          words: 'Get mount bolts that suit both, with sleeves',
          hours: 0.3,
          skills: ['mechanic'],
          reversible: true,
        },
      },
    },
    {
      id: 'mount-height',
      label: 'Pad above its seat',
      unit: 'mm',
      // A level train: its axis stands above the seat by the mounts' height and the seat's drop.
      terms: [plus(b.chassisPads.crankAboveMm), plus(cross.belowMm), minus(pad.belowMm)],
      window: ['-mountMm', 'mountMm'],
      below: [
        { within: 30, becomes: pack },
        {
          becomes: bracket('The pad hangs below the seat: another mount, or the crossmember lower'),
        },
      ],
      above: [
        { within: 30, becomes: pack },
        { becomes: bracket('The pad stands above the seat: a taller mount') },
      ],
    },
  ],
  cures: { 'gearbox-mount': 'elsewhere' },
  hardware: (_a, b) => ({
    bolts: boltSet({
      words: 'Gearbox mount',
      thread: b.mountPad.thread.v,
      count: 2,
      into: 'steel',
      usual: '8.8',
    }),
    fits: [],
  }),
}
