import { boltSet, locatedFit } from '../fasteners/bolt-set.ts'
import { headCovers } from '../fasteners/head.ts'
import { threadDiameter, threadKey } from '../mechanics/thread.ts'
import { onAutomatic } from './always.ts'
import { BRIDGE, WORK } from './code.ts'
import type { Joint } from './joint.ts'
import { bounded, formula, type Limit, less, measure, minus, plus } from './judging/declaration.ts'
import { a, b, orElse, total } from './judging/read.ts'
import { BY_HAND, heldTerms, noseTerms, pullUpTerms, shimsFor, shimsWithin } from './pull-up.ts'
import { type FlangeMatch, matchFlange } from './search/flange-holes.ts'
import type { Outcome } from './verdict.ts'

const plateOr = (words: string): Outcome => ({
  code: BRIDGE,
  words,
  pieces: ['flexplate', 'converter'],
})
const another = (words: Outcome['words']): Outcome => ({
  code: BRIDGE,
  words,
  pieces: ['converter'],
})
const wrongBolt: Outcome = {
  code: WORK,
  words: 'Converter bolts are the wrong length',
  task: {
    id: 'converter-bolts',
    words: 'Get converter bolts of the right length and class: too long dents the converter',
    hours: 0.3,
    skills: ['mechanic'],
    reversible: true,
    caution: "Rotating hardware: the right class only, and the maker's torque.",
  },
}
const seatIt: Outcome = {
  code: WORK,
  words: 'Pads differ: the converter is not home, or a plate is bent',
  task: {
    id: 'seat-converter',
    words: 'Turn and press the converter until it drops home, measure all pads again',
    hours: 0.5,
    skills: ['mechanic'],
    reversible: true,
  },
}

const plate = b.flexPads
const { converter: own, pump } = b
const pattern = {
  padAngles: own.padAngles,
  angles: plate.angles,
  padCircleMm: own.padCircleMm,
  holeMm: plate.holeMm,
  thread: own.padThread,
}
interface Pads {
  readonly padAngles: readonly number[] | null
  readonly angles: readonly number[] | null
  readonly padCircleMm: number
  readonly holeMm: number
  readonly thread: string | null
}
const matchOf = (x: Pads): FlangeMatch =>
  matchFlange(x.padAngles!, x.angles!, x.padCircleMm, (x.holeMm - threadDiameter(x.thread)) / 2)

const pads: readonly Limit[] = [
  {
    id: 'pads-equal',
    label: 'Pads equal all round',
    unit: 'mm',
    terms: [plus(pump.padSpreadMm)],
    window: [0, 'padSpreadMm'],
    above: seatIt,
  },
  {
    id: 'pads-meet',
    label: 'Pads meet the flexplate',
    unit: '',
    holds: formula(pattern, (x) => matchOf(x).met === matchOf(x).crank),
    otherwise: plateOr('Pads do not meet the flexplate at any turn'),
  },
  {
    id: 'pad-circle',
    label: 'Pad circles agree',
    unit: 'mm',
    terms: [plus(plate.circleMm), minus(own.padCircleMm)],
    window: ['-circleMm', 'circleMm'],
    below: plateOr('Pad circles differ'),
    above: plateOr('Pad circles differ'),
  },
  {
    id: 'pad-thread',
    label: "Bolt thread is the pads'",
    unit: '',
    holds: formula(
      { pad: own.padThread, bolt: plate.boltThread },
      (x) => threadKey(x.pad!) === threadKey(x.bolt!),
    ),
    otherwise: wrongBolt,
  },
  {
    id: 'pad-heads',
    label: 'Bolt heads cover the holes of the flexplate',
    unit: '',
    holds: formula({ thread: own.padThread, holeMm: plate.holeMm }, (x) =>
      headCovers(x.thread, x.holeMm),
    ),
    otherwise: plateOr('The holes are as wide as the bolt heads'),
  },
  {
    id: 'pad-reach',
    label: 'Bolt reach into the pads',
    unit: 'mm',
    terms: [plus(plate.boltMm), minus(plate.thickMm)],
    window: [
      measure(
        { thread: own.padThread },
        ({ thread }, { tolerances }) => tolerances.padReach * threadDiameter(thread),
        {},
      ),
      measure(
        { depthMm: own.padDepthMm },
        ({ depthMm }, { tolerances }) => depthMm - tolerances.boltEndMm,
        { depthMm: 1 },
      ),
    ],
    below: wrongBolt,
    above: wrongBolt,
  },
]

/** A pull-up that shims take up is judged as it will be: they move the converter back. Not known, there are none yet. */
const SHIMS = { pullUp: orElse(total(pullUpTerms), Number.NaN) }

