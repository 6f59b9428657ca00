import { threadKey } from '../mechanics/thread.ts'
import { isNamed } from './chassis.ts'
import type { Joint, JointContext } from './joint.ts'
import type { Sheet } from './sheet.ts'
import type { Side } from './side.ts'
import { plates } from './stack.ts'
import { BRIDGE, type Limit, type Outcome, WORK } from './verdict.ts'

const LIFT = 'Train held from above or on a stand before the mount is undone; never under a hanging train.'
const bracket = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['gearbox-mount'] })
const move: Outcome = {
  code: WORK,
  words: 'The crossmember is to be moved along',
  task: {
    id: 'move-crossmember',
    words: 'Move the gearbox crossmember: new holes, spreader plates, rust protection',
    hours: 4,
    skills: ['weld', 'mechanic'],
    reversible: false,
    caution: LIFT,
  },
}
const redrill: Outcome = {
  code: WORK,
  words: 'Bolt spacing differs a little',
  task: { id: 'slot-mount', words: 'Slot the mount, or make a small plate with both spacings', hours: 1, skills: ['mechanic'], reversible: false, caution: LIFT },
}
const pack: Outcome = {
  code: WORK,
  words: 'A packer levels it',
  task: {
    id: 'pack-gearbox-mount',
    words: 'Make a packer for the gearbox mount, and check the driveline angles again',
    hours: 1,
    skills: ['mechanic'],
    reversible: true,
    caution: LIFT,
  },
}
const bolts: Outcome = {
  code: WORK,
  words: 'Other bolts',
  task: { id: 'mount-bolts', words: 'Get mount bolts that suit both, with sleeves', hours: 0.3, skills: ['mechanic'], reversible: true },
}

const PLACE: Limit = {
  id: 'mount-place',
  label: 'Mount over the crossmember, along',
  unit: 'mm',
  below: bracket('Mount stands ahead of the crossmember'),
  above: bracket('Mount stands behind the crossmember'),
}
const MOVED: Limit = { ...PLACE, below: move, above: move }
const SPACING: Limit = {
  id: 'mount-spacing',
  label: 'Bolt spacings agree',
  unit: 'mm',
  below: bracket('Bolt spacings differ'),
  above: bracket('Bolt spacings differ'),
  near: { within: 20, outcome: redrill },
}
const THREAD: Limit = { id: 'mount-thread', label: 'Bolts are the same', unit: '' }
const HEIGHT: Limit = {
  id: 'mount-height',
  label: 'Pad above its seat',
  unit: 'mm',
  below: bracket('The pad hangs below the seat: another mount, or the crossmember lower'),
  above: bracket('The pad stands above the seat: a taller mount'),
  near: { within: 30, outcome: pack },
}

/** Joint 18: the gearbox mount on its crossmember: place along the train, bolt spacing, height. Has no damage limits. */
export const gearboxMount: Joint = {
  id: 'gearbox-mount',
  number: 18,
  short: 'Box mount',
  title: 'Gearbox mount to crossmember',
  place: 'vehicle',
  decides: 'Place along the train (kept driveline: the gearbox sits here and places the train), bolt spacing, thread, height.',
  sometimes: ['crossmember.mayMove'],
  applies: (_a, b) => isNamed(b.crossmember),
  check(a, b, ctx, sheet) {
    if (ctx.placement === 'set-back') place(a, b, ctx, sheet)

    sheet.term(1, b.mountPad.spacingMm)
    sheet.term(-1, b.crossmember.spacingMm)
    sheet.within(SPACING, -ctx.tolerances.mountMm, ctx.tolerances.mountMm)

    sheet.uses(b.mountPad.thread)
    sheet.uses(b.crossmember.thread)
    sheet.require(THREAD, sheet.allKnown && threadKey(b.mountPad.thread.v!) === threadKey(b.crossmember.thread.v!), bolts)

    // A level train: its axis stands above the seat by the mounts' height and the seat's drop.
    sheet.term(1, b.chassisPads.crankAboveMm)
    sheet.term(1, b.crossmember.belowMm)
    sheet.term(-1, b.mountPad.belowMm)
    sheet.within(HEIGHT, -ctx.tolerances.mountMm, ctx.tolerances.mountMm)
  },
}

function place(a: Side, b: Side, ctx: JointContext, sheet: Sheet): void {
  const slot = b.crossmember.slotMm
  plates(1, ctx, sheet)
  sheet.term(1, b.mountPad.alongMm)
  sheet.term(-1, a.enginePads.alongMm)
  sheet.term(-1, b.crossmember.alongMm)
  sheet.uses(slot)
  const reach = ctx.tolerances.mountMm + slot.v
  const off = sheet.allKnown && Math.abs(sheet.sum) > reach
  // Whether it may be moved decides only where it must be.
  if (off) sheet.uses(b.crossmember.mayMove)
  sheet.within(off && b.crossmember.mayMove.v ? MOVED : PLACE, -reach, reach)
}
