import { BRIDGE } from './code.ts'
import { about, hypot, type Interval, subtract } from './interval.ts'
import type { Joint } from './joint.ts'
import { bounded, formula, type Limit, measure, minus, plus } from './judging/declaration.ts'
import { b, known, type Read } from './judging/read.ts'
import type { Outcome } from './verdict.ts'

const shaft = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['drive-shaft'] })
const { sideOutputs: box, driveShafts: shafts } = b

/** A shaft runs from the transaxle's joint to the hub's, across and down. */
const length = (
  id: string,
  side: string,
  inner: Read<number>,
  outer: Read<number>,
  has: Read<number>,
): Limit => ({
  id,
  label: `${side} shaft over its length`,
  unit: 'mm',
  damage: true,
  terms: [minus(has)],
  measure: bounded(
    { inner, outer, dropMm: shafts.dropMm },
    (x) => Math.hypot(x.outer - x.inner, x.dropMm),
    (x, pm) =>
      hypot(
        subtract(about(x.outer, pm.outer), about(x.inner, pm.inner)),
        about(x.dropMm, pm.dropMm),
      ),
  ),
  window: [
    measure({ plungeMm: shafts.plungeMm }, (x) => -x.plungeMm, { plungeMm: -1 }),
    measure({ plungeMm: shafts.plungeMm }, (x) => x.plungeMm, { plungeMm: 1 }),
  ],
  below: shaft(`${side} shaft too long: it bottoms in its joint`),
  above: shaft(`${side} shaft too short: it pulls out of its joint`),
})

const degrees = (rise: number, run: number): number => (Math.atan2(rise, run) * 180) / Math.PI
const across = {
  leftMm: box.leftMm,
  rightMm: box.rightMm,
  hubLeftMm: shafts.hubLeftMm,
  hubRightMm: shafts.hubRightMm,
  dropMm: shafts.dropMm,
}

/** Joint 17: transaxle to its drive shafts and hubs, by side, at ride height. Damage limits: length each side, angle. */
export const driveShafts: Joint = {
  id: 'drive-shafts',
  number: 17,
  short: 'Drive shafts',
  title: 'Transaxle to drive shafts',
  place: 'vehicle',
  meets: 'whole',
  strip: 'side outputs',
  drawing: 'shafts',
  decides:
    'Inner joint, hub splines, length on each side against its plunge, and joint angle at ride height.',
  applies: formula(
    { isNamed: shafts.named, isTransaxle: known(b.ratios.finalDrive) },
    (x) => x.isNamed && x.isTransaxle,
  ),
  limits: [
    {
      id: 'shaft-inner',
      label: 'Inner joint fits the transaxle',
      unit: '',
      holds: formula({ box: box.family, shafts: shafts.family }, (x) => x.box === x.shafts),
      otherwise: shaft(
        'Another inner joint: shafts made up of the gearbox’s inner and the hub’s outer halves',
      ),
    },
    {
      id: 'shaft-outer',
      label: 'Outer splines fit the hub',
      unit: '',
      holds: formula({ shafts: shafts.splines, hub: shafts.hubSplines }, (x) => x.shafts === x.hub),
      otherwise: shaft('Other outer splines than the hub'),
    },
    length('shaft-left', 'Left', box.leftMm, shafts.hubLeftMm, shafts.leftMm),
    length('shaft-right', 'Right', box.rightMm, shafts.hubRightMm, shafts.rightMm),
    {
      id: 'shaft-angle',
      label: 'Joint angle left',
      unit: '°',
      damage: true,
      terms: [plus(shafts.mostDeg)],
      // The shorter side stands steeper.
      measure: bounded(
        across,
        (x) =>
          -degrees(Math.abs(x.dropMm), Math.min(x.hubLeftMm - x.leftMm, x.hubRightMm - x.rightMm)),
        (x, pm) => {
          const [leftLeast, leftMost] = subtract(
            about(x.hubLeftMm, pm.hubLeftMm),
            about(x.leftMm, pm.leftMm),
          )
          const [rightLeast, rightMost] = subtract(
            about(x.hubRightMm, pm.hubRightMm),
            about(x.rightMm, pm.rightMm),
          )
          const [dropLeast, dropMost]: Interval = hypot(about(x.dropMm, pm.dropMm))
          return [
            -degrees(dropMost, Math.min(leftLeast, rightLeast)),
            -degrees(dropLeast, Math.min(leftMost, rightMost)),
          ]
        },
      ),
      window: [0, Infinity],
      below: shaft('Joints stand past the angle they allow: lower the train, or joints for more'),
    },
  ],
  cautions: [
    {
      words:
        'Wheels on their tyres or the axle on stands for every length: a hanging axle measures another shaft.',
    },
  ],
  cures: { 'drive-shaft': 'elsewhere' },
}
