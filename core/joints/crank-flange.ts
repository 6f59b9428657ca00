import { boltSet, locatedFit } from '../fasteners/bolt-set.ts'
import { threadDiameter, threadKey } from '../mechanics/thread.ts'
import { always } from './always.ts'
import { BRIDGE, CLASH, WORK } from './code.ts'
import type { Joint } from './joint.ts'
import { type Formula, formula, type Limit, measure, minus, plus } from './judging/declaration.ts'
import { a, aside, b, spacers } from './judging/read.ts'
import { type FlangeMatch, matchFlange } from './search/flange-holes.ts'
import type { Outcome } from './verdict.ts'

const PIECES = ['flywheel', 'flexplate', 'spacer'] as const
const BURST =
  "All maker's bolts, of the right class, with whole heads on metal: a flywheel that comes loose kills. Use the maker's torque."

const bridge = (words: string): Outcome => ({ code: BRIDGE, words, pieces: PIECES })
const wrongLength: Outcome = {
  code: WORK,
  words: 'Bolts are the wrong length',
  task: {
    id: 'flange-bolt-length',
    words: 'Get flange bolts of the right length and class',
    hours: 0.5,
    skills: ['mechanic'],
    reversible: true,
    caution: BURST,
  },
}
const offHead: Outcome = { code: CLASH, words: 'A bolt head stands over an edge' }
const boltLost: Outcome = {
  code: CLASH,
  words: "The wheel has fewer holes than the crank: a maker's bolt would be lost",
}
const rebalance: Outcome = {
  code: WORK,
  words: 'Wheel and crank are balanced differently',
  task: {
    id: 'rebalance',
    words: 'Balance the wheel to this crank',
    hours: 3,
    skills: ['machine'],
    reversible: false,
    caution:
      'Index-mark wheel and crank before they are parted; a machine shop balances rotating parts.',
  },
}

type Angles = readonly number[]
const memory = new WeakMap<
  Angles,
  WeakMap<Angles, { circle: number; play: number; match: FlangeMatch }>
>()

function remembered(crank: Angles, wheel: Angles, circle: number, play: number): FlangeMatch {
  let row = memory.get(crank)
  if (!row) memory.set(crank, (row = new WeakMap()))
  const found = row.get(wheel)
  if (found && found.circle === circle && found.play === play) return found.match
  const match = matchFlange(crank, wheel, circle, play)
  row.set(wheel, { circle, play, match })
  return match
}

const crank = a.crankFlange
const wheel = b.flywheel
const bolt = b.flangeBolts

/** A spacer's rear holes are passed through: its bolts are judged once, at the crank. */
const threadOfCrank = { thread: aside(crank.thread) }
const isBolted: Formula<boolean> = formula(threadOfCrank, ({ thread }) => thread !== 'through')
const isThrough: Formula<boolean> = formula(threadOfCrank, ({ thread }) => thread === 'through')

const pattern = {
  crankAngles: crank.angles,
  wheelAngles: wheel.angles,
  circleMm: crank.circleMm,
  holeMm: wheel.holeMm,
}
const tapped = { ...pattern, thread: crank.thread }
const through = { ...pattern, thread: bolt.thread }
interface Pattern {
  readonly crankAngles: Angles | null
  readonly wheelAngles: Angles | null
  readonly circleMm: number
  readonly holeMm: number
  readonly thread: string | null
}
const matchOf = (x: Pattern): FlangeMatch =>
  remembered(x.crankAngles!, x.wheelAngles!, x.circleMm, (x.holeMm - threadDiameter(x.thread)) / 2)
const allMeet = (x: Pattern): boolean => matchOf(x).met === matchOf(x).crank
const isLost = (x: Pattern): boolean => {
  const { met, crank: wanted, wheel: has } = matchOf(x)
  return has < wanted && met === has
}
const holes = (reads: typeof tapped, when: Formula<boolean>): Limit => ({
  id: 'flange-holes',
  label: 'Flange holes meet',
  unit: '',
  when,
  holds: formula(reads, allMeet),
  otherwise: [
    { when: formula(reads, isLost), becomes: boltLost },
    { becomes: bridge('Holes do not meet at any turn') },
  ],
})

/** Half of a circle less half of another and half a head: metal under the head. */
const half = (value: number): number => value / 2
const inner = measure(
  { circleMm: wheel.circleMm, registerMm: wheel.registerMm, headMm: bolt.headMm },
  (x) => half(x.circleMm) - half(x.registerMm) - half(x.headMm),
  {
    circleMm: 1,
    registerMm: -1,
    headMm: -1,
  },
)
const outer = measure(
  { outerMm: wheel.outerMm, circleMm: wheel.circleMm, headMm: bolt.headMm },
  (x) => half(x.outerMm) - half(x.circleMm) - half(x.headMm),
  {
    outerMm: 1,
    circleMm: -1,
    headMm: -1,
  },
)

