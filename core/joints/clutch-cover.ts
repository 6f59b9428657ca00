import { clutchCapacity } from '../mechanics/clutch.ts'
import { threadDiameter } from '../mechanics/thread.ts'
import type { Joint } from './joint.ts'
import { BRIDGE, type Limit, type Outcome } from './verdict.ts'

const pieces = ['cover', 'flywheel'] as const
const another = (words: string): Outcome => ({ code: BRIDGE, words, pieces })
const CIRCLE: Limit = {
  id: 'cover-circle',
  label: 'Bolt circles agree',
  unit: 'mm',
  below: another('The cover is smaller than its seat'),
  above: another('The cover is wider than its seat'),
}
const BOLTS: Limit = { id: 'cover-bolts', label: 'Bolts are as many', unit: '' }
const HOLES: Limit = {
  id: 'cover-holes',
  label: 'Holes over the bolts',
  unit: 'mm',
  below: another('The bolts do not go through the cover'),
  above: another('The holes are too wide for the bolts'),
}
const DOWELS: Limit = { id: 'cover-dowels', label: 'Dowels centre the cover', unit: '' }
const STEP: Limit = {
  id: 'cover-step',
  label: 'Seat is as deep as the cover wants',
  unit: 'mm',
  below: another('The seat is too shallow: the clutch clamps too hard'),
  above: another('The seat is too deep: the clutch slips'),
}
const disc = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['disc', 'flywheel', 'cover'] })
const OUTER: Limit = { id: 'lining-outer', label: 'Lining inside its face, outer', unit: 'mm', below: disc('The lining stands past the clutch face') }
const INNER: Limit = { id: 'lining-inner', label: 'Lining on its face, inner', unit: 'mm', below: disc('The lining runs over the inner edge of the clutch face') }
const HOLDS: Limit = {
  id: 'clutch-capacity',
  label: 'Torque the clutch holds over what it must',
  unit: 'N·m',
  damage: true,
  below: { code: BRIDGE, words: 'The clutch slips: a stronger cover, a grippier or larger disc', pieces: ['cover', 'disc'] },
}

/** Joint 6: clutch cover on its flywheel, and the disc between. Damage limit: the torque it holds. */
export const clutchCover: Joint = {
  id: 'clutch-cover',
  number: 6,
  short: 'Cover',
  title: 'Clutch cover on flywheel',
  place: 'coupling',
  decides: 'Bolt circle, count and holes, dowels, depth of the seat, lining on its face, and the torque held by uniform wear against engine peak with a reserve.',
  applies: (_a, b) => b.ratios.type.v !== 'automatic',
  check(a, b, { tolerances }, sheet) {
    const seat = b.clutchSeat
    const cover = b.coverMount
    sheet.term(1, cover.circleMm)
    sheet.term(-1, seat.circleMm)
    sheet.within(CIRCLE, -tolerances.circleMm, tolerances.circleMm)

    sheet.uses(cover.bolts)
    sheet.uses(seat.bolts)
    sheet.require(BOLTS, cover.bolts.v === seat.bolts.v, another(`${cover.bolts.v} holes over ${seat.bolts.v} bolts`))

    sheet.term(1, cover.holeMm)
    sheet.uses(seat.thread)
    sheet.value(-threadDiameter(seat.thread.v), 0)
    sheet.within(HOLES, 0, tolerances.coverHoleMm)

    sheet.uses(cover.dowelMm)
    sheet.uses(seat.dowelMm)
    const centred = seat.dowelMm.v > 0 && Math.abs(cover.dowelMm.v - seat.dowelMm.v) <= tolerances.circleMm + 1e-6
    sheet.require(DOWELS, centred, another('No dowel centres the cover: it runs out of balance'))

    sheet.term(1, seat.stepMm)
    sheet.term(-1, cover.stepMm)
    sheet.within(STEP, -tolerances.coverSeatMm, tolerances.coverSeatMm)

    sheet.term(1, seat.outerMm)
    sheet.term(-1, b.discFace.outerMm)
    sheet.within(OUTER, 0, Infinity)
    sheet.term(1, b.discFace.innerMm)
    sheet.term(-1, seat.innerMm)
    sheet.within(INNER, 0, Infinity)

    const lining = b.discFace
    const peak = a.engineOutput.peakTorqueNm
    sheet.uses(cover.clampN)
    sheet.uses(lining.friction)
    sheet.uses(lining.outerMm)
    sheet.uses(lining.innerMm)
    sheet.uses(peak)
    const holds = clutchCapacity(cover.clampN.v, lining.friction.v, lining.outerMm.v, lining.innerMm.v)
    // Each factor enters once, so the bound of the product is its value at the low ends.
    const least = clutchCapacity(low(cover.clampN), low(lining.friction), low(lining.outerMm), low(lining.innerMm))
    sheet.value(holds - peak.v * tolerances.clutchReserve, holds - least + peak.pm * tolerances.clutchReserve)
    if (sheet.allKnown) sheet.show('Torque the clutch holds', holds, 'N·m')
    sheet.within(HOLDS, 0, Infinity)
    sheet.caution('Only covers and wheels rated for the redline: a burst clutch kills. All cover bolts, of the right class.')
  },
}

/** The least a field may be; no force or size is below nothing. */
const low = ({ v, pm }: { readonly v: number; readonly pm: number }): number => Math.max(0, v - pm)
