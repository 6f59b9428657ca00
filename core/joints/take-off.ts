import type { Joint } from './joint.ts'
import { BRIDGE, CLASH, type Limit, type Outcome } from './verdict.ts'

const unit = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['take-off'] })
const OPENING: Limit = { id: 'take-off-opening', label: 'Unit is made for the opening', unit: '' }
const SIDE: Limit = { id: 'take-off-side', label: 'Opening is on the side it must be', unit: '' }
const wrongSide: Outcome = { code: CLASH, words: 'The gearbox has no opening on that side' }
const MODULE: Limit = { id: 'take-off-module', label: 'Gears are of one module', unit: 'mm', below: unit('Gears do not mesh'), above: unit('Gears do not mesh') }
const TURNS: Limit = { id: 'take-off-turns', label: 'Gear turns as the unit wants', unit: '' }
const ROOM: Limit = { id: 'take-off-room', label: 'Room beside the unit', unit: 'mm', below: unit('Something stands where the unit sits: a shorter or angled one') }

/** Joint 15: power take-off on its opening. Judged only where a unit is named. No damage limits. */
export const takeOff: Joint = {
  id: 'take-off',
  number: 15,
  short: 'Take-off',
  title: 'Power take-off opening',
  place: 'vehicle',
  decides: 'Opening family, side, module and rotation of the gear, room beside it.',
  applies: (_a, b) => b.takeOff.present,
  check(_a, b, { tolerances }, sheet) {
    const { takeOff: wanted, takeOffOpening: opening } = b
    sheet.uses(opening.family)
    sheet.uses(wanted.family)
    sheet.require(OPENING, opening.family.v === wanted.family.v, unit('The unit does not fit this opening: one of its family, or a plate between'))
    sheet.uses(opening.side)
    sheet.uses(wanted.side)
    sheet.require(SIDE, opening.side.v === wanted.side.v, wrongSide)
    sheet.term(1, opening.moduleMm)
    sheet.term(-1, wanted.moduleMm)
    sheet.within(MODULE, -tolerances.moduleMm, tolerances.moduleMm)
    sheet.uses(opening.turns)
    sheet.uses(wanted.turns)
    sheet.require(TURNS, opening.turns.v === wanted.turns.v, unit('It would turn backward: a unit with one more gear'))
    sheet.term(1, wanted.roomMm)
    sheet.term(-1, wanted.reachMm)
    sheet.within(ROOM, tolerances.takeOffClearMm, Infinity)
    sheet.caution('A turning take-off shaft takes a sleeve and an arm with it: guard it, engine off and key out before a hand goes near.')
  },
}
