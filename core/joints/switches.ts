import { isNamed } from './chassis.ts'
import type { Joint } from './joint.ts'
import { type Limit, type Outcome, WORK } from './verdict.ts'

const REVERSE: Limit = { id: 'reverse-switch', label: 'Reverse lamp has its switch', unit: '' }
const INTERLOCK: Limit = { id: 'start-interlock', label: 'Does not start in gear', unit: '' }
const reverse: Outcome = {
  code: WORK,
  words: 'The gearbox has no reverse lamp switch',
  task: { id: 'reverse-switch', words: 'Fit a reverse lamp switch at the gearbox or its lever, with its wire', hours: 1.5, skills: ['mechanic'], reversible: true },
}
const interlock: Outcome = {
  code: WORK,
  words: 'Nothing stops a start in gear',
  task: {
    id: 'start-interlock',
    words: 'Wire the starter through a relay that closes only in neutral, park, or with the clutch down',
    hours: 2,
    skills: ['mechanic'],
    reversible: true,
    caution: 'A start in gear drives over whoever stands there: never bridge the interlock, wheels chocked for every first try.',
  },
}

/** Joint 22: reverse lamp and starter interlock. Has no damage limits; both are work. */
export const switches: Joint = {
  id: 'switches',
  number: 22,
  short: 'Switches',
  title: 'Reverse and neutral switches',
  place: 'vehicle',
  decides: 'Reverse lamp switch where the vehicle wants one; a start allowed only in neutral or park, or with the clutch down.',
  applies: (_a, b) => isNamed(b.switchWants),
  check(_a, b, _ctx, sheet) {
    const { switches: has, switchWants: wants } = b
    sheet.uses(wants.reverse)
    sheet.uses(has.reverse)
    sheet.require(REVERSE, wants.reverse.v === false || has.reverse.v === true, reverse)
    sheet.uses(wants.interlock)
    sheet.uses(has.interlock)
    sheet.uses(b.ratios.type)
    // A clutch switch protects a manual only; an automatic needs its own.
    const byClutch = b.ratios.type.v === 'manual' && wants.interlock.v === 'clutch switch'
    sheet.require(INTERLOCK, byClutch || has.interlock.v === 'neutral or park switch', interlock)
  },
}
