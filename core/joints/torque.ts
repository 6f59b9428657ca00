import { missingPort } from '../ports/index.ts'
import { strength } from '../quantity/grade.ts'
import { always } from './always.ts'
import { CLASH } from './code.ts'
import type { Joint, JointContext } from './joint.ts'
import {
  computed,
  type Each,
  formula,
  type Limit,
  measure,
  minus,
  plus,
  type Unproved,
} from './judging/declaration.ts'
import {
  a,
  aside,
  b,
  either,
  orElse,
  type Read,
  rating,
  type Shop,
  strongest,
  where,
  whereSaid,
} from './judging/read.ts'
import { lookUp } from './judging/scene.ts'
import type { Side } from './side.ts'
import { tyreRadius } from './tyre-radius.ts'
import type { Outcome } from './verdict.ts'

const GRAVITY = 9.80665

/** What lies between the engine and the place a rating is stated at. */
const BEHIND_BOX = ['output', 'transfer output', 'axle']
const BEHIND_CASE = ['transfer output', 'axle']
const BEFORE_AXLE = ['output', 'transfer output']
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

/** What an axle gains under acceleration where nobody says; common practice, no published source. */
const TRANSFER_SHARE = 0.25
/** At the gearbox's output and the case both axles hold, where both drive; at an axle its own load does. */
const isBoth = (reference: string | null, isFour: boolean): boolean =>
  isFour && reference !== 'axle'

/** What the tyres can hold at a reference behind the gearbox leans on these; without load, radius or a ratio there is no cap. */
const gripReads = (reference: Read<string | null>) => ({
  radiusMm: whereSaid(reference, BEHIND_BOX, orElse(tyreRadius, Number.NaN), Number.NaN),
  rearKg: whereSaid(reference, BEHIND_BOX, orElse(b.axle.ladenKg, Number.NaN), Number.NaN),
  frontKg: whereSaid(
    reference,
    BEFORE_AXLE,
    where(b.frontAxle.named, true, orElse(b.frontAxle.ladenKg, Number.NaN), 0),
    0,
  ),
  transferKg: whereSaid(reference, BEHIND_BOX, orElse(b.axle.transferKg, Number.NaN), Number.NaN),
  axleRatio: whereSaid(reference, BEFORE_AXLE, orElse(b.axle.ratio, Number.NaN), 1),
  low: whereSaid(
    reference,
    ['output'],
    where(b.transfer.named, true, orElse(b.transfer.low, Number.NaN), 1),
    1,
  ),
  load: aside(b.axle.load),
  isFour: aside(b.frontAxle.named),
  reference: aside(reference),
})

/** Torque the tyres can hold at a reference behind the gearbox, an upper bound; Infinity where they do not cap or it is not known. */
const gripAt = (reference: Read<string | null>): Read<number> =>
  computed(
    gripReads(reference),
    (x, { tolerances }) => {
      const gained =
        isBoth(x.reference, x.isFour) || x.load === 'plate'
          ? 0
          : Number.isNaN(x.transferKg)
            ? TRANSFER_SHARE * x.rearKg
            : x.transferKg
      const heldKg = x.rearKg + gained + (isBoth(x.reference, x.isFour) ? x.frontKg : 0)
      const grip =
        (tolerances.friction * heldKg * GRAVITY * (x.radiusMm / 1000)) / x.axleRatio / x.low
      return Number.isNaN(grip) ? Infinity : grip
    },
    { radiusMm: 1, rearKg: 1, frontKg: 1, transferKg: 1, axleRatio: -1, low: -1 },
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
/** Assumed figures alone clash with nothing: a rating of a type, or an engine and ratios that are all types'. */
const isAssumed = (x: Readonly<Record<string, number>>, demand: readonly string[]): boolean =>
  x.rating === ASSUMED ||
  Math.max(...demand.map((name) => x[name]!).filter((grade) => grade >= 0)) === ASSUMED
const ASSUMED = strength('assumed')
const UNPROVED: Unproved = {
  unproved: 'Passed by assumed figures alone: measured or looked up they may agree',
}

const RATING_PASSED = 'Rating passed: less engine, or a stronger part'
/** What is not known of the tyres' hold, where knowing it could lift a clash. */
const passed: Outcome = {
  code: CLASH,
  words: formula(gripReads(rating.reference), (x) => {
    if (!BEHIND_BOX.includes(x.reference ?? '')) return RATING_PASSED
    const open = [
      Number.isNaN(x.rearKg) ? 'laden axle load' : '',
      isBoth(x.reference, x.isFour) && Number.isNaN(x.frontKg) ? 'laden front axle load' : '',
      Number.isNaN(x.radiusMm) ? 'tyre' : '',
      Number.isNaN(x.axleRatio) ? 'axle ratio' : '',
      Number.isNaN(x.low) ? 'low ratio of the transfer case' : '',
    ].filter((one) => one !== '')
    return open.length === 0
      ? RATING_PASSED
      : `${RATING_PASSED}. Not known: ${open.join(', ')}. The tyres may hold less than the engine asks, which would lift this`
  }),
}

const SPEED = {
  id: 'speed',
  label: 'Speed left at {at}',
  unit: 'rpm',
  damage: true,
  terms: [plus(rating.speedRpm), minus(a.engineOutput.redlineRpm)],
  window: [0, Infinity],
  below: [
    {
      when: formula(
        { rating: strongest(rating.speedRpm), redline: strongest(a.engineOutput.redlineRpm) },
        (x) => isAssumed(x, ['redline']),
      ),
      becomes: UNPROVED,
    },
    {
      becomes: {
        code: CLASH,
        words: 'Redline passes the speed rating: a lower limiter, or another part',
      },
    },
  ],
} as const satisfies Partial<Limit>

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
      label: 'Torque left at {at}',
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
      below: [
        {
          when: formula(
            {
              rating: strongest(rating.torqueNm),
              peak: strongest(a.engineOutput.peakTorqueNm),
              ratio: strongest(READS.ratio),
              grip: strongest(READS.grip),
            },
            (x) => isAssumed(x, ['peak', 'ratio', 'grip']),
          ),
          becomes: UNPROVED,
        },
        { becomes: passed },
      ],
    },
    { ...SPEED, each: { ratings: (slot) => slot.startsWith('speed'), orMissing: false } },
    {
      ...SPEED,
      each: { ratings: (slot) => !slot.startsWith('speed'), orMissing: false },
      when: formula({ stated: aside(rating.speedRpm) }, ({ stated }) => !Number.isNaN(stated)),
    },
  ],
  figures: [
    { label: 'Demand at {at}', unit: 'N·m', each: onRatings, of: formula(READS, demandOf) },
    {
      label: 'Tyres hold, at {at}',
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
