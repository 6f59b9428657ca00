import { threadKey } from '../mechanics/thread.ts'
import { chassisOrigin, isNamed } from './chassis.ts'
import type { Joint } from './joint.ts'
import { BRIDGE, type Limit, type Outcome, WORK } from './verdict.ts'

const LIFT = 'Engine carried at rated points before a mount is undone; never under a hanging engine.'
const bracket = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['engine-mount'] })
const slotted = (words: string): Outcome => ({
  code: WORK,
  words,
  task: { id: 'slot-engine-mounts', words: 'Slot or pack the engine brackets to suit', hours: 1.5, skills: ['mechanic'], reversible: false, caution: LIFT },
})
const window = (id: string, label: string, unit: string, words: string, within: number): Limit => ({
  id,
  label,
  unit,
  below: bracket(words),
  above: bracket(words),
  near: { within, outcome: slotted(`${words}, a little`) },
})

const ALONG = window('pads-along', 'Pads over the mounts, along', 'mm', 'Pads and mounts stand apart along the vehicle', 7)
const ACROSS = window('pads-across', 'Pads over the mounts, across', 'mm', 'Pads and mounts are not as wide', 7)
const HEIGHT = window('pads-height', 'Crank axis over its wanted height', 'mm', 'The engine would not sit at its height', 10)
const LEAN = window('pads-lean', 'Pads lean as the mounts do', '°', 'Pads and mounts lean apart', 5)
const THREAD: Limit = { id: 'pads-thread', label: 'Studs are the same', unit: '' }
const studs: Outcome = {
  code: WORK,
  words: 'Other studs',
  task: { id: 'mount-studs', words: 'Fit studs or sleeves that suit both', hours: 0.5, skills: ['mechanic'], reversible: true },
}
const CAPTIVE: Limit = { id: 'captive', label: 'One mount is captive', unit: '' }
const strap: Outcome = {
  code: WORK,
  words: 'Nothing holds the engine if a rubber tears',
  task: {
    id: 'captive-mount',
    words: 'Fit a captive mount or a strap on the side that lifts under torque',
    hours: 1.5,
    skills: ['mechanic'],
    reversible: true,
    caution: 'An engine that lifts off a torn mount can hold the throttle open and foul the steering.',
  },
}

/** Joint 19: the engine on its mounts. Along it decides where the driveline is kept; set back, the engine sits on the mounts. No damage limits. */
export const engineMounts: Joint = {
  id: 'engine-mounts',
  number: 19,
  short: 'Mounts',
  title: 'Engine mounts to chassis',
  place: 'vehicle',
  decides: 'Pads against mounts along, across, in height and lean; studs; whether one is captive under torque.',
  applies: (_a, b) => isNamed(b.chassisPads),
  check(a, b, ctx, sheet) {
    const pads = a.enginePads
    const mounts = b.chassisPads
    const { mountMm, leanDeg } = ctx.tolerances
    if (ctx.placement !== 'set-back') {
      sheet.term(1, pads.alongMm)
      chassisOrigin(-1, a, b, ctx, sheet)
      sheet.within(ALONG, -mountMm, mountMm)
    }
    sheet.term(1, pads.spreadMm)
    sheet.term(-1, mounts.spreadMm)
    sheet.within(ACROSS, -mountMm, mountMm)

    sheet.term(1, pads.belowMm)
    sheet.term(-1, mounts.crankAboveMm)
    sheet.within(HEIGHT, -ctx.tolerances.crankHeightMm, ctx.tolerances.crankHeightMm)

    sheet.term(1, pads.angleDeg)
    sheet.term(-1, mounts.angleDeg)
    sheet.within(LEAN, -leanDeg, leanDeg)

    sheet.uses(pads.thread)
    sheet.uses(mounts.thread)
    sheet.require(THREAD, sheet.allKnown && threadKey(pads.thread.v!) === threadKey(mounts.thread.v!), studs)

    sheet.uses(mounts.captive)
    sheet.require(CAPTIVE, mounts.captive.v === true, strap)
  },
}
