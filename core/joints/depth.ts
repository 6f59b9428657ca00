import { always, onAutomatic } from './always.ts'
import { BRIDGE, WORK } from './code.ts'
import type { Joint } from './joint.ts'
import {
  type Formula,
  formula,
  type Limit,
  less,
  measure,
  minus,
  plus,
} from './judging/declaration.ts'
import { SLACK } from './judging/judge.ts'
import { a, aside, b, orElse, plates, spacers, type Term, total } from './judging/read.ts'
import { BY_HAND, PULL_UP } from './pull-up.ts'
import { boreDatum, flange } from './stack.ts'
import type { Outcome } from './verdict.ts'

const pilotPiece: Outcome = {
  code: BRIDGE,
  words: 'Shaft nose does not reach the pilot: an extension or sleeve, or a pilot further back',
  pieces: ['pilot', 'spacer'],
}
const plateBack: Outcome = {
  code: BRIDGE,
  words:
    'Shaft stands too far forward: a plate moves it back. Run so, it bottoms and the engine will hardly turn by hand',
  pieces: ['plate', 'separator'],
}
const tooClose: Outcome = {
  code: BRIDGE,
  words:
    'Release bearing rides on the fingers: a plate gives room. Run so, the clutch slips and the bearing wears out',
  pieces: ['plate', 'separator', 'release-bearing'],
}
const tooFar: Outcome = {
  code: BRIDGE,
  words:
    'Release bearing is too far from the fingers: a spacer brings the clutch back. Run so, the clutch never clears',
  pieces: ['spacer', 'release-bearing'],
}
const offSplines: Outcome = {
  code: BRIDGE,
  words: 'Disc hub leaves its splines: another disc, plate or spacer',
  pieces: ['disc', 'plate', 'spacer'],
}
const shim: Outcome = {
  code: WORK,
  words: 'Starter needs shims',
  task: {
    id: 'starter-shim',
    words: 'Shim the starter to its rest gap, check backlash over a whole turn',
    hours: 0.8,
    skills: ['mechanic'],
    reversible: true,
    caution: 'Battery off before the starter cable is touched.',
  },
}
const otherStarter: Outcome = {
  code: BRIDGE,
  words: 'Pinion stands wrong for the ring: another starter, plate or spacer',
  pieces: ['starter', 'plate', 'spacer', 'flywheel'],
}
const shortMesh: Outcome = {
  code: BRIDGE,
  words: 'Pinion covers too little of the ring: another starter',
  pieces: ['starter'],
}

const shaft = b.inputShaft
const piece = b.pilotPiece
const hub = b.discHub
const bearing = b.releaseBearing
const motor = b.starter

const type = aside(b.ratios.type)
const onManual: Formula<boolean> = formula({ type }, ({ type }) => type !== 'automatic')

const tip: readonly Term[] = [plus(plates), plus(shaft.tipMm), ...less(boreDatum)]
const clutchFace: readonly Term[] = [...flange, plus(b.flywheel.clutchFaceMm)]

const manual: readonly Limit[] = [
  {
    id: 'nose',
    label: 'Nose in the pilot',
    unit: 'mm',
    terms: [
      plus(a.pilotBore.mouthMm),
      minus(piece.depthMm),
      ...less([plus(plates), plus(shaft.tipMm), ...less(boreDatum)]),
    ],
    window: [
      measure(
        { widthMm: piece.widthMm },
        ({ widthMm }, { tolerances }) => Math.min(widthMm, tolerances.noseEngageMm),
        { widthMm: 1 },
      ),
      Infinity,
    ],
    below: pilotPiece,
  },
  {
    id: 'tip-clear',
    label: 'Shaft tip clear of the bottom',
    unit: 'mm',
    damage: true,
    terms: [...tip, minus(a.pilotBore.bottomMm)],
    window: ['tipClearMm', Infinity],
    below: plateBack,
  },
  {
    id: 'shoulder-clear',
    label: 'Shoulder clear of the pilot',
    unit: 'mm',
    damage: true,
    terms: [plus(plates), plus(shaft.noseEndMm), ...less(boreDatum), minus(a.pilotBore.mouthMm)],
    // A piece that stands proud of the bore meets the shoulder first.
    measure: measure({ depthMm: orElse(piece.depthMm, 0) }, ({ depthMm }) => Math.min(0, depthMm), {
      depthMm: 1,
    }),
    window: ['shoulderClearMm', Infinity],
    below: plateBack,
  },
  {
    id: 'hub-front',
    label: 'Hub on splines, forward travel',
    unit: 'mm',
    terms: [...clutchFace, plus(hub.startMm), minus(plates), minus(shaft.splineStartMm)],
    window: ['hubTravelMm', Infinity],
    below: offSplines,
  },
  {
    id: 'hub-rear',
    label: 'Hub on splines, rearward travel',
    unit: 'mm',
    terms: [plus(plates), plus(shaft.splineEndMm), ...less(clutchFace), minus(hub.endMm)],
    window: ['hubTravelMm', Infinity],
    below: offSplines,
  },
  {
    id: 'release-gap',
    label: 'Release bearing gap',
    unit: 'mm',
    damage: true,
    terms: [
      plus(plates),
      plus(bearing.restMm),
      ...less(clutchFace),
      minus(b.coverFingers.heightMm),
    ],
    window: [
      measure({ low: bearing.gapLowMm }, ({ low }) => low, { low: 1 }),
      measure({ high: bearing.gapHighMm }, ({ high }) => high, { high: 1 }),
    ],
    below: tooClose,
    above: tooFar,
  },
]

