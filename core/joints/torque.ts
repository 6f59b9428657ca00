import { loadedRadius } from '../mechanics/tyre.ts'
import type { Compiled } from '../ports/index.ts'
import { PORT_KINDS } from '../ports/index.ts'
import type { Joint, JointContext } from './joint.ts'
import type { Sheet } from './sheet.ts'
import type { Side } from './side.ts'
import { CLASH, type Limit } from './verdict.ts'

/** For figures that are drawn and decide nothing. */
const UNREAD: Pick<Sheet, 'uses'> = { uses: () => undefined }
const GRAVITY = 9.80665
const TORQUE: Limit = {
  id: 'torque',
  label: 'Torque margin at the gearbox input',
  unit: 'N·m',
  damage: true,
  below: { code: CLASH, words: 'Rating passed: less engine, or a stronger part' },
}
const SPEED: Limit = {
  id: 'speed',
  label: 'Speed margin',
  unit: 'rpm',
  damage: true,
  below: { code: CLASH, words: 'Redline passes the speed rating: a lower limiter, or another part' },
}

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
  decides: 'Engine peak × ratios × use against each rating by its reference, capped by tyre grip behind the gearbox; redline against speed ratings.',
  sometimes: ['transfer.low', 'engine-output.redlineRpm', 'ratings.speedRpm', 'ratios.type', 'ratios.stall', 'ratios.gears', 'ratios.finalDrive', 'axle.ratio'],
  applies: () => true,
  check(a, b, ctx, sheet) {
    let stated = false
    for (const rating of b.ratings) {
      if (rating.slot.startsWith('speed')) speedLimit(a, rating, sheet)
      else {
        stated = true
        torqueLimit(a, b, rating, ctx, sheet)
        if (rating.speedRpm.claim !== null) speedLimit(a, rating, sheet)
      }
    }
    if (!stated) torqueLimit(a, b, PORT_KINDS.ratings.missing, ctx, sheet)
  },
}

function speedLimit(a: Side, rating: Compiled<'ratings'>, sheet: Sheet): void {
  sheet.at(rating.speedRpm.at.partName)
  sheet.term(1, rating.speedRpm)
  sheet.term(-1, a.engineOutput.redlineRpm)
  sheet.within(SPEED, 0, Infinity)
}

function torqueLimit(a: Side, b: Side, rating: Compiled<'ratings'>, ctx: JointContext, sheet: Sheet): void {
  sheet.at(rating.torqueNm.at.partName)
  sheet.uses(rating.torqueNm)
  sheet.uses(rating.reference)
  sheet.uses(a.engineOutput.peakTorqueNm)
  const ratio = ratioTo(b, rating.reference.v, sheet)
  const factor = rating.basis.v === 'nominal' ? 1 : factorOfUse(ctx)
  const engine = a.engineOutput.peakTorqueNm
  const grip = gripAt(b, rating.reference.v, ctx)
  const low = Math.min((engine.v - engine.pm) * ratio * factor, grip)
  const high = Math.min((engine.v + engine.pm) * ratio * factor, grip)
  const demand = Math.min(engine.v * ratio * factor, grip)
  // Interval of the margin, carried back to the gearbox input.
  const pm = (rating.torqueNm.pm + (high - low) / 2) / ratio
  sheet.value((rating.torqueNm.v - demand) / ratio, pm)
  if (sheet.allKnown) {
    sheet.show('Demand there', demand, 'N·m')
    if (grip < engine.v * ratio * factor) sheet.show('Capped by tyre grip at', grip, 'N·m')
  }
  sheet.within(TORQUE, 0, Infinity)
}

/** Torque that arrives at a place with the factor of use unless it is compared with a nominal rating, and whether the tyres cap it there: what is drawn part by part. NaN where a ratio is not known. */
export function demandAt(a: Side, b: Side, reference: string, isNominal: boolean, ctx: JointContext): { readonly demandNm: number; readonly isCapped: boolean } {
  const drawn = a.engineOutput.peakTorqueNm.v * ratioTo(b, reference, UNREAD) * (isNominal ? 1 : factorOfUse(ctx))
  const grip = gripAt(b, reference, ctx)
  return { demandNm: Math.min(drawn, grip), isCapped: grip < drawn }
}

/** Engine torque to torque where the rating is stated; NaN when a ratio on the way is unknown. */
function ratioTo(b: Side, reference: string | null, sheet: Pick<Sheet, 'uses'>): number {
  if (reference === 'engine' || reference === null) return 1
  sheet.uses(b.ratios.type)
  const automatic = b.ratios.type.v === 'automatic'
  let ratio = 1
  if (automatic) {
    sheet.uses(b.ratios.stall)
    ratio = b.ratios.stall.v
  }
  if (reference === 'input shaft' || reference === 'turbine') return ratio
  sheet.uses(b.ratios.gears)
  ratio *= lowest(b.ratios.gears.v)
  if (reference === 'output') return ratio
  ratio *= lowOf(b, sheet)
  if (reference === 'transfer output') return ratio
  const final = b.ratios.finalDrive.claim !== null ? b.ratios.finalDrive : b.axle.ratio
  sheet.uses(final)
  return ratio * final.v
}

/** Torque the tyres can hold, at the output or the axle shafts; Infinity where it does not cap or is not known. */
function gripAt(b: Side, reference: string | null, ctx: JointContext): number {
  if (reference !== 'output' && reference !== 'transfer output' && reference !== 'axle') return Infinity
  const radiusM = loadedRadius(b.tyre.marking.v, ctx.tolerances.rollingFactor) / 1000
  const wheel = ctx.tolerances.friction * b.axle.ladenKg.v * GRAVITY * radiusM
  const low = reference === 'output' ? lowOf(b, UNREAD) : 1
  const grip = reference === 'axle' ? wheel : wheel / b.axle.ratio.v / low
  return Number.isNaN(grip) ? Infinity : grip
}

/** Low ratio of the transfer case; 1 without one. */
function lowOf(b: Side, sheet: Pick<Sheet, 'uses'>): number {
  if (b.transfer.part === '?') return 1
  sheet.uses(b.transfer.low)
  return b.transfer.low.v
}

function lowest(gears: readonly number[] | null): number {
  if (gears === null) return Number.NaN
  let most = 0
  for (const gear of gears) if (gear > most) most = gear
  return most
}

function factorOfUse({ use, tolerances: t }: JointContext): number {
  if (use === 'road' || use === 'delivery') return t.useRoad
  if (use === 'towing') return t.useTowing
  if (use === 'trail' || use === 'track') return t.useTrail
  return t.useUnstated
}
