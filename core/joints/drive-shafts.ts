import { compoundAngle } from '../mechanics/driveline.ts'
import { isNamed } from './chassis.ts'
import type { Joint } from './joint.ts'
import type { Sheet } from './sheet.ts'
import type { Side } from './side.ts'
import { BRIDGE, type Limit, type Outcome } from './verdict.ts'

const shaft = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['drive-shaft'] })
const INNER: Limit = { id: 'shaft-inner', label: 'Inner joint fits the transaxle', unit: '' }
const OUTER: Limit = { id: 'shaft-outer', label: 'Outer splines fit the hub', unit: '' }
const LENGTH = {
  left: {
    id: 'shaft-left',
    label: 'Left shaft over its length',
    unit: 'mm',
    damage: true,
    below: shaft('Left shaft too long: it bottoms in its joint'),
    above: shaft('Left shaft too short: it pulls out of its joint'),
  },
  right: {
    id: 'shaft-right',
    label: 'Right shaft over its length',
    unit: 'mm',
    damage: true,
    below: shaft('Right shaft too long: it bottoms in its joint'),
    above: shaft('Right shaft too short: it pulls out of its joint'),
  },
} as const satisfies Record<string, Limit>
const ANGLE: Limit = {
  id: 'shaft-angle',
  label: 'Joint angle left',
  unit: '°',
  damage: true,
  below: shaft('Joints stand past the angle they allow: lower the train, or joints for more'),
}

/** Joint 17: transaxle to its drive shafts and hubs, by side, at ride height. Damage limits: length each side, angle. */
export const driveShafts: Joint = {
  id: 'drive-shafts',
  number: 17,
  short: 'Drive shafts',
  title: 'Transaxle to drive shafts',
  place: 'vehicle',
  decides: 'Inner joint, hub splines, length on each side against its plunge, and joint angle at ride height.',
  applies: (_a, b) => isNamed(b.driveShafts) && b.ratios.finalDrive.claim !== null,
  check(_a, b, _ctx, sheet) {
    const { sideOutputs: box, driveShafts: shafts } = b
    sheet.uses(box.family)
    sheet.uses(shafts.family)
    sheet.require(INNER, box.family.v === shafts.family.v, shaft('Another inner joint: shafts made up of the gearbox’s inner and the hub’s outer halves'))
    sheet.uses(shafts.splines)
    sheet.uses(shafts.hubSplines)
    sheet.require(OUTER, shafts.splines.v === shafts.hubSplines.v, shaft('Other outer splines than the hub'))
    length('left', box.leftMm, shafts.hubLeftMm, shafts.leftMm, b, sheet)
    length('right', box.rightMm, shafts.hubRightMm, shafts.rightMm, b, sheet)
    // The shorter side stands steeper.
    const across = Math.min(shafts.hubLeftMm.v - box.leftMm.v, shafts.hubRightMm.v - box.rightMm.v)
    for (const field of [box.leftMm, box.rightMm, shafts.hubLeftMm, shafts.hubRightMm, shafts.dropMm]) sheet.uses(field)
    sheet.term(1, shafts.mostDeg)
    const angle = compoundAngle(degrees(Math.abs(shafts.dropMm.v), across), 0)
    const steepest = compoundAngle(degrees(Math.abs(shafts.dropMm.v) + shafts.dropMm.pm, across - box.leftMm.pm - shafts.hubLeftMm.pm), 0)
    sheet.value(-angle, Math.abs(steepest - angle))
    sheet.within(ANGLE, 0, Infinity)
    sheet.caution('Wheels on their tyres or the axle on stands for every length: a hanging axle measures another shaft.')
  },
}

function length(
  side: 'left' | 'right',
  inner: Side['sideOutputs']['leftMm'],
  outer: Side['driveShafts']['leftMm'],
  has: Side['driveShafts']['leftMm'],
  b: Side,
  sheet: Sheet,
): void {
  const { dropMm, plungeMm } = b.driveShafts
  const across = outer.v - inner.v
  const wanted = Math.hypot(across, dropMm.v)
  for (const field of [inner, outer, dropMm, plungeMm]) sheet.uses(field)
  sheet.term(-1, has)
  sheet.value(wanted, inner.pm + outer.pm + (Math.abs(dropMm.v) / wanted) * dropMm.pm)
  sheet.within(LENGTH[side], -plungeMm.v, plungeMm.v)
}

const degrees = (rise: number, run: number): number => (Math.atan2(rise, run) * 180) / Math.PI