/** The pinion's place at rest against the ring's near edge, by what the starter is mounted on and which way it works. */
const starterGap = (isForward: boolean, isOnBlock: boolean): readonly Term[] => {
  const rearward = [
    ...flange,
    plus(b.ring.nearMm),
    ...(isOnBlock ? [] : [minus(plates)]),
    minus(motor.pinionMm),
  ]
  return isForward ? less(rearward) : rearward
}

const starter = [false, true].flatMap((isForward) =>
  [false, true].flatMap((isOnBlock): Limit[] => {
    const terms = starterGap(isForward, isOnBlock)
    const isThis = formula(
      { way: aside(motor.way), mount: aside(motor.mount) },
      ({ way, mount }) => (way === 'forward') === isForward && (mount === 'block') === isOnBlock,
    )
    // Off its rest gap the mesh decides nothing: shims or another starter change both.
    const isAtRest = formula(
      { gap: aside(total(terms)), way: aside(motor.way), mount: aside(motor.mount) },
      ({ gap, way, mount }, { tolerances }) =>
        way === null ||
        mount === null ||
        !(gap < tolerances.starterGapLowMm - SLACK || gap > tolerances.starterGapHighMm + SLACK),
    )
    return [
      {
        id: 'starter-gap',
        label: 'Starter rest gap',
        unit: 'mm',
        when: isThis,
        names: [motor.mount, motor.way],
        terms,
        window: ['starterGapLowMm', 'starterGapHighMm'],
        below: [{ within: 3, becomes: shim }, { becomes: otherStarter }],
        above: [{ within: 3, becomes: shim }, { becomes: otherStarter }],
      },
      {
        id: 'starter-overlap',
        label: 'Pinion over the ring',
        unit: 'mm',
        when: [isThis, isAtRest],
        names: [motor.mount, motor.way],
        measure: measure(
          { gap: total(terms), throwMm: motor.throwMm, widthMm: b.ring.widthMm },
          (x) => Math.min(x.throwMm - x.gap, x.widthMm),
          {
            gap: -1,
            throwMm: 1,
            widthMm: 1,
          },
        ),
        window: [
          measure(
            { widthMm: b.ring.widthMm },
            ({ widthMm }, { tolerances }) => tolerances.starterOverlap * widthMm,
            { widthMm: 1 },
          ),
          Infinity,
        ],
        below: shortMesh,
      },
    ]
  }),
)

const original = b.originalStack

/**
 * Joint 3: the depth stacks on one datum, x rearward. B = Σ plates, F = f + Σ spacers; bell lengths are seen from the
 * block face as B + x, wheel lengths as F + x. The offset e against the gearbox's original engine is shown and never decides.
 */
export const depth: Joint = {
  id: 'depth',
  number: 3,
  short: 'Depth',
  title: 'Depth',
  place: 'coupling',
  meets: 'whole',
  strip: 'face',
  drawing: 'stacks',
  decides:
    'Nose and tip in the pilot, hub on its splines, release gap, starter to ring; the converter pull-up on an automatic. Each from its own lengths.',
  applies: always,
  limits: [
    {
      id: 'gearbox-kind',
      label: 'Manual or automatic',
      unit: '',
      when: formula({ type, isThere: shaft.present }, (x) => x.type === null && !x.isThere),
      names: [b.ratios.type],
      holds: formula({}, () => true),
      otherwise: shim,
    },
    { ...PULL_UP, when: onAutomatic },
    ...manual.map((limit) => ({ ...limit, when: onManual })),
    ...starter,
  ],
  figures: [
    {
      label: 'e, flywheel forward of where this gearbox had it',
      unit: 'mm',
      of: formula(
        {
          plates,
          spacers,
          proudMm: a.crankFlange.proudMm,
          platesThen: original.platesMm,
          flangeThen: original.flangeMm,
          spacersThen: orElse(original.spacersMm, 0),
        },
        (x) => x.plates - x.proudMm - x.spacers - (x.platesThen - x.flangeThen - x.spacersThen),
      ),
    },
  ],
  cautions: [{ ...BY_HAND, when: onAutomatic }],
  cures: {
    plate: 'face',
    separator: 'instead',
    spacer: 'flange',
    pilot: 'pilot',
    disc: 'instead',
    'release-bearing': 'instead',
    starter: 'instead',
    flywheel: 'flange',
    flexplate: 'flange',
  },
}
