import { boltSet, locatedFit } from '../fasteners/bolt-set.ts'
import { headCovers } from '../fasteners/head.ts'
import { clutchCapacity } from '../mechanics/clutch.ts'
import { threadDiameter } from '../mechanics/thread.ts'
import { onManual } from './always.ts'
import { BRIDGE } from './code.ts'
import type { Joint } from './joint.ts'
import { computed, formula, measure, minus, plus } from './judging/declaration.ts'
import { SLACK } from './judging/judge.ts'
import { a, b } from './judging/read.ts'
import type { Outcome } from './verdict.ts'

const another = (words: Outcome['words']): Outcome => ({
  code: BRIDGE,
  words,
  pieces: ['cover', 'flywheel'],
})
const disc = (words: string): Outcome => ({
  code: BRIDGE,
  words,
  pieces: ['disc', 'flywheel', 'cover'],
})

const seat = b.clutchSeat
const cover = b.coverMount
const lining = b.discFace
const counts = { cover: cover.bolts, seat: seat.bolts }

/** Torque the clutch holds. No force or size is below nothing. */
const held = computed(
  {
    clampN: cover.clampN,
    friction: lining.friction,
    outerMm: lining.outerMm,
    innerMm: lining.innerMm,
  },
  (x) =>
    clutchCapacity(
      Math.max(0, x.clampN),
      Math.max(0, x.friction),
      Math.max(0, x.outerMm),
      Math.max(0, x.innerMm),
    ),
  { clampN: 1, friction: 1, outerMm: 1, innerMm: 1 },
)

/** Joint 6: clutch cover on its flywheel, and the disc between. Damage limit: the torque it holds. */
export const clutchCover: Joint = {
  id: 'clutch-cover',
  number: 6,
  short: 'Cover',
  title: 'Clutch cover on flywheel',
  place: 'coupling',
  meets: 'whole',
  strip: 'flange',
  drawing: null,
  decides:
    'Bolt circle, count and holes, dowels, depth of the seat, lining on its face, and the torque held by uniform wear against engine peak with a reserve.',
  applies: onManual,
  limits: [
    {
      id: 'cover-circle',
      label: 'Bolt circles agree',
      unit: 'mm',
      terms: [plus(cover.circleMm), minus(seat.circleMm)],
      window: ['-circleMm', 'circleMm'],
      below: another('The cover is smaller than its seat'),
      above: another('The cover is wider than its seat'),
    },
    {
      id: 'cover-bolts',
      label: 'Bolts are as many',
      unit: '',
      holds: formula(counts, (x) => x.cover === x.seat),
      otherwise: another(formula(counts, (x) => `${x.cover} holes over ${x.seat} bolts`)),
    },
    {
      id: 'cover-holes',
      label: 'Holes over the bolts',
      unit: 'mm',
      terms: [plus(cover.holeMm)],
      measure: measure({ thread: seat.thread }, ({ thread }) => -threadDiameter(thread), {}),
      window: [0, 'coverHoleMm'],
      below: another('The bolts do not go through the cover'),
      above: another('The holes are too wide for the bolts'),
    },
    {
      id: 'cover-heads',
      label: 'Bolt heads cover the holes',
      unit: '',
      holds: formula({ thread: seat.thread, holeMm: cover.holeMm }, (x) =>
        headCovers(x.thread, x.holeMm),
      ),
      otherwise: another('The holes are as wide as the bolt heads'),
    },
    {
      id: 'cover-dowels',
      label: 'Dowels centre the cover',
      unit: '',
      holds: formula(
        { cover: cover.dowelMm, seat: seat.dowelMm },
        (x, { tolerances }) =>
          x.seat > 0 &&
          x.cover - x.seat >= -SLACK &&
          x.cover - x.seat <= tolerances.circleMm + SLACK,
      ),
      otherwise: another(
        'No dowel centres the cover, or its hole does not go over it: it runs out of balance',
      ),
    },
    {
      id: 'cover-step',
      label: 'Seat is as deep as the cover wants',
      unit: 'mm',
      terms: [plus(seat.stepMm), minus(cover.stepMm)],
      window: ['-coverSeatMm', 'coverSeatMm'],
      below: another('The seat is too shallow: the clutch clamps too hard'),
      above: another('The seat is too deep: the clutch slips'),
    },
    {
      id: 'lining-outer',
      label: 'Lining inside its face, outer',
      unit: 'mm',
      terms: [plus(seat.outerMm), minus(lining.outerMm)],
      window: [0, Infinity],
      below: disc('The lining stands past the clutch face'),
    },
    {
      id: 'lining-inner',
      label: 'Lining on its face, inner',
      unit: 'mm',
      terms: [plus(lining.innerMm), minus(seat.innerMm)],
      window: [0, Infinity],
      below: disc('The lining runs over the inner edge of the clutch face'),
    },
    {
      id: 'clutch-capacity',
      label: 'Torque the clutch holds over what it must',
      unit: 'N·m',
      damage: true,
      terms: [plus(held)],
      measure: measure(
        { peakNm: a.engineOutput.peakTorqueNm },
        ({ peakNm }, { tolerances }) => -peakNm * tolerances.clutchReserve,
        { peakNm: -1 },
      ),
      window: [0, Infinity],
      below: {
        code: BRIDGE,
        words: 'The clutch slips: a stronger cover, a grippier or larger disc',
        pieces: ['cover', 'disc'],
      },
    },
  ],
  figures: [
    {
      label: 'Torque the clutch holds',
      unit: 'N·m',
      of: formula({ held }, (x) => x.held),
    },
  ],
  cautions: [
    {
      words:
        'Only covers and wheels rated for the redline: a burst clutch kills. All cover bolts, of the right class.',
    },
  ],
  cures: { cover: 'instead', flywheel: 'flange', disc: 'instead' },
  hardware: (_a, b) => ({
    bolts: boltSet({
      words: 'Cover to wheel',
      thread: b.clutchSeat.thread.v,
      count: b.clutchSeat.bolts.v,
      into: 'steel',
      usual: '8.8',
    }),
    fits: locatedFit('Cover on its dowels', b.coverMount.dowelMm, b.clutchSeat.dowelMm),
  }),
}
