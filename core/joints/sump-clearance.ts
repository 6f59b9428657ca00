import type { Zone } from '../ports/field.ts'
import { whereNamed } from './always.ts'
import { BRIDGE, WORK } from './code.ts'
import { about, absolute } from './interval.ts'
import type { Joint } from './joint.ts'
import { bounded, type Each, formula, type Limit, minus, plus } from './judging/declaration.ts'
import { a, aside, b, item, type Read, type Shop, total } from './judging/read.ts'
import { chassisOrigin } from './stack.ts'
import type { Outcome } from './verdict.ts'

const otherSump: Outcome = {
  code: BRIDGE,
  words: 'The sump stands too near: another pan with its pickup',
  pieces: ['sump'],
}
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
  task: {
    id: 'pan-in-place',
    words: 'Make the pan come off in place, or note that the engine is lifted for it',
    hours: 2,
    skills: ['mechanic'],
    reversible: true,
  },
}

/** Until somebody looks under the engine, one limit stands for what is there. */
const underEngine: Each = {
  list: b.underEngine.zones,
  at: (zone: Zone) => zone.name ?? (zone.moving ? 'what moves there' : 'what stands there'),
  unknown: {
    fromMm: Number.NaN,
    toMm: Number.NaN,
    depthMm: Number.NaN,
    name: 'under the engine',
  } satisfies Zone,
}

/** The pan by zone, and the vehicle's x = 0 along the train with the crank's height over the mounts: where what is under it stands. */
const PLACE = {
  pan: a.sump.zones,
  origin: total(chassisOrigin),
  crank: b.chassisPads.crankAboveMm,
}
interface Place {
  readonly pan: readonly Zone[] | null
  readonly origin: number
  readonly crank: number
}
type Spread = Readonly<Record<keyof Place | 'under', number>>

/** How far two spans stand apart, negative by how much they overlap. */
const apart = (from: number, to: number, otherFrom: number, otherTo: number): number =>
  Math.max(from - otherTo, otherFrom - to)
const across = (pan: Zone, under: Zone): number =>
  apart(
    pan.leftMm ?? -Infinity,
    pan.rightMm ?? Infinity,
    under.leftMm ?? -Infinity,
    under.rightMm ?? Infinity,
  )
const along = (x: Place, pan: Zone, under: Zone): number =>
  apart(pan.fromMm, pan.toMm, x.origin + under.fromMm, x.origin + under.toMm)
const down = (x: Place, pan: Zone, under: Zone): number => x.crank + under.depthMm - pan.depthMm

/**
 * Clearance of the pan to one obstacle: of every zone the greatest of its gaps along, across and down, the least of those. An
 * obstacle reaches down without end, a zone of the pan up without end.
 *
 * @param pm by which the edges of both grow, along also by that of their place, down by that of the crank's height
 */
function clearance(x: Place, under: Zone, pm: Spread, by: 1 | 0 | -1): number {
  const edges = by * (pm.pan + pm.under)
  return (x.pan ?? []).reduce(
    (least, pan) =>
      Math.min(
        least,
        Math.max(
          along(x, pan, under) - edges - by * pm.origin,
          across(pan, under) - edges,
          down(x, pan, under) - edges - by * pm.crank,
        ),
      ),
    Infinity,
  )
}

const OBSTACLE = { ...PLACE, under: item(b.underEngine.zones) }
const asides = <R extends Record<string, Read>>(reads: R): R =>
  Object.fromEntries(Object.entries(reads).map(([name, read]) => [name, aside(read)])) as R

const clear = (isMoving: boolean): Limit => ({
  id: 'sump-clear',
  label: 'Sump clear',
  unit: 'mm',
  damage: true,
  each: underEngine,
  when: formula(
    { under: aside(item(b.underEngine.zones)) },
    ({ under }) => (under.moving === true) === isMoving,
  ),
  measure: bounded(
    OBSTACLE,
    (x, _shop, pm) => clearance(x, x.under, pm, 0),
    (x, pm) => [clearance(x, x.under, pm, 1), clearance(x, x.under, pm, -1)],
  ),
  window: [isMoving ? 'sumpMovingMm' : 'sumpStillMm', Infinity],
  below: otherSump,
})

