import { threadDiameter, threadKey } from '../mechanics/thread.ts'
import { matchFlange } from './flange-holes.ts'
import type { Joint, JointContext } from './joint.ts'
import { addPullUp, pullUp } from './pull-up.ts'
import type { Sheet } from './sheet.ts'
import type { Side } from './side.ts'
import { BRIDGE, type Limit, type Outcome, WORK } from './verdict.ts'

const plateOr = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['flexplate', 'converter'] })
const another = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['converter'] })

const PADS: Limit = { id: 'pads-meet', label: 'Pads meet the flexplate', unit: '' }
const CIRCLE: Limit = { id: 'pad-circle', label: 'Pad circles agree', unit: 'mm', below: plateOr('Pad circles differ'), above: plateOr('Pad circles differ') }
const THREAD: Limit = { id: 'pad-thread', label: "Bolt thread is the pads'", unit: '' }
const BOLT: Outcome = {
  code: WORK,
  words: 'Converter bolts are the wrong length',
  task: {
    id: 'converter-bolts',
    words: 'Get converter bolts of the right length and class: too long dents the converter',
    hours: 0.3,
    skills: ['mechanic'],
    reversible: true,
    caution: "Rotating hardware: the right class only, and the maker's torque.",
  },
}
const REACH: Limit = { id: 'pad-reach', label: 'Bolt reach into the pads', unit: 'mm', below: BOLT, above: BOLT }
const SPREAD: Limit = {
  id: 'pads-equal',
  label: 'Pads equal all round',
  unit: 'mm',
  above: {
    code: WORK,
    words: 'Pads differ: the converter is not home, or a plate is bent',
    task: { id: 'seat-converter', words: 'Turn and press the converter until it drops home, measure all pads again', hours: 0.5, skills: ['mechanic'], reversible: true },
  },
}
const NOSE: Limit = {
  id: 'nose-fit',
  label: 'Nose in the crank bore, clearance',
  unit: 'mm',
  below: another('Nose does not enter the crank'),
  above: { code: BRIDGE, words: 'Nose is loose in the crank: a sleeve centres it', pieces: ['pilot', 'converter'] },
}
const IN: Limit = {
  id: 'nose-in',
  label: 'Nose held in the crank bore',
  unit: 'mm',
  below: { code: BRIDGE, words: 'Nose does not reach the crank bore: a sleeve carries it', pieces: ['pilot', 'converter'] },
}
const BOTTOM: Limit = {
  id: 'nose-clear',
  label: 'Nose clear of the bottom',
  unit: 'mm',
  damage: true,
  below: { code: BRIDGE, words: 'The nose is longer than the crank bore is deep: measure again, or use a spacer, and check the pull-up again', pieces: ['spacer', 'converter'] },
}
const LUGS: Limit = {
  id: 'lugs',
  label: 'Pump lugs engaged after pull-up',
  unit: 'mm',
  damage: true,
  below: { code: BRIDGE, words: 'Pump lugs half engaged: they break and take the pump', pieces: ['spacer', 'converter'] },
}
const TURBINE: Limit = { id: 'turbine-splines', label: 'Turbine shaft splines', unit: '' }
const STATOR: Limit = { id: 'stator-splines', label: 'Stator splines', unit: '' }
const HUB: Limit = {
  id: 'hub-in-pump',
  label: 'Hub in the pump bush, clearance',
  unit: 'mm',
  below: another('Hub does not enter the pump'),
  above: another('Hub is loose in the pump: it leaks'),
}
const STALL: Limit = {
  id: 'stall',
  label: 'Stall speed over torque peak',
  unit: '',
  below: another('Stalls far below the torque peak: sluggish away'),
  above: another('Stalls above the torque peak: it slips and overheats on the road'),
}

/**
 * Joint 8: converter between flexplate, crank and pump. Damage limits: pull-up, lugs, nose clear of the bottom.
 * Pads are bolted back by the pull-up, so the nose goes into the crank by its stand ahead of the pads less h.
 */
