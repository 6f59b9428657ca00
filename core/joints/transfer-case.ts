import { boltSet } from '../fasteners/bolt-set.ts'
import { whereNamed } from './always.ts'
import { BRIDGE, CLASH, WORK } from './code.ts'
import type { Joint } from './joint.ts'
import { formula, type Limit, measure, minus, plus } from './judging/declaration.ts'
import { b } from './judging/read.ts'
import { type FaceWords, faceFigures, faceLimits } from './located-face.ts'
import type { Outcome } from './verdict.ts'

const shaft = (words: Outcome['words']): Outcome => ({
  code: BRIDGE,
  words,
  pieces: ['coupling-shaft', 'case-adapter'],
})
const linkage: Outcome = {
  code: WORK,
  words: 'It is shifted another way',
  task: {
    id: 'case-shift',
    words: 'Make the shift of the transfer case: lever, cable or switch, with its lamp',
    hours: 4,
    skills: ['mechanic'],
    reversible: true,
  },
}
const WORDS: FaceWords = {
  ids: {
    bolts: 'case-face',
    dowels: 'case-dowels',
    register: 'case-register-kinds',
    seat: 'case-register-fit',
    process: 'case-process',
    axis: 'case-axis',
    turn: 'case-clock',
  },
  pieces: ['case-adapter'],
  piece: 'An adapter, whose length moves the case back,',
  axisLabel: 'Gearbox to case axis',
  turned: {
    id: 'clocked-case',
    words: 'Check oil level, front shaft angle, lever and mount with the case as turned',
    hours: 2,
    skills: ['mechanic'],
    reversible: true,
  },
  partial: {
    id: 'missing-case-bolts',
    words: 'Drill and tap the missing bolts of the case, or record that they are left out',
    hours: 2,
    skills: ['machine'],
    reversible: false,
    caution: 'Last check before a case is drilled: a cut casting cannot be uncut.',
  },
}

const out = b.caseShaft
const input = b.transferInput
const splines = { out: out.splines, input: input.splines }
const coupling: readonly Limit[] = [
  {
    id: 'case-splines',
    label: 'Splines are as many',
    unit: '',
    holds: formula(splines, (x) => x.out === x.input),
    otherwise: shaft(formula(splines, (x) => `${x.out} splines into ${x.input}`)),
  },
  {
    id: 'case-bore',
    label: 'Case over the shaft, outer Ø',
    unit: 'mm',
    terms: [plus(input.majorMm), minus(out.majorMm)],
    window: [0, 'splineMm'],
    below: shaft('The shaft does not go in'),
    above: shaft('The shaft is loose in the case'),
  },
  {
    id: 'case-engaged',
    label: 'Shaft held in the case',
    unit: 'mm',
    damage: true,
    // The shaft stands past the rear face by where its end is, less that face.
    measure: measure(
      { endMm: out.endMm, faceMm: out.faceMm, depthMm: input.depthMm },
      (x) => Math.min(x.endMm - x.faceMm, x.depthMm),
      { endMm: 1, faceMm: -1, depthMm: 1 },
    ),
    window: ['couplingMm', Infinity],
    below: shaft('Too little shaft is held: a longer one, or a thinner adapter'),
  },
  {
    id: 'case-end',
    label: 'Shaft end clear inside',
    unit: 'mm',
    damage: true,
    terms: [plus(input.mostMm), minus(out.endMm), plus(out.faceMm)],
    window: ['shaftEndMm', Infinity],
    below: shaft('The shaft bottoms in the case: a shorter one, or a thicker adapter'),
  },
]

const { transfer, frontAxle } = b
const isFourWheel = formula({ isNamed: frontAxle.named }, ({ isNamed }) => isNamed)
const front: readonly Limit[] = [
  {
    id: 'front-side',
    label: 'Front output on the side of the front axle',
    unit: '',
    when: isFourWheel,
    holds: formula({ out: transfer.frontSide, axle: frontAxle.side }, (x) => x.out === x.axle),
    otherwise: {
      code: CLASH,
      words:
        'Front output and front axle stand on either side: no shaft crosses over. Another case, or another axle',
    },
  },
  {
    id: 'front-turns',
    label: 'Front output turns as the axle wants',
    unit: '',
    when: isFourWheel,
    holds: formula({ out: transfer.frontTurns, axle: frontAxle.turns }, (x) => x.out === x.axle),
    otherwise: {
      code: CLASH,
      words: 'The front axle would drive backward: another case, or an axle of the other sense',
    },
  },
  {
    id: 'front-ratio',
    label: 'Front and rear wheels at one speed',
    unit: '',
    when: isFourWheel,
    measure: measure(
      { out: transfer.frontRatio, front: frontAxle.ratio, rear: b.axle.ratio },
      (x) => (x.out * x.rear) / x.front - 1,
      { out: 1, rear: 1, front: -1 },
    ),
    window: ['-axleRatio', 'axleRatio'],
    below: {
      code: BRIDGE,
      words: 'Front wheels turn slower: axles of one ratio',
      pieces: ['axle-gears'],
    },
    above: {
      code: BRIDGE,
      words: 'Front wheels turn faster: axles of one ratio',
      pieces: ['axle-gears'],
    },
  },
  {
    id: 'case-shift',
    label: 'Shifted as the vehicle does',
    unit: '',
    when: isFourWheel,
    holds: formula({ out: transfer.shift, axle: frontAxle.shift }, (x) => x.out === x.axle),
    otherwise: linkage,
  },
]

/** Joint 13: gearbox to transfer case, and its front output to the front axle. Damage limits: shaft held, shaft end. */
export const transferCase: Joint = {
  id: 'transfer-case',
  number: 13,
  short: 'Transfer',
  title: 'Gearbox to transfer case',
  place: 'vehicle',
  meets: 'case',
  strip: 'transfer case',
  drawing: null,
  decides:
    'Bolt face located by dowels or register, axis and clocking, splines, how much shaft is held and whether it bottoms; front output side and rotation against the front axle; front and rear ratios equal; how it is shifted.',
  applies: whereNamed(transfer),
  limits: [...faceLimits(WORDS), ...coupling, ...front],
  figures: faceFigures(WORDS.axisLabel),
  cures: { 'case-adapter': 'elsewhere', 'coupling-shaft': 'elsewhere', 'axle-gears': 'elsewhere' },
  hardware: (a) => ({
    bolts: boltSet({
      words: 'Case to gearbox',
      thread: a.face.holes.v?.find((hole) => hole.thread)?.thread ?? null,
      count: a.face.holes.v?.length ?? Number.NaN,
      into: 'aluminium',
      usual: '8.8',
    }),
    fits: [],
  }),
}
