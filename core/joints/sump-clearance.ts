import type { Zone } from '../ports/field.ts'
import { isNamed, usesOrigin } from './chassis.ts'
import type { Joint, JointContext } from './joint.ts'
import type { Sheet } from './sheet.ts'
import type { Side } from './side.ts'
import { BRIDGE, type Limit, type Outcome, WORK } from './verdict.ts'

const STEERING = 'Steering and brakes must be clear through full travel and lock; no cut in a crossmember or rail without an engineer.'
const otherSump: Outcome = { code: BRIDGE, words: 'The sump stands too near: another pan with its pickup', pieces: ['sump'] }
const baffle: Outcome = {
  code: WORK,
  words: 'Oil runs away from the pickup',
  task: {
    id: 'baffle-sump',
    words: 'Baffle the pan, or move the pickup to where the oil runs',
    hours: 4,
    skills: ['weld'],
    reversible: false,
    caution: 'Clean and degas the pan before any weld.',
  },
}
const lift: Outcome = {
  code: WORK,
  words: 'The pan does not come off in place',
  task: { id: 'pan-in-place', words: 'Make the pan come off in place, or note that the engine is lifted for it', hours: 2, skills: ['mechanic'], reversible: true },
}
/** Until somebody looks under the engine, one limit stands for what is there. */
const NOBODY_LOOKED: readonly Zone[] = [{ fromMm: Number.NaN, toMm: Number.NaN, depthMm: Number.NaN, name: 'under the engine' }]

const CLEAR: Limit = { id: 'sump-clear', label: 'Sump clear', unit: 'mm', damage: true, below: otherSump }
const PASSES: Limit = { id: 'sump-passes', label: 'Nothing under the sump', unit: '' }
const DROP: Limit = { id: 'sump-drops', label: 'Room to take the pan off', unit: 'mm', below: lift }
const CAPACITY: Limit = { id: 'sump-capacity', label: 'Oil held over oil wanted', unit: 'L', below: { code: BRIDGE, words: 'The pan holds too little oil', pieces: ['sump'] } }
const GRADE: Limit = { id: 'oil-grade', label: 'Oil over the pickup on the steepest grade', unit: 'mm', below: baffle }
const SLOSH: Limit = { id: 'oil-slosh', label: 'Oil over the pickup, braking and cornering', unit: 'mm', below: baffle }

/**
 * Joint 23: the sump by zone against steering, crossmember and axle, swept where they move. Damage limit: each clearance.
 * Oil: the surface tilts by grade or by acceleration ÷ g, so the pickup loses its distance × that.
 */
export const sumpClearance: Joint = {
  id: 'sump-clearance',
  number: 23,
  short: 'Sump',
  title: 'Sump to steering, crossmember and axle',
  place: 'vehicle',
  decides: 'Depth by zone against what passes under it, still and swept; whether it comes off in place; oil held, and oil over the pickup on grade, braking and cornering.',
  sometimes: ['sump.dropMm'],
  applies: (_a, b) => isNamed(b.underEngine),
  check(a, b, ctx, sheet) {
    clearances(a, b, ctx, sheet)
    const pan = a.sump
    sheet.term(1, pan.capacityL)
    sheet.term(-1, a.engineOutput.oilL)
    sheet.within(CAPACITY, 0, Infinity)

    const isRough = ctx.use === 'trail'
    cover(GRADE, a, isRough ? ctx.tolerances.gradeTrail : ctx.tolerances.gradeRoad, ctx, sheet)
    sheet.uses(pan.baffled)
    if (pan.baffled.v === true) sheet.require(SLOSH, true, baffle)
    else cover(SLOSH, a, ctx.use === 'track' ? ctx.tolerances.sloshTrack : ctx.tolerances.sloshRoad, ctx, sheet)
    sheet.caution(STEERING)
  },
}

/** Oil left over the pickup with its surface tilted. */
function cover(limit: Limit, a: Side, tilt: number, ctx: JointContext, sheet: Sheet): void {
  sheet.term(1, a.sump.coverMm)
  sheet.uses(a.sump.pickupMm)
  sheet.value(-Math.abs(a.sump.pickupMm.v) * tilt, a.sump.pickupMm.pm * tilt)
  sheet.within(limit, ctx.tolerances.oilCoverMm, Infinity)
}

function clearances(a: Side, b: Side, ctx: JointContext, sheet: Sheet): void {
  const pan = a.sump.zones
  const under = b.underEngine.zones
  const crank = b.chassisPads.crankAboveMm
  const { sumpStillMm, sumpMovingMm } = ctx.tolerances
  const inputs = (): { v: number; pm: number } => {
    sheet.term(1, crank)
    sheet.uses(pan)
    sheet.uses(under)
    return usesOrigin(a, b, ctx, sheet)
  }
  let room = Infinity
  let roomPm = 0
  for (const obstacle of under.v ?? NOBODY_LOOKED) {
    const origin = inputs()
    sheet.at(obstacle.name ?? (obstacle.moving ? 'what moves there' : 'what stands there'))
    // Where the place along is known only loosely, the obstacle may stand under more of the pan.
    const deepest = sheet.allKnown ? deepestOver(pan.v!, origin.v + obstacle.fromMm - origin.pm, origin.v + obstacle.toMm + origin.pm) : Number.NaN
    if (deepest === null) {
      sheet.require(PASSES, true, otherSump)
      continue
    }
    const clear = crank.v + obstacle.depthMm - deepest
    if (clear < room) {
      room = clear
      roomPm = crank.pm + pan.pm + under.pm
    }
    sheet.value(obstacle.depthMm - deepest, pan.pm + under.pm)
    sheet.within(CLEAR, obstacle.moving ? sumpMovingMm : sumpStillMm, Infinity)
  }
  if (under.v?.length === 0) sheet.require(PASSES, true, otherSump)
  if (room === Infinity) return
  sheet.uses(a.sump.dropMm)
  sheet.value(room - a.sump.dropMm.v, roomPm + a.sump.dropMm.pm)
  sheet.within(DROP, 0, Infinity)
}

/** Depth of the deepest zone of the pan that stands over a stretch of the train; null when none does. */
function deepestOver(zones: readonly Zone[], fromMm: number, toMm: number): number | null {
  let deepest: number | null = null
  for (const zone of zones) if (zone.toMm > fromMm && zone.fromMm < toMm && (deepest === null || zone.depthMm > deepest)) deepest = zone.depthMm
  return deepest
}
