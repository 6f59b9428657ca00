import type { Joint, JointContext } from './joint.ts'
import { pullUp } from './pull-up.ts'
import type { Sheet } from './sheet.ts'
import type { Side } from './side.ts'
import { flange, plates } from './stack.ts'
import { BRIDGE, type Limit, type Outcome, WORK } from './verdict.ts'

const pilotPiece: Outcome = { code: BRIDGE, words: 'Shaft nose does not reach the pilot: an extension or sleeve, or a pilot further back', pieces: ['pilot', 'spacer'] }
const plateBack: Outcome = {
  code: BRIDGE,
  words: 'Shaft stands too far forward: a plate moves it back. Run so, it bottoms and the engine will hardly turn by hand',
  pieces: ['plate', 'separator'],
}
const tooClose: Outcome = {
  code: BRIDGE,
  words: 'Release bearing rides on the fingers: a plate gives room. Run so, the clutch slips and the bearing wears out',
  pieces: ['plate', 'separator', 'release-bearing'],
}
const tooFar: Outcome = {
  code: BRIDGE,
  words: 'Release bearing is too far from the fingers: a spacer brings the clutch back. Run so, the clutch never clears',
  pieces: ['spacer', 'release-bearing'],
}
const offSplines: Outcome = { code: BRIDGE, words: 'Disc hub leaves its splines: another disc, plate or spacer', pieces: ['disc', 'plate', 'spacer'] }
const shim: Outcome = {
  code: WORK,
  words: 'Starter needs shims',
  task: {
    id: 'starter-shim',
    words: 'Shim the starter to its rest gap, check backlash over a whole turn',
    hours: 0.8,
    skills: ['mechanic'],
    reversible: true,
    caution: 'Battery off before the starter cable is touched.',
  },
}
const otherStarter: Outcome = { code: BRIDGE, words: 'Pinion stands wrong for the ring: another starter, plate or spacer', pieces: ['starter', 'plate', 'spacer', 'flywheel'] }
const shortMesh: Outcome = { code: BRIDGE, words: 'Pinion covers too little of the ring: another starter', pieces: ['starter'] }

const NOSE: Limit = { id: 'nose', label: 'Nose in the pilot', unit: 'mm', below: pilotPiece }
const TIP: Limit = { id: 'tip-clear', label: 'Shaft tip clear of the bottom', unit: 'mm', damage: true, below: plateBack }
const SHOULDER: Limit = { id: 'shoulder-clear', label: 'Shoulder clear of the pilot', unit: 'mm', damage: true, below: plateBack }
const HUB_FRONT: Limit = { id: 'hub-front', label: 'Hub on splines, forward travel', unit: 'mm', below: offSplines }
const HUB_REAR: Limit = { id: 'hub-rear', label: 'Hub on splines, rearward travel', unit: 'mm', below: offSplines }
const RELEASE: Limit = { id: 'release-gap', label: 'Release bearing gap', unit: 'mm', damage: true, below: tooClose, above: tooFar }
const GAP: Limit = { id: 'starter-gap', label: 'Starter rest gap', unit: 'mm', below: otherStarter, above: otherStarter, near: { within: 3, outcome: shim } }
const OVERLAP: Limit = { id: 'starter-overlap', label: 'Pinion over the ring', unit: 'mm', below: shortMesh }
const KIND: Limit = { id: 'gearbox-kind', label: 'Manual or automatic', unit: '' }

/**
 * Joint 3: the depth stacks on one datum, x rearward. B = Σ plates, F = f + Σ spacers; bell lengths are seen from the
 * block face as B + x, wheel lengths as F + x. The offset e against the gearbox's original engine is shown and never decides.
 */
export const depth: Joint = {
  id: 'depth',
  number: 3,
  short: 'Depth',
  title: 'Depth',
  place: 'coupling',
  decides: 'Nose and tip in the pilot, hub on its splines, release gap, starter to ring; the converter pull-up on an automatic. Each from its own lengths.',
  sometimes: ['pump.padMm', 'flex-pads.heightMm'],
  applies: () => true,
  check(a, b, ctx, sheet) {
    const type = b.ratios.type
    const automatic = type.v === 'automatic'
    if (type.claim === null && !b.inputShaft.present) {
      sheet.uses(type)
      sheet.require(KIND, true, shim)
    }
    if (automatic) pullUp(a, b, ctx, sheet)
    else {
      pilot(a, b, ctx, sheet)
      hub(a, b, ctx, sheet)
      release(a, b, ctx, sheet)
    }
    starter(a, b, ctx, sheet)
    offset(a, b, ctx, sheet)
  },
}

/** Adds ± the place where the pilot bore's lengths start: the block face, or F where a spacer or wheel carries it. */
function boreDatum(sign: 1 | -1, a: Side, ctx: JointContext, sheet: Sheet): void {
  if (a.pilotBore.slot === 'flange') flange(sign, a, ctx, sheet)
}

