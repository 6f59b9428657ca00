import { all, is, no, yes } from '../condition.ts'
import { MANUAL } from './conditions.ts'
import { given, part, service } from './row.ts'

export const PILOT_LINES = [
  ...given(all(MANUAL, yes('gearbox.nose')), [part('pilot', 'Pilot bearing or bush', 'crank', 'mating', [5, 18, 45], [0.1, 0.2, 0.4], 'It is in reach now; an automatic crank has none', { renew: 'always' })]),
  ...given(all(MANUAL, yes('gearbox.nose'), no('engine.pilot-bored')), [
    service('crank-end-bored', 'Crank end bored', 'crank', 'before', [80, 200, 450], [0.3, 0.55, 1.65], 'The bore is not finished, and boring was chosen', { only: is('choice.pilot', 'bore') }),
    part('pilot-carrier-in-the-wheel', 'Pilot carrier in the wheel', 'crank', 'mating', [30, 90, 220], [0.1, 0.3, 0.8], 'The bore is not finished, and a carrier in the wheel was chosen', {
      only: is('choice.pilot', 'carrier'),
      part: 'pilot',
    }),
  ]),
  ...given(all(MANUAL, is('joint.pilot', 'bridge')), [part('pilot-sleeve', 'Pilot sleeve', 'crank', 'mating', [10, 30, 90], [0.1, 0.15, 0.6], 'Shaft nose and bore differ', { part: 'pilot' })]),
]
