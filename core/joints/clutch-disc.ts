import { onManual } from './always.ts'
import { BRIDGE, WORK } from './code.ts'
import type { Joint } from './joint.ts'
import { formula, measure, minus, plus } from './judging/declaration.ts'
import { b } from './judging/read.ts'
import type { Outcome } from './verdict.ts'

const another = (words: Outcome['words']): Outcome => ({ code: BRIDGE, words, pieces: ['disc'] })
const trial: Outcome = {
  code: WORK,
  words: 'Nothing says which way round',
  task: {
    id: 'mark-disc',
    words: 'Try the disc both ways against flywheel and cover, and mark the side that clears',
    hours: 0.5,
    skills: ['mechanic'],
    reversible: true,
    caution: 'Old clutches may hold asbestos: wet, masked, no compressed air.',
  },
}

const hub = b.discHub
const shaft = b.inputShaft
const splines = { hub: hub.splines, shaft: shaft.splines }
const forms = { hub: hub.form, shaft: shaft.form }

/** Joint 5: the clutch disc on the input shaft, and which way round. Has no damage limits; its place along the splines is decided in depth. */
export const clutchDisc: Joint = {
  id: 'clutch-disc',
  number: 5,
  short: 'Disc',
  title: 'Clutch disc on input shaft',
  place: 'coupling',
  meets: 'whole',
  strip: 'pilot',
  drawing: null,
  decides:
    'Count, form and Ø of the splines, hub length with its travel, and which way round: a reversed disc rubs its spring carrier on the flange bolts.',
  applies: onManual,
  limits: [
    {
      id: 'splines',
      label: 'Splines are as many',
      unit: '',
      holds: formula(splines, (x) => x.hub === x.shaft),
      otherwise: another(formula(splines, (x) => `${x.hub} splines on ${x.shaft}`)),
    },
    {
      id: 'spline-form',
      label: 'Splines are of one form',
      unit: '',
      holds: formula(forms, (x) => x.hub === x.shaft),
      otherwise: another(formula(forms, (x) => `A ${x.hub} hub on ${x.shaft} splines`)),
    },
    {
      id: 'spline-major',
      label: 'Hub over shaft, outer Ø',
      unit: 'mm',
      terms: [plus(hub.majorMm), minus(shaft.majorMm)],
      window: [0, 'splineMm'],
      below: another('The hub does not go over the shaft'),
      above: another('The hub is loose on the shaft'),
    },
    {
      id: 'hub-length',
      label: 'Splines longer than hub and its travel',
      unit: 'mm',
      terms: [
        plus(shaft.splineEndMm),
        minus(shaft.splineStartMm),
        minus(hub.endMm),
        plus(hub.startMm),
      ],
      window: [measure({}, (_, { tolerances }) => 2 * tolerances.hubTravelMm, {}), Infinity],
      below: another('Splines are too short for this hub and its travel'),
    },
    {
      id: 'way-round',
      label: 'The disc says which way round',
      unit: '',
      holds: formula({ marked: hub.marked }, ({ marked }) => marked !== 'neither'),
      otherwise: trial,
    },
    {
      id: 'carrier',
      label: 'Spring carrier clear of the flange bolts',
      unit: 'mm',
      terms: [plus(b.flywheel.clutchFaceMm), minus(hub.carrierMm), minus(b.flangeBolts.headTallMm)],
      window: ['carrierClearMm', Infinity],
      below: {
        code: BRIDGE,
        words: 'The spring carrier rubs on the flange bolts',
        pieces: ['disc', 'flywheel', 'spacer'],
      },
    },
  ],
  figures: [
    {
      label: 'Marked side goes to the',
      unit: '',
      of: formula({ marked: hub.marked }, ({ marked }) => marked!.replace(' side', '')),
      when: formula({ marked: hub.marked }, ({ marked }) => marked !== 'neither'),
    },
  ],
  cures: { disc: 'instead', flywheel: 'flange', spacer: 'flange' },
}