/** The least room below the pan over all that it would meet coming straight down; what may stand under it counts. */
const ALL = asides({ ...PLACE, under: b.underEngine.zones })
type All = Place & { readonly under: readonly Zone[] | null }
function roomBelow(x: All, pm: Spread, by: 1 | 0 | -1): number {
  const edges = pm.pan + pm.under
  const may = by === -1 ? -1 : 1
  let least = Infinity
  for (const under of x.under ?? [])
    for (const pan of x.pan ?? [])
      if (along(x, pan, under) < may * (edges + pm.origin) && across(pan, under) < may * edges)
        least = Math.min(least, down(x, pan, under) - by * (edges + pm.crank))
  return least
}
const drops: Limit = {
  id: 'sump-drops',
  label: 'Room to take the pan off',
  unit: 'mm',
  when: formula(
    ALL,
    (x, _shop, pm) =>
      x.pan !== null &&
      Number.isFinite(x.origin) &&
      roomBelow({ ...x, crank: 0 }, pm, 0) < Infinity,
  ),
  terms: [minus(a.sump.dropMm)],
  measure: bounded(
    ALL,
    (x, _shop, pm) => roomBelow(x, pm, 0),
    (x, pm) => [roomBelow(x, pm, 1), roomBelow(x, pm, -1)],
  ),
  window: [0, Infinity],
  below: lift,
}

/** Oil left over the pickup with its surface tilted: the pickup loses its distance × grade, or × acceleration ÷ g. */
const cover = (id: string, label: string, tilt: (shop: Shop) => number): Limit => ({
  id,
  label,
  unit: 'mm',
  terms: [plus(a.sump.coverMm)],
  measure: bounded(
    { pickupMm: a.sump.pickupMm },
    (x, shop) => -Math.abs(x.pickupMm) * tilt(shop),
    (x, pm, shop) => {
      const [nearest, farthest] = absolute(about(x.pickupMm, pm.pickupMm))
      return [-farthest * tilt(shop), -nearest * tilt(shop)]
    },
  ),
  window: ['oilCoverMm', Infinity],
  below: baffle,
})
const SLOSH = cover(
  'oil-slosh',
  'Oil over the pickup, braking and cornering',
  ({ use, tolerances }) => (use === 'track' ? tolerances.sloshTrack : tolerances.sloshRoad),
)
const baffled = { baffled: aside(a.sump.baffled) }

/**
 * Joint 23: the sump by zone against steering, crossmember and axle, swept where they move, as boxes along, across and down.
 * Damage limit: each clearance.
 * Oil: the surface tilts by grade or by acceleration ÷ g.
 */
export const sumpClearance: Joint = {
  id: 'sump-clearance',
  number: 23,
  short: 'Sump',
  title: 'Sump to steering, crossmember and axle',
  place: 'vehicle',
  meets: 'whole',
  strip: 'sump',
  drawing: null,
  decides:
    'Each zone of the pan against what passes under, beside, ahead of and behind it, still and swept; whether it comes off in place; oil held, and oil over the pickup on grade, braking and cornering.',
  applies: whereNamed(b.underEngine),
  limits: [
    clear(false),
    clear(true),
    {
      id: 'sump-passes',
      label: 'Nothing under the sump',
      unit: '',
      holds: formula({}, () => true),
      when: formula({ under: aside(b.underEngine.zones) }, ({ under }) => under?.length === 0),
    },
    drops,
    {
      id: 'sump-capacity',
      label: 'Oil held over oil wanted',
      unit: 'L',
      terms: [plus(a.sump.capacityL), minus(a.engineOutput.oilL)],
      window: [0, Infinity],
      below: { code: BRIDGE, words: 'The pan holds too little oil', pieces: ['sump'] },
    },
    cover('oil-grade', 'Oil over the pickup on the steepest grade', ({ use, tolerances }) =>
      use === 'trail' ? tolerances.gradeTrail : tolerances.gradeRoad,
    ),
    { ...SLOSH, when: formula(baffled, (x) => x.baffled !== true), names: [a.sump.baffled] },
    {
      id: SLOSH.id,
      label: SLOSH.label,
      unit: '',
      when: formula(baffled, (x) => x.baffled === true),
      names: [a.sump.baffled],
      holds: formula({}, () => true),
    },
  ],
  cautions: [
    {
      words:
        'Steering and brakes must be clear through full travel and lock; no cut in a crossmember or rail without an engineer.',
    },
  ],
  cures: { sump: 'instead' },
}
