import { compoundAngle, criticalSpeed, residualAngle } from '../mechanics/driveline.ts'
import { isNamed } from './chassis.ts'
import type { Joint, JointContext } from './joint.ts'
import { type ShaftLine, shaftLine, usesLine } from './shaft-line.ts'
import type { Sheet } from './sheet.ts'
import type { Side } from './side.ts'
import { BRIDGE, type Limit, type Outcome, WORK } from './verdict.ts'

const BALANCE = 'A propshaft that lets go beats through the floor: welded and balanced by a shaft shop, never at home; loops where the rules ask.'
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
const END: Limit = { id: 'prop-end', label: 'Front end fits the output', unit: '' }
const LENGTH: Limit = {
  id: 'prop-length',
  label: 'Propshaft wanted over the one at hand',
  unit: 'mm',
  below: shorten,
  above: shaft('The propshaft is too short: a longer one, or a longer tube'),
}
const SLIP: Limit = {
  id: 'prop-slip',
  label: 'Slip left over the axle’s travel',
  unit: 'mm',
  damage: true,
  below: shaft('The slip runs out over the travel: more slip. Run so, it bottoms into the gearbox or falls out'),
}
const mounts: Outcome = {
  code: WORK,
  words: 'Joints stand too steep for their speed',
  task: { id: 'set-driveline-angles', words: 'Shim the gearbox mount or the axle until both joint angles are small and equal', hours: 3, skills: ['mechanic'], reversible: true },
}
const FRONT: Limit = { id: 'prop-front-angle', label: 'Front joint angle left', unit: '°', below: mounts }
const REAR: Limit = { id: 'prop-rear-angle', label: 'Rear joint angle left', unit: '°', below: mounts }
const RESIDUAL: Limit = { id: 'prop-residual', label: 'Angle the two joints leave over', unit: '°', above: mounts }
const CRITICAL: Limit = {
  id: 'prop-critical',
  label: 'Shaft speed left to its share of the critical speed',
  unit: 'rpm',
  damage: true,
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
  decides:
    'Yoke or flange, length at ride height in either school of placement, slip over the axle’s travel, both compound joint angles and what they leave over, critical speed at redline in top gear.',
  sometimes: ['output.majorMm', 'output.circleMm', 'case-shaft.faceMm', 'propshaft.majorMm', 'propshaft.circleMm', 'propshaft.splines', 'output.splines'],
  applies: (_a, b) => isNamed(b.pinion) && b.ratios.finalDrive.claim === null,
  check(a, b, ctx, sheet) {
    end(b, ctx, sheet)
    const line = shaftLine(a, b, ctx)
    usesLine(a, b, ctx, sheet)
    sheet.value(line.lengthMm, line.pmMm)
    sheet.term(-1, b.propshaft.lengthMm)
    sheet.uses(b.propshaft.slipMm)
    sheet.uses(b.pinion.travelMm)
    const spare = Math.max(0, (b.propshaft.slipMm.v - b.pinion.travelMm.v) / 2 - ctx.tolerances.slipKeptMm)
    if (sheet.allKnown) sheet.show('Propshaft wanted, joint to joint', line.lengthMm, 'mm')
    sheet.within(LENGTH, -spare, spare)

    sheet.term(1, b.propshaft.slipMm)
    sheet.term(-1, b.pinion.travelMm)
    sheet.within(SLIP, 2 * ctx.tolerances.slipKeptMm, Infinity)
    angles(a, b, ctx, line, sheet)
    critical(a, b, ctx, line, sheet)
  },
}

function end(b: Side, ctx: JointContext, sheet: Sheet): void {
  const { output, propshaft: prop } = b
  sheet.uses(output.type)
  sheet.uses(prop.type)
  const slip = output.type.v === 'slip'
  const [one, other] = slip ? [output.majorMm, prop.majorMm] : [output.circleMm, prop.circleMm]
  sheet.uses(one)
  sheet.uses(other)
  if (slip) {
    sheet.uses(output.splines)
    sheet.uses(prop.splines)
  }
  const over = other.v - one.v
  const agree = slip ? output.splines.v === prop.splines.v && over >= -1e-6 && over <= ctx.tolerances.splineMm + 1e-6 : Math.abs(over) <= ctx.tolerances.circleMm + 1e-6
  sheet.require(END, output.type.v === prop.type.v && agree, shaft('Another front end: the yoke or flange of this gearbox on the propshaft'))
}

function angles(a: Side, b: Side, ctx: JointContext, line: ShaftLine, sheet: Sheet): void {
  const rpm = topSpeed(a, b)
  const front = compoundAngle(line.sideDeg, line.planDeg)
  const rear = compoundAngle(line.sideDeg - b.pinion.noseUpDeg.v, line.planDeg)
  const most = Math.min(b.propshaft.yokeDeg.v, ctx.tolerances.angleSpeed / rpm)
  const pm = line.pmDeg + b.pinion.noseUpDeg.pm
  for (const [limit, angle] of [
    [FRONT, front],
    [REAR, rear],
  ] as const) {
    usesLine(a, b, ctx, sheet)
    sheet.uses(b.propshaft.yokeDeg)
    sheet.uses(a.engineOutput.redlineRpm)
    sheet.uses(b.ratios.gears)
    if (limit === REAR) sheet.uses(b.pinion.noseUpDeg)
    sheet.value(most - angle, limit === REAR ? pm : line.pmDeg)
    sheet.within(limit, 0, Infinity)
  }
  usesLine(a, b, ctx, sheet)
  sheet.uses(b.pinion.noseUpDeg)
  if (sheet.allKnown) {
    sheet.show('Front joint, compound angle', front, '°')
    sheet.show('Rear joint, compound angle', rear, '°')
  }
  sheet.value(residualAngle(front, rear, true), pm)
  sheet.within(RESIDUAL, 0, ctx.tolerances.residualDeg)
}

function critical(a: Side, b: Side, ctx: JointContext, line: ShaftLine, sheet: Sheet): void {
  const { tubeMm, wallMm } = b.propshaft
  usesLine(a, b, ctx, sheet)
  sheet.uses(tubeMm)
  sheet.uses(wallMm)
  sheet.uses(b.ratios.gears)
  sheet.uses(a.engineOutput.redlineRpm)
  const speed = criticalSpeed(tubeMm.v, wallMm.v, line.lengthMm)
  // Whirl falls with length and rises with the tube: the worst corner bounds it.
  const worst = criticalSpeed(tubeMm.v - tubeMm.pm, wallMm.v + wallMm.pm, line.lengthMm + line.pmMm)
  const share = ctx.tolerances.criticalShare
  if (sheet.allKnown) {
    sheet.show('Critical speed at that length', speed, 'rpm')
    sheet.show('Shaft speed at redline in top gear', topSpeed(a, b), 'rpm')
  }
  sheet.value(share * speed - topSpeed(a, b), share * Math.max(0, speed - worst))
  sheet.within(CRITICAL, 0, Infinity)
  sheet.caution(BALANCE)
}

/** Shaft speed at redline in the highest gear; NaN when not known. In overdrive it exceeds engine speed. */
function topSpeed(a: Side, b: Side): number {
  const gears = b.ratios.gears.v
  if (gears === null) return Number.NaN
  let top = Infinity
  for (const gear of gears) if (gear > 0 && gear < top) top = gear
  return a.engineOutput.redlineRpm.v / top
}
