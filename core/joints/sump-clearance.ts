import type { Zone } from '../ports/field.ts'
import { whereNamed } from './always.ts'
import { BRIDGE, WORK } from './code.ts'
import { about, absolute } from './interval.ts'
import type { Joint } from './joint.ts'
import {
  bounded,
  type Each,
  type Formula,
  formula,
  type Limit,
  minus,
  plus,
} from './judging/declaration.ts'
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

/** The vehicle's x = 0 along the train, and the pan by zone. */
const PLACE = { pan: a.sump.zones, origin: total(chassisOrigin) }
interface Place {
  readonly pan: readonly Zone[] | null
  readonly origin: number
}
type Spread = Readonly<Record<keyof Place, number>>

/** Depth of the deepest zone of the pan that stands over an obstacle, were it longer by `along` at both ends; null when none does. */
function deepestOver(x: Place, obstacle: Zone, along: number): number | null {
  const from = x.origin + obstacle.fromMm - along
  const to = x.origin + obstacle.toMm + along
  let deepest: number | null = null
  for (const zone of x.pan ?? [])
    if (zone.toMm > from && zone.fromMm < to && (deepest === null || zone.depthMm > deepest))
      deepest = zone.depthMm
  return deepest
}

/**
 * Room from the crank axis's height down to an obstacle, less the pan over it. Where the place along is known only loosely the
 * obstacle may stand under more of the pan; the edges of both have their ± too, and a narrow deep zone counts as soon as
 * it may be there. Infinity where nothing can stand over it.
 */
function roomOver(x: Place, obstacle: Zone, pm: Spread, edges: number): number {
  const deepest = deepestOver(x, obstacle, pm.origin) ?? deepestOver(x, obstacle, pm.origin + edges)
  return deepest === null ? Infinity : obstacle.depthMm - deepest
}
function roomWithin(
  x: Place,
  obstacle: Zone,
  pm: Spread,
  edges: number,
): readonly [number, number] {
  const along = pm.origin + edges
  const [most, least] = [deepestOver(x, obstacle, along), deepestOver(x, obstacle, -along)]
  return [
    most === null ? Infinity : obstacle.depthMm - most - edges,
    least === null ? Infinity : obstacle.depthMm - least + edges,
  ]
}

const OBSTACLE = { ...PLACE, under: item(b.underEngine.zones) }
const isKnown = (x: Place & { readonly under: Zone; readonly crank: number }): boolean =>
  x.pan !== null && !Number.isNaN(x.crank + x.origin + x.under.depthMm)
const asides = <R extends Record<string, Read>>(reads: R): R =>
  Object.fromEntries(Object.entries(reads).map(([name, read]) => [name, aside(read)])) as R
const STANDING = asides({ ...OBSTACLE, crank: b.chassisPads.crankAboveMm })
/** Nothing of the pan can stand over the obstacle, however its ± fall. */
const passes: Formula<boolean> = formula(
  STANDING,
  (x, _shop, pm) => isKnown(x) && roomOver(x, x.under, pm, pm.pan + pm.under) === Infinity,
)
type Standing = Place & { readonly under: Zone; readonly crank: number }
const mayMeet = (x: Standing, pm: Spread & { readonly under: number }): boolean =>
  !isKnown(x) || roomOver(x, x.under, pm, pm.pan + pm.under) < Infinity

const PASSES = {
  id: 'sump-passes',
  label: 'Nothing under the sump',
  unit: '',
  holds: formula({}, () => true),
} as const
const clear = (isMoving: boolean): Limit => ({
  id: 'sump-clear',
  label: 'Sump clear',
  unit: 'mm',
  damage: true,
  each: underEngine,
  when: formula(
    STANDING,
    (x, _shop, pm) => (x.under.moving === true) === isMoving && mayMeet(x, pm),
  ),
  terms: [plus(b.chassisPads.crankAboveMm)],
  measure: bounded(
    OBSTACLE,
    (x, _shop, pm) => roomOver(x, x.under, pm, pm.pan + pm.under),
    (x, pm) => roomWithin(x, x.under, pm, pm.pan + pm.under),
  ),
  window: [isMoving ? 'sumpMovingMm' : 'sumpStillMm', Infinity],
  below: otherSump,
})

/** The least room over all that stands there: what the pan has to drop into. */
const ALL = asides({ ...PLACE, under: b.underEngine.zones, crank: b.chassisPads.crankAboveMm })
type All = Place & { readonly under: readonly Zone[] | null; readonly crank: number }
const least = (x: All, room: (obstacle: Zone) => number): number =>
  (x.under ?? []).reduce((min, obstacle) => Math.min(min, room(obstacle)), Infinity) + x.crank
const drops: Limit = {
  id: 'sump-drops',
  label: 'Room to take the pan off',
  unit: 'mm',
  when: formula(
    ALL,
    (x, _shop, pm) =>
      x.pan !== null &&
      Number.isFinite(x.origin) &&
      Number.isFinite(least(x, (obstacle) => roomOver(x, obstacle, pm, pm.pan + pm.under))),
  ),
  terms: [minus(a.sump.dropMm)],
  measure: bounded(
    ALL,
    (x, _shop, pm) => least(x, (obstacle) => roomOver(x, obstacle, pm, pm.pan + pm.under)),
    (x, pm) => [
      least(x, (obstacle) => roomWithin(x, obstacle, pm, pm.pan + pm.under)[0]) - pm.crank,
      least(x, (obstacle) => roomWithin(x, obstacle, pm, pm.pan + pm.under)[1]) + pm.crank,
    ],
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
 * Joint 23: the sump by zone against steering, crossmember and axle, swept where they move. Damage limit: each clearance.
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
    'Depth by zone against what passes under it, still and swept; whether it comes off in place; oil held, and oil over the pickup on grade, braking and cornering.',
  applies: whereNamed(b.underEngine),
  limits: [
    clear(false),
    clear(true),
    {
      ...PASSES,
      each: underEngine,
      when: passes,
      names: [b.chassisPads.crankAboveMm, ...Object.values(OBSTACLE)],
    },
    {
      ...PASSES,
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
