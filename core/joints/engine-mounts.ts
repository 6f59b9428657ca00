import { boltSet } from '../fasteners/bolt-set.ts'
import { threadKey } from '../mechanics/thread.ts'
import { whereNamed } from './always.ts'
import { BRIDGE, WORK } from './code.ts'
import type { Joint } from './joint.ts'
import { formula, type Limit, less, minus, plus } from './judging/declaration.ts'
import { a, b } from './judging/read.ts'
import { keptOrigin } from './stack.ts'
import type { Outcome } from './verdict.ts'

const LIFT =
  'Engine carried at rated points before a mount is undone; never under a hanging engine.'
const bracket = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['engine-mount'] })
const slotted = (words: string): Outcome => ({
  code: WORK,
  words,
  task: {
    id: 'slot-engine-mounts',
    words: 'Slot or pack the engine brackets to suit',
    hours: 1.5,
    skills: ['mechanic'],
    reversible: false,
    caution: LIFT,
  },
})
/** A little off is slotted, more wants other brackets. */
const steps = (words: string, within: number): Pick<Limit, 'below' | 'above'> => {
  const either = [{ within, becomes: slotted(`${words}, a little`) }, { becomes: bracket(words) }]
  return { below: either, above: either }
}

const pads = a.enginePads
const mounts = b.chassisPads

/** Joint 19: the engine on its mounts. Along it decides where the driveline is kept; set back, the engine sits on the mounts. No damage limits. */
export const engineMounts: Joint = {
  id: 'engine-mounts',
  number: 19,
  short: 'Mounts',
  title: 'Engine mounts to chassis',
  place: 'vehicle',
  meets: 'whole',
  strip: 'engine mounts',
  drawing: null,
  decides:
    'Pads against mounts along, across, in height and lean; studs; whether one is captive under torque.',
  applies: whereNamed(mounts),
  limits: [
    {
      id: 'pads-along',
      label: 'Pads over the mounts, along',
      unit: 'mm',
      when: formula({}, (_, { placement }) => placement !== 'set-back'),
      terms: [plus(pads.alongMm), ...less(keptOrigin)],
      window: ['-mountMm', 'mountMm'],
      ...steps('Pads and mounts stand apart along the vehicle', 7),
    },
    {
      id: 'pads-across',
      label: 'Pads over the mounts, across',
      unit: 'mm',
      terms: [plus(pads.spreadMm), minus(mounts.spreadMm)],
      window: ['-mountMm', 'mountMm'],
      ...steps('Pads and mounts are not as wide', 7),
    },
    {
      id: 'pads-height',
      label: 'Crank axis over its wanted height',
      unit: 'mm',
      terms: [plus(pads.belowMm), minus(mounts.crankAboveMm)],
      window: ['-crankHeightMm', 'crankHeightMm'],
      ...steps('The engine would not sit at its height', 10),
    },
    {
      id: 'pads-lean',
      label: 'Pads lean as the mounts do',
      unit: '°',
      terms: [plus(pads.angleDeg), minus(mounts.angleDeg)],
      window: ['-leanDeg', 'leanDeg'],
      ...steps('Pads and mounts lean apart', 5),
    },
    {
      id: 'pads-thread',
      label: 'Studs are the same',
      unit: '',
      holds: formula(
        { pads: pads.thread, mounts: mounts.thread },
        (x) => threadKey(x.pads!) === threadKey(x.mounts!),
      ),
      otherwise: {
        code: WORK,
        words: 'Other studs',
        task: {
          id: 'mount-studs',
          words: 'Fit studs or sleeves that suit both',
          hours: 0.5,
          skills: ['mechanic'],
          reversible: true,
        },
      },
    },
    {
      id: 'captive',
      label: 'One mount is captive',
      unit: '',
      holds: formula({ captive: mounts.captive }, ({ captive }) => captive === true),
      otherwise: {
        code: WORK,
        words: 'Nothing holds the engine if a rubber tears',
        task: {
          id: 'captive-mount',
          words: 'Fit a captive mount or a strap on the side that lifts under torque',
          hours: 1.5,
          skills: ['mechanic'],
          reversible: true,
          caution:
            'An engine that lifts off a torn mount can hold the throttle open and foul the steering.',
        },
      },
    },
  ],
  cures: { 'engine-mount': 'elsewhere' },
  hardware: (a) => ({
    bolts: boltSet({
      words: 'Engine mounts',
      thread: a.enginePads.thread.v,
      count: 2,
      into: 'steel',
      usual: '8.8',
    }),
    fits: [],
  }),
}