function pilot(a: Side, b: Side, ctx: JointContext, sheet: Sheet): void {
  const piece = b.pilotPiece
  const shaft = b.inputShaft
  boreDatum(1, a, ctx, sheet)
  sheet.term(1, a.pilotBore.mouthMm)
  sheet.term(-1, piece.depthMm)
  plates(-1, ctx, sheet)
  sheet.term(-1, shaft.tipMm)
  sheet.uses(piece.widthMm)
  sheet.within(NOSE, Math.min(piece.widthMm.v, ctx.tolerances.noseEngageMm), Infinity)

  plates(1, ctx, sheet)
  sheet.term(1, shaft.tipMm)
  boreDatum(-1, a, ctx, sheet)
  sheet.term(-1, a.pilotBore.bottomMm)
  sheet.within(TIP, ctx.tolerances.tipClearMm, Infinity)

  plates(1, ctx, sheet)
  sheet.term(1, shaft.noseEndMm)
  boreDatum(-1, a, ctx, sheet)
  sheet.term(-1, a.pilotBore.mouthMm)
  // A piece that stands proud of the bore meets the shoulder first.
  if (piece.depthMm.v < 0) sheet.term(1, piece.depthMm)
  sheet.within(SHOULDER, ctx.tolerances.shoulderClearMm, Infinity)
}

function hub(a: Side, b: Side, ctx: JointContext, sheet: Sheet): void {
  flange(1, a, ctx, sheet)
  sheet.term(1, b.flywheel.clutchFaceMm)
  sheet.term(1, b.discHub.startMm)
  plates(-1, ctx, sheet)
  sheet.term(-1, b.inputShaft.splineStartMm)
  sheet.within(HUB_FRONT, ctx.tolerances.hubTravelMm, Infinity)

  plates(1, ctx, sheet)
  sheet.term(1, b.inputShaft.splineEndMm)
  flange(-1, a, ctx, sheet)
  sheet.term(-1, b.flywheel.clutchFaceMm)
  sheet.term(-1, b.discHub.endMm)
  sheet.within(HUB_REAR, ctx.tolerances.hubTravelMm, Infinity)
}

function release(a: Side, b: Side, ctx: JointContext, sheet: Sheet): void {
  const bearing = b.releaseBearing
  plates(1, ctx, sheet)
  sheet.term(1, bearing.restMm)
  flange(-1, a, ctx, sheet)
  sheet.term(-1, b.flywheel.clutchFaceMm)
  sheet.term(-1, b.coverFingers.heightMm)
  sheet.uses(bearing.gapLowMm)
  sheet.uses(bearing.gapHighMm)
  sheet.within(RELEASE, bearing.gapLowMm.v, bearing.gapHighMm.v)
}

function starter(a: Side, b: Side, ctx: JointContext, sheet: Sheet): void {
  const s: 1 | -1 = b.starter.way.v === 'forward' ? -1 : 1
  const gap = starterGap(s, a, b, ctx, sheet)
  // Off its rest gap the mesh decides nothing: shims or another starter change both.
  if (gap < ctx.tolerances.starterGapLowMm - 1e-6 || gap > ctx.tolerances.starterGapHighMm + 1e-6) return
  sheet.uses(b.starter.mount)
  sheet.uses(b.starter.way)
  sheet.uses(b.starter.throwMm)
  sheet.uses(b.ring.widthMm)
  sheet.value(Math.min(b.starter.throwMm.v - gap, b.ring.widthMm.v), b.starter.throwMm.pm)
  sheet.within(OVERLAP, ctx.tolerances.starterOverlap * b.ring.widthMm.v, Infinity)
}

/** s · (ring − pinion at rest); NaN when a length is unknown. */
function starterGap(s: 1 | -1, a: Side, b: Side, ctx: JointContext, sheet: Sheet): number {
  const back: 1 | -1 = s === 1 ? -1 : 1
  sheet.uses(b.starter.mount)
  sheet.uses(b.starter.way)
  flange(s, a, ctx, sheet)
  sheet.term(s, b.ring.nearMm)
  if (b.starter.mount.v !== 'block') plates(back, ctx, sheet)
  sheet.term(back, b.starter.pinionMm)
  const gap = sheet.allKnown ? sheet.sum : Number.NaN
  sheet.within(GAP, ctx.tolerances.starterGapLowMm, ctx.tolerances.starterGapHighMm)
  return gap
}

function offset(a: Side, b: Side, ctx: JointContext, sheet: Sheet): void {
  let now = -a.crankFlange.proudMm.v
  for (const part of ctx.stack)
    for (const port of part.ports) {
      if (port.kind === 'plate') now += (port as unknown as Side['plate']).thicknessMm.v
      if (port.kind === 'spacer') now -= (port as unknown as Side['spacer']).thicknessMm.v
    }
  const original = b.originalStack
  const before = original.platesMm.v - original.flangeMm.v - (Number.isNaN(original.spacersMm.v) ? 0 : original.spacersMm.v)
  sheet.show('e, flywheel forward of where this gearbox had it', now - before, 'mm')
}
