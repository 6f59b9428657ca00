import { all, any, is, no, yes } from '../condition.ts'
import { AUTOMATIC, COMPUTER, MANUAL, RESEALED, TRAIN_APART } from './conditions.ts'
import { given, part, service, task } from './row.ts'

export const CRANK_AND_WHEEL_LINES = [
  ...given(all(MANUAL, no('engine.dual-mass')), [
    part('flywheel', 'Flywheel', 'crank', 'mating', [60, 180, 450], [0.2, 0.3, 0.8], 'A manual gearbox has one', { comes: ['engine'], caution: ['rotating'] }),
    service('flywheel-faced', 'Flywheel faced', 'crank', 'mating', [30, 60, 120], [0.15, 0.3, 0.55], 'A new disc on an old face judders', { only: RESEALED }),
  ]),
  ...given(AUTOMATIC, [part('flexplate', 'Flexplate', 'crank', 'mating', [50, 110, 250], [0.2, 0.3, 0.6], 'An automatic is driven by one', { comes: ['engine'], caution: ['rotating'] })]),
  ...given(TRAIN_APART, [
    part('flange-bolt', 'Flange bolts', 'crank', 'mating', [15, 35, 70], [0.1, 0.15, 0.3], 'They are stretched once', { renew: 'always', caution: ['rotating'] }),
    task('wheel-index-marked-looked-over-for-cracks', 'Wheel index-marked, looked over for cracks', 'crank', 'stripping', [0, 0, 0], [0.1, 0.15, 0.4], 'Some are balanced with their crank; a cracked one kills', { caution: ['rotating'] }),
  ]),
  ...given(all(MANUAL, yes('engine.dual-mass')), [
    part('solid-wheel-and-damped-disc', 'Solid wheel and damped disc', 'crank', 'mating', [150, 320, 700], [0.1, 0.2, 0.4], 'A solid wheel in place of a two-part one: cheaper, louder', {
      only: is('choice.wheel', 'solid'),
      part: 'flywheel',
      caution: ['rotating'],
    }),
    part('dual-mass-wheel', 'Dual-mass wheel', 'crank', 'mating', [250, 480, 950], [0.2, 0.3, 0.6], 'A two-part wheel, as it was born: quiet, dear', { only: is('choice.wheel', 'dual-mass'), part: 'flywheel', caution: ['rotating'] }),
  ]),
  ...given(is('joint.crank-flange', 'bridge'), [
    part('flange-adapter-or-re-drilled-wheel', 'Flange adapter or re-drilled wheel', 'crank', 'mating', [120, 280, 600], [0.2, 0.4, 1.2], 'Wheel and crank do not meet', { part: 'flywheel', caution: ['rotating'] }),
  ]),
  ...given(is('joint.crank-flange', 'work'), [
    service('wheel-balanced-bolts-of-other-length', 'Wheel balanced, bolts of other length', 'crank', 'mating', [40, 90, 200], [0.15, 0.3, 0.8], 'Wheel and crank meet only with this', { caution: ['rotating'] }),
  ]),
  ...given(is('joint.depth', 'bridge'), [part('spacer', 'Crank spacer and its bolts', 'crank', 'mating', [60, 140, 250], [0.2, 0.3, 0.6], 'The wheel must stand where the gearbox expects it', { caution: ['rotating'] })]),
  ...given(all(TRAIN_APART, no('engine.crank-sensor')), [part('trigger-ring', 'Trigger ring and sensor bracket', 'crank', 'mating', [40, 110, 220], [0.4, 0.8, 2], 'A sensor finds no teeth')]),
  ...given(all(TRAIN_APART, COMPUTER, yes('engine.crank-sensor')), [
    task('sensor-gap-at-the-wheel-measured', 'Sensor gap at the wheel measured', 'crank', 'mating', [0, 0, 0], [0.1, 0.15, 0.45], 'A tenth too far and it will not start hot'),
  ]),
  ...given(all(MANUAL, any(is('donor.box', 'automatic', 'none'), is('donor.kind', 'bare'))), [
    task('wheel-bolts-length-register-and-cover-dowels-compared', 'Length of wheel bolts, register and cover dowels compared', 'crank', 'mating', [0, 0, 0], [0.15, 0.3, 0.55], 'A wheel from elsewhere goes on this crank'),
  ]),
]
