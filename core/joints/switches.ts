import { whereNamed } from './always.ts'
import { WORK } from './code.ts'
import type { Joint } from './joint.ts'
import { formula } from './judging/declaration.ts'
import { b } from './judging/read.ts'

const has = b.switches
const wants = b.switchWants

/** Joint 22: reverse lamp and starter interlock. Has no damage limits; both are work. */
export const switches: Joint = {
  id: 'switches',
  number: 22,
  short: 'Switches',
  title: 'Reverse and neutral switches',
  place: 'vehicle',
  meets: 'whole',
  strip: 'gearbox',
  drawing: null,
  decides:
    'Reverse lamp switch where the vehicle wants one; a start allowed only in neutral or park, or with the clutch down.',
  applies: whereNamed(wants),
  limits: [
    {
      id: 'reverse-switch',
      label: 'Reverse lamp has its switch',
      unit: '',
      holds: formula(
        { wants: wants.reverse, has: has.reverse },
        (x) => x.wants === false || x.has === true,
      ),
      otherwise: {
        code: WORK,
        words: 'The gearbox has no reverse lamp switch',
        task: {
          id: 'reverse-switch',
          words: 'Fit a reverse lamp switch at the gearbox or its lever, with its wire',
          hours: 1.5,
          skills: ['mechanic'],
          reversible: true,
        },
      },
    },
    {
      id: 'start-interlock',
      label: 'Does not start in gear',
      unit: '',
      // A clutch switch protects a manual only; an automatic needs its own.
      holds: formula(
        { wants: wants.interlock, has: has.interlock, type: b.ratios.type },
        (x) =>
          (x.type === 'manual' && x.wants === 'clutch switch') ||
          x.has === 'neutral or park switch',
      ),
      otherwise: {
        code: WORK,
        words: 'Nothing stops a start in gear',
        task: {
          id: 'start-interlock',
          words:
            'Wire the starter through a relay that closes only in neutral, park, or with the clutch down',
          hours: 2,
          skills: ['mechanic'],
          reversible: true,
          caution:
            'A start in gear drives over whoever stands there: never bridge the interlock, wheels chocked for every first try.',
        },
      },
    },
  ],
  cures: {},
}