export const converter: Joint = {
  id: 'converter',
  number: 8,
  short: 'Converter',
  title: 'Converter to flexplate, crank and pump',
  place: 'coupling',
  decides: 'Pull-up both ways from two depths before mating; nose and lugs after it; pads, bolts, splines of turbine and stator, hub, stall.',
  applies: (_a, b) => b.ratios.type.v === 'automatic',
  check(a, b, ctx, sheet) {
    pullUp(a, b, ctx, sheet)
    sheet.term(1, b.pump.padSpreadMm)
    sheet.within(SPREAD, 0, ctx.tolerances.padSpreadMm)
    pads(b, ctx, sheet)
    nose(a, b, ctx, sheet)
    pump(a, b, ctx, sheet)

    sheet.uses(b.converter.stallRpm)
    sheet.uses(a.engineOutput.peakTorqueRpm)
    sheet.value(b.converter.stallRpm.v / a.engineOutput.peakTorqueRpm.v, 0)
    sheet.within(STALL, ctx.tolerances.stallLow, ctx.tolerances.stallHigh)
  },
}

function pads(b: Side, ctx: JointContext, sheet: Sheet): void {
  const plate = b.flexPads
  const { padAngles, padCircleMm, padThread, padDepthMm } = b.converter
  for (const field of [padAngles, plate.angles, padCircleMm, plate.holeMm, padThread]) sheet.uses(field)
  let meet = false
  if (sheet.allKnown) {
    const match = matchFlange(padAngles.v!, plate.angles.v!, padCircleMm.v, (plate.holeMm.v - threadDiameter(padThread.v)) / 2)
    meet = match.met === match.crank
    sheet.show('Pads that meet', match.met, `of ${match.crank}`)
  }
  sheet.require(PADS, meet, plateOr('Pads do not meet the flexplate at any turn'))

  sheet.term(1, plate.circleMm)
  sheet.term(-1, padCircleMm)
  sheet.within(CIRCLE, -ctx.tolerances.circleMm, ctx.tolerances.circleMm)

  sheet.uses(padThread)
  sheet.uses(plate.boltThread)
  sheet.require(THREAD, sheet.allKnown && threadKey(padThread.v!) === threadKey(plate.boltThread.v!), BOLT)

  sheet.term(1, plate.boltMm)
  sheet.term(-1, plate.thickMm)
  sheet.uses(padThread)
  sheet.uses(padDepthMm)
  sheet.within(REACH, ctx.tolerances.padReach * threadDiameter(padThread.v), padDepthMm.v - ctx.tolerances.boltEndMm)
}

function nose(a: Side, b: Side, ctx: JointContext, sheet: Sheet): void {
  sheet.term(1, a.converterBore.boreMm)
  sheet.term(-1, b.converter.noseMm)
  sheet.within(NOSE, 0, ctx.tolerances.noseClearMm)

  sheet.term(-1, b.converter.noseTipMm)
  sheet.term(-1, b.flexPads.heightMm)
  sheet.within(IN, ctx.tolerances.noseInMm, Infinity)

  sheet.term(1, a.converterBore.depthMm)
  sheet.term(1, b.converter.noseTipMm)
  sheet.term(1, b.flexPads.heightMm)
  sheet.within(BOTTOM, ctx.tolerances.noseBottomMm, Infinity)
}

function pump(a: Side, b: Side, ctx: JointContext, sheet: Sheet): void {
  sheet.term(1, b.pump.lugsMm)
  addPullUp(-1, a, b, ctx, sheet)
  sheet.within(LUGS, ctx.tolerances.lugsMm, Infinity)

  for (const [limit, ours, theirs] of [
    [TURBINE, b.converter.turbineSplines, b.pump.turbineSplines],
    [STATOR, b.converter.statorSplines, b.pump.statorSplines],
  ] as const) {
    sheet.uses(ours)
    sheet.uses(theirs)
    sheet.require(limit, ours.v === theirs.v, another(`${ours.v} splines on ${theirs.v}`))
  }

  sheet.term(1, b.pump.bushMm)
  sheet.term(-1, b.converter.hubMm)
  sheet.within(HUB, 0, ctx.tolerances.pumpBushMm)
}
