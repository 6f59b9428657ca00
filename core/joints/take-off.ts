import { BRIDGE, CLASH } from './code.ts'
import type { Joint } from './joint.ts'
import { formula, minus, plus } from './judging/declaration.ts'
import { b } from './judging/read.ts'
import type { Outcome } from './verdict.ts'

const unit = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['take-off'] })
const wanted = b.takeOff
const opening = b.takeOffOpening

/** Joint 15: power take-off on its opening. Judged only where a unit is named. No damage limits. */
export const takeOff: Joint = {
  id: 'take-off',
  number: 15,
  short: 'Take-off',
  title: 'Power take-off opening',
  place: 'vehicle',
  meets: 'whole',
  strip: 'transfer case',
  drawing: null,
  decides: 'Opening family, side, module and rotation of the gear, room beside it.',
  applies: formula({ isThere: wanted.present }, ({ isThere }) => isThere),
  limits: [
    {
      id: 'take-off-opening',
      label: 'Unit is made for the opening',
      unit: '',
      holds: formula({ opening: opening.family, unit: wanted.family }, (x) => x.opening === x.unit),
      otherwise: unit('The unit does not fit this opening: one of its family, or a plate between'),
    },
    {
      id: 'take-off-side',
      label: 'Opening is on the side it must be',
      unit: '',
      holds: formula({ opening: opening.side, unit: wanted.side }, (x) => x.opening === x.unit),
      otherwise: { code: CLASH, words: 'The gearbox has no opening on that side' },
    },
    {
      id: 'take-off-module',
      label: 'Gears are of one module',
      unit: 'mm',
      terms: [plus(opening.moduleMm), minus(wanted.moduleMm)],
      window: ['-moduleMm', 'moduleMm'],
      below: unit('Gears do not mesh'),
      above: unit('Gears do not mesh'),
    },
    {
      id: 'take-off-turns',
      label: 'Gear turns as the unit wants',
      unit: '',
      holds: formula({ opening: opening.turns, unit: wanted.turns }, (x) => x.opening === x.unit),
      otherwise: unit('It would turn backward: a unit with one more gear'),
    },
    {
      id: 'take-off-room',
      label: 'Room beside the unit',
      unit: 'mm',
      terms: [plus(wanted.roomMm), minus(wanted.reachMm)],
      window: ['takeOffClearMm', Infinity],
      below: unit('Something stands where the unit sits: a shorter or angled one'),
    },
  ],
  cautions: [
    {
      words:
        'A turning take-off shaft takes a sleeve and an arm with it: guard it, engine off and key out before a hand goes near.',
    },
  ],
  cures: { 'take-off': 'elsewhere' },
}
