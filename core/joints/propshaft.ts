import { boltSet } from '../fasteners/bolt-set.ts'
import { criticalSpeed, residualAngle } from '../mechanics/driveline.ts'
import { BRIDGE, WORK } from './code.ts'
import { about } from './interval.ts'
import type { Joint } from './joint.ts'
import { bounded, formula, type Limit, measure, minus, plus } from './judging/declaration.ts'
import { SLACK } from './judging/judge.ts'
import { a, aside, b, known } from './judging/read.ts'
import {
  LINE,
  type Line,
  lineAngle,
  lineAngleWithin,
  lineLength,
  lineLengthWithin,
} from './shaft-line.ts'
import type { Outcome } from './verdict.ts'

const BALANCE =
  'A propshaft that lets go beats through the floor: welded and balanced by a shaft shop, never at home; loops where the rules ask.'
const shaft = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['propshaft'] })
const shorten: Outcome = {
  code: WORK,
  words: 'The propshaft is shortened',
  task: {
    id: 'shorten-propshaft',
    words: 'Have the propshaft shortened and balanced, after the mock-up is measured',
    hours: 1,
    skills: ['mechanic'],
    reversible: false,
    caution: BALANCE,
  },
}
const mounts: Outcome = {
  code: WORK,
  words: 'Joints stand too steep for their speed',
  task: {
    id: 'set-driveline-angles',
    words: 'Shim the gearbox mount or the axle until both joint angles are small and equal',
    hours: 3,
    skills: ['mechanic'],
    reversible: true,
  },
}

const { output, propshaft: prop, pinion } = b

/** A slip yoke is judged by splines and outer Ø, a flange by its circle. */
const END = {
  id: 'prop-end',
  label: 'Front end fits the output',
  unit: '',
  otherwise: shaft('Another front end: the yoke or flange of this gearbox on the propshaft'),
} as const
const type = { type: aside(output.type) }
const end: readonly Limit[] = [
  {
    ...END,
    when: formula(type, (x) => x.type === 'slip'),
    holds: formula(
      {
        output: output.type,
        prop: prop.type,
        outMajor: output.majorMm,
        propMajor: prop.majorMm,
        outSplines: output.splines,
        propSplines: prop.splines,
      },
      (x, { tolerances }) => {
        const over = x.propMajor - x.outMajor
        return (
          x.output === x.prop &&
          x.outSplines === x.propSplines &&
          over >= -SLACK &&
          over <= tolerances.splineMm + SLACK
        )
      },
    ),
  },
  {
    ...END,
    when: formula(type, (x) => x.type !== 'slip'),
    holds: formula(
      {
        output: output.type,
        prop: prop.type,
        outCircle: output.circleMm,
        propCircle: prop.circleMm,
      },
      (x, { tolerances }) =>
        x.output === x.prop && Math.abs(x.propCircle - x.outCircle) <= tolerances.circleMm + SLACK,
    ),
  },
]

const spare = (sign: 1 | -1) =>
  measure(
    { slipMm: prop.slipMm, travelMm: pinion.travelMm },
    (x, { tolerances }) => sign * Math.max(0, (x.slipMm - x.travelMm) / 2 - tolerances.slipKeptMm),
    {
      slipMm: sign,
      travelMm: sign === 1 ? -1 : 1,
    },
  )

/** Shaft speed at redline in the highest gear. In overdrive it exceeds engine speed. */
const SPEED = { redlineRpm: a.engineOutput.redlineRpm, gears: b.ratios.gears }
function topSpeed(
  { redlineRpm, gears }: { readonly redlineRpm: number; readonly gears: readonly number[] | null },
  down = 0,
  faster = 0,
): number {
  let top = Infinity
  for (const gear of gears ?? []) if (gear > 0 && gear < top) top = gear
  return (redlineRpm + faster) / (top - down)
}
const topSpeedWithin = (
  x: Parameters<typeof topSpeed>[0],
  pm: { readonly redlineRpm: number; readonly gears: number },
): readonly [number, number] => [
  topSpeed(x, -pm.gears, -pm.redlineRpm),
  topSpeed(x, pm.gears, pm.redlineRpm),
]

