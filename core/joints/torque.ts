import { loadedRadius } from '../mechanics/tyre.ts'
import { missingPort } from '../ports/index.ts'
import { always } from './always.ts'
import { CLASH } from './code.ts'
import type { Joint, JointContext } from './joint.ts'
import { computed, type Each, formula, measure, minus, plus } from './judging/declaration.ts'
import {
  a,
  aside,
  b,
  either,
  orElse,
  type Read,
  rating,
  type Shop,
  where,
  whereSaid,
} from './judging/read.ts'
import { lookUp } from './judging/scene.ts'
import type { Side } from './side.ts'

const GRAVITY = 9.80665

/** What lies between the engine and the place a rating is stated at. */
const BEHIND_BOX = ['output', 'transfer output', 'axle']
const BEHIND_CASE = ['transfer output', 'axle']
const BOXED = ['input shaft', 'turbine', ...BEHIND_BOX]
const lowRange = where(b.transfer.named, true, b.transfer.low, 1)

/** Ratios on the way to a reference; what is not on it is 1. */
const ratioTo = (reference: Read<string | null>): Read<number> =>
  computed(
    {
      stall: whereSaid(
        reference,
        BOXED,
        whereSaid(b.ratios.type, ['automatic'], b.ratios.stall, 1),
        1,
      ),
      gears: whereSaid(reference, BEHIND_BOX, b.ratios.gears, [1]),
      low: whereSaid(reference, BEHIND_CASE, lowRange, 1),
      final: whereSaid(reference, ['axle'], either(b.ratios.finalDrive, b.axle.ratio), 1),
    },
    ({ stall, gears, low, final }) => stall * lowest(gears) * low * final,
    { stall: 1, gears: 1, low: 1, final: 1 },
  )

/** Torque the tyres can hold at a reference behind the gearbox; Infinity where they do not cap or it is not known. */
const gripAt = (reference: Read<string | null>): Read<number> =>
  computed(
    {
      marking: whereSaid(reference, BEHIND_BOX, orElse(b.tyre.marking, null), null),
      ladenKg: whereSaid(reference, BEHIND_BOX, orElse(b.axle.ladenKg, Number.NaN), Number.NaN),
      axleRatio: whereSaid(
        reference,
        ['output', 'transfer output'],
        orElse(b.axle.ratio, Number.NaN),
        1,
      ),
      low: whereSaid(
        reference,
        ['output'],
        where(b.transfer.named, true, orElse(b.transfer.low, Number.NaN), 1),
        1,
      ),
    },
    ({ marking, ladenKg, axleRatio, low }, { tolerances }) => {
      const grip =
        (tolerances.friction *
          ladenKg *
          GRAVITY *
          (loadedRadius(marking, tolerances.rollingFactor) / 1000)) /
        axleRatio /
        low
      return Number.isNaN(grip) ? Infinity : grip
    },
    { ladenKg: 1, axleRatio: -1, low: -1 },
  )

function lowest(gears: readonly number[] | null): number {
  if (gears === null) return Number.NaN
  let most = 0
  for (const gear of gears) if (gear > most) most = gear
  return most
}

const factorOf = (basis: string | null, shop: Shop): number =>
  basis === 'nominal' ? 1 : factorOfUse(shop)

function factorOfUse({ use, tolerances: t }: Shop): number {
  if (use === 'road' || use === 'delivery') return t.useRoad
  if (use === 'towing') return t.useTowing
  if (use === 'trail' || use === 'track') return t.useTrail
  return t.useUnstated
}

interface Torque {
  readonly peakNm: number
  readonly basis: string | null
  readonly ratio: number
  readonly grip: number
}
/** Torque that arrives: the engine's by its way there, no more than the tyres hold. */
const demandOf = (x: Torque, shop: Shop): number => Math.min(drawnOf(x, shop), x.grip)
const drawnOf = ({ peakNm, basis, ratio }: Torque, shop: Shop): number =>
  peakNm * ratio * factorOf(basis, shop)

const onRatings: Each = { ratings: (slot) => !slot.startsWith('speed'), orMissing: true }
const READS = {
  peakNm: a.engineOutput.peakTorqueNm,
  basis: aside(rating.basis),
  ratio: ratioTo(rating.reference),
  grip: gripAt(rating.reference),
}
const SPEED = {
  id: 'speed',
  label: 'Speed margin',
  unit: 'rpm',
  damage: true,
  terms: [plus(rating.speedRpm), minus(a.engineOutput.redlineRpm)],
  window: [0, Infinity],
  below: {
    code: CLASH,
    words: 'Redline passes the speed rating: a lower limiter, or another part',
  },
} as const

/**
 * Joint 10: engine peak × ratios × use against each rating by its reference, capped by tyre grip behind the gearbox;
 * redline against each speed rating. The margin is given at the gearbox input. Every limit is a damage limit.
 */
export const torque: Joint = {
  id: 'torque',
  number: 10,
  short: 'Torque',
  title: 'Torque',
  place: 'coupling',
  meets: 'whole',
  strip: 'gearbox',
  drawing: 'torque line',
  decides:
    'Engine peak × ratios × use against each rating by its reference, capped by tyre grip behind the gearbox; redline against speed ratings.',
  applies: always,
  limits: [
    {
      id: 'torque',
      label: 'Torque margin at the gearbox input',
      unit: 'N·m',
      damage: true,
      each: onRatings,
      names: [rating.reference, whereSaid(rating.reference, BOXED, b.ratios.type)],
      measure: measure(
        { ratingNm: rating.torqueNm, ...READS },
        (x, shop) => (x.ratingNm - demandOf(x, shop)) / x.ratio,
        // Nearer the engine a larger ratio leaves less; where tyres cap, what they hold is less by it too.
        { ratingNm: 1, peakNm: -1, ratio: -1, grip: -1 },
      ),
      window: [0, Infinity],
      below: { code: CLASH, words: 'Rating passed: less engine, or a stronger part' },
    },
    { ...SPEED, each: { ratings: (slot) => slot.startsWith('speed'), orMissing: false } },
    {
      ...SPEED,
      each: { ratings: (slot) => !slot.startsWith('speed'), orMissing: false },
      when: formula({ stated: aside(rating.speedRpm) }, ({ stated }) => !Number.isNaN(stated)),
    },
  ],
  figures: [
    { label: 'Demand there', unit: 'N·m', each: onRatings, of: formula(READS, demandOf) },
    {
      label: 'Capped by tyre grip at',
      unit: 'N·m',
      each: onRatings,
      of: formula(READS, ({ grip }) => grip),
      when: formula(READS, (x, shop) => x.grip < drawnOf(x, shop)),
    },
  ],
  cures: {},
}

/** Torque that arrives at a place with the factor of use unless it is compared with a nominal rating, and whether the tyres cap it there: what is drawn part by part. NaN where a ratio is not known. */
export function demandAt(
  a: Side,
  b: Side,
  reference: string,
  isNominal: boolean,
  ctx: JointContext,
): { readonly demandNm: number; readonly isCapped: boolean } {
  const stated = { ...rating.reference, else: reference } as Read<string | null>
  const scene = {
    a,
    b,
    stack: ctx.stack,
    shop: ctx,
    each: missingPort('ratings'),
    item: null,
  }
  const x = {
    peakNm: a.engineOutput.peakTorqueNm.v,
    basis: isNominal ? 'nominal' : null,
    ratio: lookUp(ratioTo(stated), scene).v as number,
    grip: lookUp(gripAt(stated), scene).v as number,
  }
  return { demandNm: demandOf(x, ctx), isCapped: x.grip < drawnOf(x, ctx) }
}