const showMet = (reads: typeof tapped, when: Formula<boolean>) => ({
  label: 'Holes that meet',
  unit: formula(reads, (x) => `of ${matchOf(x).crank}`),
  of: formula(reads, (x) => matchOf(x).met),
  when,
})

/** Joint 2: one meeting pair of flange and wheel (or spacer). Has no damage limits. */
export const crankFlange: Joint = {
  id: 'crank-flange',
  number: 2,
  short: 'Crank',
  title: 'Crank flange to flywheel',
  place: 'coupling',
  meets: 'flanges',
  strip: 'flange',
  drawing: null,
  decides:
    'Angle of every hole at the best turn, circle, thread, register, bolt reach, balance, whole heads on metal.',
  applies: always,
  limits: [
    holes(tapped, isBolted),
    holes(through, isThrough),
    {
      id: 'flange-circle',
      label: 'Bolt circles agree',
      unit: 'mm',
      terms: [plus(wheel.circleMm), minus(crank.circleMm)],
      window: ['-circleMm', 'circleMm'],
      below: bridge('Bolt circles differ'),
      above: bridge('Bolt circles differ'),
    },
    {
      id: 'register',
      label: 'Register clearance',
      unit: 'mm',
      terms: [plus(wheel.registerMm), minus(crank.registerMm)],
      window: [0, 'registerMaxMm'],
      below: bridge('Wheel does not go over the register'),
      above: bridge('Wheel is loose on the register'),
    },
    {
      id: 'balance',
      label: 'Balance is the same kind',
      unit: '',
      holds: formula({ crank: crank.balance, wheel: wheel.balance }, (x) => x.crank === x.wheel),
      otherwise: rebalance,
    },
    {
      id: 'flange-thread',
      label: "Bolt thread is the crank's",
      unit: '',
      when: isBolted,
      holds: formula(
        { crank: crank.thread, bolt: bolt.thread },
        (x) => threadKey(x.crank!) === threadKey(x.bolt!),
      ),
      otherwise: bridge('Bolt thread differs'),
    },
    {
      id: 'bolt-reach',
      label: 'Bolt reach into the crank',
      unit: 'mm',
      when: isBolted,
      terms: [plus(bolt.lengthMm), minus(bolt.clampedMm), minus(spacers)],
      window: [
        measure({ thread: crank.thread }, ({ thread }) => threadDiameter(thread), {}),
        measure(
          { depthMm: crank.holeDepthMm },
          ({ depthMm }, { tolerances }) => depthMm - tolerances.boltEndMm,
          { depthMm: 1 },
        ),
      ],
      below: wrongLength,
      above: wrongLength,
    },
    {
      id: 'head-covers',
      label: 'Heads cover their holes',
      unit: '',
      when: isBolted,
      holds: formula({ headMm: bolt.headMm, holeMm: wheel.holeMm }, (x) => x.headMm > x.holeMm),
      otherwise: { code: CLASH, words: 'The heads are no wider than the holes they stand on' },
    },
    {
      id: 'head-inner',
      label: 'Head on metal, inner edge',
      unit: 'mm',
      when: isBolted,
      measure: inner,
      window: ['headEdgeMm', Infinity],
      below: offHead,
    },
    {
      id: 'head-outer',
      label: 'Head on metal, outer edge',
      unit: 'mm',
      when: isBolted,
      measure: outer,
      window: ['headEdgeMm', Infinity],
      below: offHead,
    },
  ],
  figures: [showMet(tapped, isBolted), showMet(through, isThrough)],
  cautions: [{ words: BURST, when: isBolted }],
  cures: { flywheel: 'flange', flexplate: 'flange', spacer: 'flange' },
  hardware: (a, b) => {
    const { thread, lengthMm, clampedMm, torqueNm, angleDeg, boltClass } = b.flangeBolts
    return {
      bolts: boltSet({
        words: 'Wheel to crank, every maker’s bolt, new',
        thread: thread.v,
        count: a.crankFlange.angles.v?.length ?? Number.NaN,
        grip: clampedMm.v,
        length: lengthMm.v,
        into: 'steel',
        usual: '10.9',
        claimed: { torqueNm, angleDeg, boltClass },
      }),
      fits: locatedFit(
        'Register of the wheel on the crank',
        b.flywheel.registerMm,
        a.crankFlange.registerMm,
      ),
    }
  },
}