const nose: readonly Limit[] = [
  {
    id: 'nose-fit',
    label: 'Nose in the crank bore, clearance',
    unit: 'mm',
    terms: [plus(a.converterBore.boreMm), minus(own.noseMm)],
    window: [0, 'noseClearMm'],
    below: another('Nose does not enter the crank'),
    above: {
      code: BRIDGE,
      words: 'Nose is loose in the crank: a sleeve centres it',
      pieces: ['pilot', 'converter'],
    },
  },
  {
    id: 'nose-in',
    label: 'Nose held in the crank bore',
    unit: 'mm',
    terms: heldTerms,
    measure: bounded(
      SHIMS,
      (x, shop) => -shimsFor(x.pullUp, shop),
      (x, pm, shop) => {
        const [fewest, most] = shimsWithin(x.pullUp - pm.pullUp, x.pullUp + pm.pullUp, shop)
        return [-most, -fewest]
      },
    ),
    window: ['noseInMm', Infinity],
    below: {
      code: BRIDGE,
      words: 'Nose does not reach the crank bore: a sleeve carries it',
      pieces: ['pilot', 'converter'],
    },
  },
  {
    id: 'nose-clear',
    label: 'Nose clear of the bottom',
    unit: 'mm',
    damage: true,
    terms: [plus(a.converterBore.depthMm), ...less(noseTerms)],
    measure: bounded(
      SHIMS,
      (x, shop) => shimsFor(x.pullUp, shop),
      (x, pm, shop) => shimsWithin(x.pullUp - pm.pullUp, x.pullUp + pm.pullUp, shop),
    ),
    window: ['noseBottomMm', Infinity],
    below: {
      code: BRIDGE,
      words:
        'The nose is longer than the crank bore is deep: measure again, or use a spacer, and check the pull-up again',
      pieces: ['spacer', 'converter'],
    },
  },
]

const splines = [
  {
    id: 'turbine-splines',
    label: 'Turbine shaft splines',
    reads: { ours: own.turbineSplines, theirs: pump.turbineSplines },
  },
  {
    id: 'stator-splines',
    label: 'Stator splines',
    reads: { ours: own.statorSplines, theirs: pump.statorSplines },
  },
].map(
  ({ id, label, reads }): Limit => ({
    id,
    label,
    unit: '',
    holds: formula(reads, (x) => x.ours === x.theirs),
    otherwise: another(formula(reads, (x) => `${x.ours} splines on ${x.theirs}`)),
  }),
)

const atPump: readonly Limit[] = [
  {
    id: 'lugs',
    label: 'Pump lugs engaged after pull-up',
    unit: 'mm',
    damage: true,
    measure: measure(
      { lugsMm: pump.lugsMm, pullUp: total(pullUpTerms) },
      (x, shop) => x.lugsMm - (x.pullUp - shimsFor(x.pullUp, shop)),
      { lugsMm: 1, pullUp: -1 },
    ),
    window: ['lugsMm', Infinity],
    below: {
      code: BRIDGE,
      words: 'Pump lugs half engaged: they break and take the pump',
      pieces: ['spacer', 'converter'],
    },
  },
  ...splines,
  {
    id: 'hub-in-pump',
    label: 'Hub in the pump bush, clearance',
    unit: 'mm',
    terms: [plus(pump.bushMm), minus(own.hubMm)],
    window: [0, 'pumpBushMm'],
    below: another('Hub does not enter the pump'),
    above: another('Hub is loose in the pump: it leaks'),
  },
]

/**
 * Joint 8: converter between flexplate, crank and pump. Damage limits: lugs, nose clear of the bottom; the
 * pull-up is decided in depth. Pads are bolted back by it, so the nose goes into the crank by its stand ahead of the pads
 * less h and the spacers.
 */
export const converter: Joint = {
  id: 'converter',
  number: 8,
  short: 'Converter',
  title: 'Converter to flexplate, crank and pump',
  place: 'coupling',
  meets: 'whole',
  strip: 'flange',
  drawing: 'stacks',
  decides:
    'Nose and lugs after the pull-up, which depth decides; pads, bolts, splines of turbine and stator, hub, stall.',
  applies: onAutomatic,
  limits: [
    ...pads,
    ...nose,
    ...atPump,
    {
      id: 'stall',
      label: 'Stall speed over torque peak',
      unit: '',
      measure: measure(
        { stallRpm: own.stallRpm, peakRpm: a.engineOutput.peakTorqueRpm },
        (x) => x.stallRpm / x.peakRpm,
        { stallRpm: 1, peakRpm: -1 },
      ),
      window: ['stallLow', 'stallHigh'],
      below: another('Stalls far below the torque peak: sluggish away'),
      above: another('Stalls above the torque peak: it slips and overheats on the road'),
    },
  ],
  figures: [
    {
      label: 'Pads that meet',
      unit: formula(pattern, (x) => `of ${matchOf(x).crank}`),
      of: formula(pattern, (x) => matchOf(x).met),
    },
  ],
  cautions: [BY_HAND],
  cures: {
    spacer: 'flange',
    flexplate: 'flange',
    converter: 'instead',
    pilot: 'pilot',
  },
  hardware: (a, b) => ({
    bolts: boltSet({
      words: 'Converter to plate',
      thread: b.flexPads.boltThread.v,
      count: b.flexPads.angles.v?.length ?? Number.NaN,
      grip: b.flexPads.thickMm.v,
      length: b.flexPads.boltMm.v,
      into: 'steel',
      usual: '8.8',
    }),
    fits: [
      ...locatedFit('Converter nose in the crank', a.converterBore.boreMm, b.converter.noseMm),
      ...locatedFit('Hub in the pump bush', b.pump.bushMm, b.converter.hubMm),
    ],
  }),
}