const ANGLE = { ...LINE, yokeDeg: prop.yokeDeg, ...SPEED }
type Angle = Line & {
  readonly yokeDeg: number
  readonly redlineRpm: number
  readonly gears: readonly number[] | null
}
const most = (x: Angle, angleSpeed: number): number => Math.min(x.yokeDeg, angleSpeed / topSpeed(x))
const mostWithin = (
  x: Angle,
  pm: Readonly<Record<keyof Angle, number>>,
  angleSpeed: number,
): readonly [number, number] => {
  const [slow, fast] = topSpeedWithin(x, pm)
  return [
    Math.min(x.yokeDeg - pm.yokeDeg, angleSpeed / fast),
    Math.min(x.yokeDeg + pm.yokeDeg, angleSpeed / slow),
  ]
}
const noseUp = { noseUpDeg: pinion.noseUpDeg }

/** Both joint angles and what they leave over, compound: side view and plan together. */
const angles: readonly Limit[] = [
  {
    id: 'prop-front-angle',
    label: 'Front joint angle left',
    unit: '°',
    measure: bounded(
      ANGLE,
      (x, { tolerances }) => most(x, tolerances.angleSpeed) - lineAngle(x),
      (x, pm, { tolerances }) => {
        const [least, greatest] = lineAngleWithin(x, pm)
        const [low, high] = mostWithin(x, pm, tolerances.angleSpeed)
        return [low - greatest, high - least]
      },
    ),
    window: [0, Infinity],
    below: mounts,
  },
  {
    id: 'prop-rear-angle',
    label: 'Rear joint angle left',
    unit: '°',
    measure: bounded(
      { ...ANGLE, ...noseUp },
      (x, { tolerances }) => most(x, tolerances.angleSpeed) - lineAngle(x, x.noseUpDeg),
      (x, pm, { tolerances }) => {
        const [least, greatest] = lineAngleWithin(x, pm, about(x.noseUpDeg, pm.noseUpDeg))
        const [low, high] = mostWithin(x, pm, tolerances.angleSpeed)
        return [low - greatest, high - least]
      },
    ),
    window: [0, Infinity],
    below: mounts,
  },
  {
    id: 'prop-residual',
    label: 'Angle the two joints leave over',
    unit: '°',
    measure: bounded(
      { ...LINE, ...noseUp },
      (x) => residualAngle(lineAngle(x), lineAngle(x, x.noseUpDeg), true),
      (x, pm) => {
        const [frontLeast, frontMost] = lineAngleWithin(x, pm)
        const [rearLeast, rearMost] = lineAngleWithin(x, pm, about(x.noseUpDeg, pm.noseUpDeg))
        const apart = Math.max(0, frontLeast - rearMost, rearLeast - frontMost)
        return [
          apart === 0
            ? 0
            : Math.min(
                residualAngle(frontLeast, rearMost, true),
                residualAngle(rearLeast, frontMost, true),
              ),
          Math.max(
            residualAngle(frontMost, rearLeast, true),
            residualAngle(rearMost, frontLeast, true),
          ),
        ]
      },
    ),
    window: [0, 'residualDeg'],
    above: mounts,
  },
]

