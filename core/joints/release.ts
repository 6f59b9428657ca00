import { pistonArea, releaseTravel, slaveStroke } from '../mechanics/clutch.ts'
import { BRIDGE, WORK } from './code.ts'
import type { Joint } from './joint.ts'
import { formula, measure, minus, plus } from './judging/declaration.ts'
import { aside, b } from './judging/read.ts'
import type { Outcome } from './verdict.ts'

const cylinders = (words: string): Outcome => ({
  code: BRIDGE,
  words,
  pieces: ['clutch-hydraulics'],
})

const pedal = b.clutchPedal
const gear = b.releaseGear
const fingers = b.coverFingers
const stroke = {
  travelMm: pedal.travelMm,
  pedalRatio: pedal.ratio,
  masterMm: pedal.masterMm,
  slaveMm: gear.slaveMm,
  innerMm: gear.innerMm,
}

/**
 * Joint 7: pedal to release bearing. x = pedal ÷ pedal ratio · A_master/A_slave ÷ fork ratio · what is not lost; a slave
 * round the shaft has an annulus. The gap at rest is decided in depth; here its greatest value is taken off.
 */
export const release: Joint = {
  id: 'release',
  number: 7,
  short: 'Release',
  title: 'Pedal to release bearing',
  place: 'vehicle',
  meets: 'whole',
  strip: 'release',
  drawing: null,
  decides:
    'Travel that arrives at the fingers against what frees the disc, the strokes of master and slave, and what is left for wear.',
  applies: formula(
    { type: aside(b.ratios.type), isNamed: pedal.named },
    (x) => x.type !== 'automatic' && x.isNamed,
  ),
  limits: [
    {
      id: 'release-travel',
      label: 'Bearing travel beyond its rest gap',
      unit: 'mm',
      names: [gear.type],
      terms: [minus(b.releaseBearing.gapHighMm)],
      measure: measure(
        { ...stroke, forkRatio: gear.forkRatio },
        (x, { tolerances }) =>
          releaseTravel(
            x.travelMm,
            x.pedalRatio,
            pistonArea(x.masterMm) / pistonArea(x.slaveMm, x.innerMm),
            x.forkRatio,
            tolerances.releaseLoss,
          ),
        { travelMm: 1, pedalRatio: -1, masterMm: 1, slaveMm: -1, innerMm: 1, forkRatio: -1 },
      ),
      window: [
        measure({ low: fingers.travelLowMm }, ({ low }) => low, { low: 1 }),
        measure({ high: fingers.travelHighMm }, ({ high }) => high, { high: 1 }),
      ],
      below: cylinders(
        'The clutch does not free: a larger master, a smaller slave, or another fork',
      ),
      above: {
        code: WORK,
        words: 'The fingers would be pushed too far: a pedal stop holds them',
        task: {
          id: 'pedal-stop',
          words: 'Set a pedal stop at the travel the cover stands',
          hours: 0.5,
          skills: ['mechanic'],
          reversible: true,
        },
      },
    },
    {
      id: 'master-stroke',
      label: 'Master stroke left',
      unit: 'mm',
      terms: [plus(pedal.strokeMm)],
      measure: measure(
        { travelMm: pedal.travelMm, pedalRatio: pedal.ratio },
        (x) => -x.travelMm / x.pedalRatio,
        { travelMm: -1, pedalRatio: 1 },
      ),
      window: [0, Infinity],
      below: cylinders('The master bottoms before the pedal does'),
    },
    {
      id: 'slave-wear',
      label: 'Slave stroke left for wear',
      unit: 'mm',
      terms: [plus(gear.strokeMm)],
      measure: measure(
        stroke,
        (x) => -slaveStroke(x.travelMm / x.pedalRatio, x.masterMm, x.slaveMm, x.innerMm),
        {
          travelMm: -1,
          pedalRatio: 1,
          masterMm: -1,
          slaveMm: 1,
          innerMm: -1,
        },
      ),
      window: ['wearReserveMm', Infinity],
      below: cylinders('The slave runs out of stroke as the clutch wears'),
    },
  ],
  cautions: [
    {
      words:
        'A slave round the shaft is reached only with the gearbox out: renew it while it is, and pressure-test before mating.',
      when: formula({ type: aside(gear.type) }, ({ type }) => type === 'concentric slave'),
    },
  ],
  cures: { 'clutch-hydraulics': 'elsewhere' },
}
