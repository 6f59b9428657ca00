import { threadDiameter, threadKey } from '../mechanics/thread.ts'
import { type FlangeMatch, matchFlange } from './flange-holes.ts'
import type { Joint, JointContext } from './joint.ts'
import type { Sheet } from './sheet.ts'
import type { Side } from './side.ts'
import { BRIDGE, CLASH, type Limit, type Outcome, WORK } from './verdict.ts'

const PIECES = ['flywheel', 'flexplate', 'spacer'] as const
const BURST = "All maker's bolts, of the right class, with whole heads on metal: a flywheel that comes loose kills. Use the maker's torque."

const bridge = (words: string): Outcome => ({ code: BRIDGE, words, pieces: PIECES })
const HOLES: Limit = { id: 'flange-holes', label: 'Flange holes meet', unit: '' }
const CIRCLE: Limit = { id: 'flange-circle', label: 'Bolt circles agree', unit: 'mm', below: bridge('Bolt circles differ'), above: bridge('Bolt circles differ') }
const REGISTER: Limit = {
  id: 'register',
  label: 'Register clearance',
  unit: 'mm',
  below: bridge('Wheel does not go over the register'),
  above: bridge('Wheel is loose on the register'),
}
const THREAD: Limit = { id: 'flange-thread', label: "Bolt thread is the crank's", unit: '' }
const BOLT: Outcome = {
  code: WORK,
  words: 'Bolts are the wrong length',
  task: { id: 'flange-bolt-length', words: 'Get flange bolts of the right length and class', hours: 0.5, skills: ['mechanic'], reversible: true, caution: BURST },
}
const REACH: Limit = { id: 'bolt-reach', label: 'Bolt reach into the crank', unit: 'mm', below: BOLT, above: BOLT }
const BALANCE: Limit = { id: 'balance', label: 'Balance is the same kind', unit: '' }
const offHead: Outcome = { code: CLASH, words: 'A bolt head stands over an edge' }
const INNER: Limit = { id: 'head-inner', label: 'Head on metal, inner edge', unit: 'mm', below: offHead }
const OUTER: Limit = { id: 'head-outer', label: 'Head on metal, outer edge', unit: 'mm', below: offHead }

const holesMiss = bridge('Holes do not meet at any turn')
const boltLost: Outcome = { code: CLASH, words: "The wheel has fewer holes than the crank: a maker's bolt would be lost" }
const otherThread = bridge('Bolt thread differs')
const rebalance: Outcome = {
  code: WORK,
  words: 'Wheel and crank are balanced differently',
  task: {
    id: 'rebalance',
    words: 'Balance the wheel to this crank',
    hours: 3,
    skills: ['machine'],
    reversible: false,
    caution: 'Index-mark wheel and crank before they are parted; a machine shop balances rotating parts.',
  },
}

type Angles = readonly number[]
const memory = new WeakMap<Angles, WeakMap<Angles, { circle: number; play: number; match: FlangeMatch }>>()

function remembered(crank: Angles, wheel: Angles, circle: number, play: number): FlangeMatch {
  let row = memory.get(crank)
  if (!row) memory.set(crank, (row = new WeakMap()))
  const found = row.get(wheel)
  if (found && found.circle === circle && found.play === play) return found.match
  const match = matchFlange(crank, wheel, circle, play)
  row.set(wheel, { circle, play, match })
  return match
}

/** Joint 2: one meeting pair of flange and wheel (or spacer). Has no damage limits. */
export const crankFlange: Joint = {
  id: 'crank-flange',
  number: 2,
  short: 'Crank',
  title: 'Crank flange to flywheel',
  place: 'coupling',
  decides: 'Angle of every hole at the best turn, circle, thread, register, bolt reach, balance, whole heads on metal.',
  applies: () => true,
  check(a, b, ctx, sheet) {
    const crank = a.crankFlange
    const wheel = b.flywheel
    holes(a, b, sheet)

    sheet.term(1, wheel.circleMm)
    sheet.term(-1, crank.circleMm)
    sheet.within(CIRCLE, -ctx.tolerances.circleMm, ctx.tolerances.circleMm)

    sheet.term(1, wheel.registerMm)
    sheet.term(-1, crank.registerMm)
    sheet.within(REGISTER, 0, ctx.tolerances.registerMaxMm)

    sheet.uses(crank.balance)
    sheet.uses(wheel.balance)
    sheet.require(BALANCE, crank.balance.v === wheel.balance.v, rebalance)

    // A spacer's rear holes are passed through: its bolts are judged once, at the crank.
    if (crank.thread.v !== 'through') bolts(a, b, ctx, sheet)
  },
}

function holes(a: Side, b: Side, sheet: Sheet): void {
  const crank = a.crankFlange
  const wheel = b.flywheel
  sheet.uses(crank.angles)
  sheet.uses(wheel.angles)
  sheet.uses(crank.circleMm)
  sheet.uses(wheel.holeMm)
  const bolt = crank.thread.v === 'through' ? b.flangeBolts.thread : crank.thread
  sheet.uses(bolt)
  let meet = false
  let lost = false
  if (sheet.allKnown) {
    const play = (wheel.holeMm.v - threadDiameter(bolt.v)) / 2
    const match = remembered(crank.angles.v!, wheel.angles.v!, crank.circleMm.v, play)
    meet = match.met === match.crank
    lost = !meet && match.wheel < match.crank && match.met === match.wheel
    sheet.show('Holes that meet', match.met, `of ${match.crank}`)
  }
  sheet.require(HOLES, meet, lost ? boltLost : holesMiss)
}

function bolts(a: Side, b: Side, ctx: JointContext, sheet: Sheet): void {
  const crank = a.crankFlange
  const wheel = b.flywheel
  const bolt = b.flangeBolts
  sheet.uses(crank.thread)
  sheet.uses(bolt.thread)
  const agrees = crank.thread.v !== null && bolt.thread.v !== null && threadKey(crank.thread.v) === threadKey(bolt.thread.v)
  sheet.require(THREAD, agrees, otherThread)

  sheet.uses(crank.thread)
  sheet.term(1, bolt.lengthMm)
  sheet.term(-1, bolt.clampedMm)
  for (const part of ctx.stack) for (const port of part.ports) if (port.kind === 'spacer') sheet.term(-1, (port as unknown as Side['spacer']).thicknessMm)
  sheet.uses(crank.holeDepthMm)
  sheet.within(REACH, threadDiameter(crank.thread.v), crank.holeDepthMm.v - ctx.tolerances.boltEndMm)

  const inner = wheel.circleMm.v / 2 - wheel.registerMm.v / 2 - bolt.headMm.v / 2
  sheet.uses(wheel.circleMm)
  sheet.uses(wheel.registerMm)
  sheet.uses(bolt.headMm)
  sheet.value(inner, (wheel.circleMm.pm + wheel.registerMm.pm + bolt.headMm.pm) / 2)
  sheet.within(INNER, ctx.tolerances.headEdgeMm, Infinity)

  const outer = wheel.outerMm.v / 2 - wheel.circleMm.v / 2 - bolt.headMm.v / 2
  sheet.uses(wheel.outerMm)
  sheet.uses(wheel.circleMm)
  sheet.uses(bolt.headMm)
  sheet.value(outer, (wheel.outerMm.pm + wheel.circleMm.pm + bolt.headMm.pm) / 2)
  sheet.within(OUTER, ctx.tolerances.headEdgeMm, Infinity)
  sheet.caution(BURST)
}