const WHIRL = { ...LINE, tubeMm: prop.tubeMm, wallMm: prop.wallMm, ...SPEED }
/** Whirl falls with length and with the wall, and rises with the tube. */
const critical: Limit = {
  id: 'prop-critical',
  label: 'Shaft speed left to its share of the critical speed',
  unit: 'rpm',
  damage: true,
  measure: bounded(
    WHIRL,
    (x, { tolerances }) =>
      tolerances.criticalShare * criticalSpeed(x.tubeMm, x.wallMm, lineLength(x)) - topSpeed(x),
    (x, pm, { tolerances }) => {
      const [short, long] = lineLengthWithin(x, pm)
      const [slow, fast] = topSpeedWithin(x, pm)
      const speed = (sign: 1 | -1, lengthMm: number): number =>
        tolerances.criticalShare *
        criticalSpeed(x.tubeMm + sign * pm.tubeMm, x.wallMm - sign * pm.wallMm, lengthMm)
      return [speed(-1, long) - fast, speed(1, short) - slow]
    },
  ),
  window: [0, Infinity],
  below: shaft('The shaft would whirl: a wider tube, or two pieces with a middle bearing'),
}

/**
 * Joint 16: output to propshaft to axle, at ride height. Damage limits: slip over its travel, critical speed at redline in
 * top gear. Angles are compound: side view and plan together.
 */
export const propshaft: Joint = {
  id: 'propshaft',
  number: 16,
  short: 'Propshaft',
  title: 'Output to propshaft and axle',
  place: 'vehicle',
  meets: 'whole',
  strip: 'output',
  drawing: 'shafts',
  decides:
    'Yoke or flange, length at ride height in either school of placement, slip over the axle’s travel, both compound joint angles and what they leave over, critical speed at redline in top gear.',
  applies: formula(
    { isNamed: pinion.named, isTransaxle: known(b.ratios.finalDrive) },
    (x) => x.isNamed && !x.isTransaxle,
  ),
  limits: [
    ...end,
    {
      id: 'prop-length',
      label: 'Propshaft wanted over the one at hand',
      unit: 'mm',
      terms: [minus(prop.lengthMm)],
      measure: bounded(LINE, lineLength, lineLengthWithin),
      window: [spare(-1), spare(1)],
      below: shorten,
      above: shaft('The propshaft is too short: a longer one, or a longer tube'),
    },
    {
      id: 'prop-slip',
      label: 'Slip left over the axle’s travel',
      unit: 'mm',
      damage: true,
      terms: [plus(prop.slipMm), minus(pinion.travelMm)],
      window: [measure({}, (_, { tolerances }) => 2 * tolerances.slipKeptMm, {}), Infinity],
      below: shaft(
        'The slip runs out over the travel: more slip. Run so, it bottoms into the gearbox or falls out',
      ),
    },
    ...angles,
    critical,
  ],
  figures: [
    { label: 'Propshaft wanted, joint to joint', unit: 'mm', of: formula(LINE, lineLength) },
    { label: 'Front joint, compound angle', unit: '°', of: formula(LINE, (x) => lineAngle(x)) },
    {
      label: 'Rear joint, compound angle',
      unit: '°',
      of: formula({ ...LINE, ...noseUp }, (x) => lineAngle(x, x.noseUpDeg)),
    },
    {
      label: 'Critical speed at that length',
      unit: 'rpm',
      of: formula({ ...LINE, tubeMm: prop.tubeMm, wallMm: prop.wallMm }, (x) =>
        criticalSpeed(x.tubeMm, x.wallMm, lineLength(x)),
      ),
    },
    {
      label: 'Shaft speed at redline in top gear',
      unit: 'rpm',
      of: formula(SPEED, (x) => topSpeed(x)),
    },
  ],
  cautions: [
    { words: BALANCE },
    {
      words:
        'As measured the axle stands ahead of the output. Look at both lengths again before a shaft is ordered.',
      when: formula({ run: aside(LINE.run) }, ({ run }) => run < 0),
    },
  ],
  cures: { propshaft: 'elsewhere' },
  hardware: (_a, b) => ({
    bolts: boltSet({
      words: 'Propshaft flange',
      thread: b.output.thread.v,
      count: 4,
      into: 'steel',
      usual: '10.9',
    }),
    fits: [],
  }),
}
