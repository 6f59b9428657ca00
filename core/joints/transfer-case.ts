import { boltSet } from '../fasteners/bolt-set.ts'
import { whereNamed } from './always.ts'
import { BRIDGE, CLASH, WORK } from './code.ts'
import type { Joint } from './joint.ts'
import { formula, type Limit, measure, minus, plus } from './judging/declaration.ts'
import { a, aside, b, type Shop } from './judging/read.ts'
import type { PatternMatch } from './search/correspondence.ts'
import { matchHoles } from './search/pattern-match.ts'
import type { Outcome } from './verdict.ts'

const adapter = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['case-adapter'] })
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
const clocked: Outcome = {
  code: WORK,
  words: 'The case is turned: front shaft, lever and mount move with it',
  task: {
    id: 'clocked-case',
    words: 'Check oil level, front shaft angle, lever and mount with the case as turned',
    hours: 2,
    skills: ['mechanic'],
    reversible: true,
  },
}

const PATTERNS = {
  holesA: a.face.holes,
  holesB: b.face.holes,
  dowelsA: aside(a.face.dowels),
  dowelsB: aside(b.face.dowels),
}
type Patterns = {
  readonly [K in keyof typeof PATTERNS]: (typeof PATTERNS)[K] extends { holds?: infer T }
    ? Exclude<T, undefined>
    : never
}
const matchOf = (x: Patterns, { tolerances }: Shop): PatternMatch | null =>
  matchHoles(x.holesA, x.dowelsA, x.holesB, x.dowelsB, tolerances.axisOffsetFitsMm)
const allMeet = (x: Patterns, shop: Shop): boolean => {
  const match = matchOf(x, shop)
  return match !== null && match.missingA.length === 0 && match.missingB.length === 0
}

const families = { familyA: aside(a.face.family), familyB: aside(b.face.family) }
const isOneFamily = (x: {
  readonly familyA: string | null
  readonly familyB: string | null
}): boolean => x.familyA !== null && x.familyA === x.familyB
const patternsAside = {
  ...families,
  holesA: aside(a.face.holes),
  holesB: aside(b.face.holes),
  dowelsA: aside(a.face.dowels),
  dowelsB: aside(b.face.dowels),
}

const FACE = { id: 'case-face', label: 'Case bolts meet', unit: '' } as const
const face: readonly Limit[] = [
  {
    ...FACE,
    when: formula(families, isOneFamily),
    names: [a.face.family, b.face.family],
    holds: formula({}, () => true),
  },
  {
    ...FACE,
    when: formula(families, (x) => !isOneFamily(x)),
    holds: formula(PATTERNS, allMeet),
    otherwise: adapter(
      'The bolts of the case do not meet: an adapter, and its length moves the case back',
    ),
  },
  {
    id: 'case-clock',
    label: 'Case turned',
    unit: '°',
    when: formula(patternsAside, (x, shop) => !isOneFamily(x) && allMeet(x, shop)),
    holds: formula(
      PATTERNS,
      (x, shop) => Math.abs(matchOf(x, shop)!.turnDeg) <= shop.tolerances.turnDeg,
    ),
    otherwise: [
      { ask: b.face.mayTurn, becomes: clocked },
      { becomes: adapter('The bolts meet only with the case turned, and it may not turn') },
    ],
  },
]

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
  strip: null,
  drawing: null,
  decides:
    'Bolt face and clocking, splines, how much shaft is held and whether it bottoms; front output side and rotation against the front axle; front and rear ratios equal; how it is shifted.',
  applies: whereNamed(transfer),
  limits: [...face, ...coupling, ...front],
  figures: [
    {
      label: 'Turn of the case',
      unit: '°',
      of: formula(PATTERNS, (x, shop) => matchOf(x, shop)!.turnDeg),
      when: formula(patternsAside, (x, shop) => !isOneFamily(x) && allMeet(x, shop)),
    },
  ],
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
