import { all, any, has, is, no, yes } from '../condition.ts'
import { ENGINE_IN, GEARBOX_IN, GEARBOX_RESEALED, SIDE_SHAFTS, TRAIN_APART } from './conditions.ts'
import { blocker, given, paper, part, service, task } from './row.ts'

export const GEARBOX_LINES = [
  ...given(GEARBOX_IN, [
    part('transmission', 'Transmission', 'gearbox', 'mating', [200, 650, 1800], [0.6, 1.2, 2.4], 'Another one goes in', { caution: ['lifting'] }),
    task('gears-tried-on-the-bench', 'Gears tried on the bench', 'gearbox', 'before', [0, 0, 0], [0.15, 0.3, 0.55], 'Each gear and each bearing is felt before it goes in'),
    part('reverse-switch-and-plug', 'Reverse switch and plug', 'gearbox', 'wiring', [8, 25, 70], [0.1, 0.1, 0.3], 'Its plug stayed on the other loom', { comes: ['gearbox'] }),
  ]),
  ...given(all(GEARBOX_IN, GEARBOX_RESEALED), [
    part('output-and-selector-seals', 'Output and selector seals', 'gearbox', 'before', [10, 30, 80], [0.2, 0.4, 0.8], 'It is resealed while it lies on the bench', { renew: 'always' }),
    part('drain-fill-and-vent-plugs-rings', 'Drain, fill and vent plugs, rings', 'gearbox', 'before', [4, 12, 35], [0.05, 0.1, 0.2], 'A gearbox without its vent blows its seals', { renew: 'always' }),
  ]),
  ...given(all(TRAIN_APART, GEARBOX_RESEALED), [part('input-seal', 'Input seal', 'gearbox', 'before', [8, 20, 50], [0.2, 0.4, 1.2], 'What leaks here lands on the disc', { renew: 'always' })]),
  ...given(any(all(TRAIN_APART, is('build.box-school', 'rebuild')), all(GEARBOX_IN, any(no('donor.gears'), no('bench.oil'), no('bench.neutral'), no('bench.input-play'), no('bench.splines'), no('bench.silent')))), [
    service('gearbox-rebuilt-or-another', 'Gearbox rebuilt, or another', 'gearbox', 'before', [250, 800, 2200], [0.55, 2.2, 8.8], 'As it is it does not last'),
  ]),
  ...given(all(GEARBOX_IN, no('bench.output-play')), [part('output-bush-and-bearing', 'Output bush and bearing', 'gearbox', 'before', [20, 60, 160], [0.4, 0.8, 2], 'Play at its output')]),
  ...given(all(GEARBOX_IN, no('bench.pattern')), [task('version-settled-by-counting-turns', 'Version settled by counting turns', 'gearbox', 'before', [0, 0, 0], [0.1, 0.2, 0.45], 'The pattern is not that of the one sold')]),
  ...given(all(GEARBOX_IN, no('bench.case-sound')), [blocker('case-cracked', 'The case is cracked', 'gearbox', 'before', [0, 0, 0], [0, 0, 0], 'The bench check found it')]),
  ...given(all(GEARBOX_IN, any(yes('donor.hit-under'), yes('donor.hit-rear'))), [
    task('bell-case-and-output-looked-at-for-cracks', 'Bell, case and output looked at for cracks', 'gearbox', 'before', [0, 0, 0], [0.15, 0.35, 0.8], 'The donor was hit there'),
  ]),
  ...given(is('joint.torque-gearbox', 'clash'), [blocker('gearbox-too-weak', 'The gearbox is too weak', 'gearbox', 'before', [0, 0, 0], [0, 0, 0], 'The torque it gets is above its rating')]),
  ...given(all(SIDE_SHAFTS, is('joint.rotation', 'clash')), [blocker('final-drive-turned-over', 'The final drive must be turned over', 'gearbox', 'before', [0, 0, 0], [0, 0, 0], 'It would drive backward as it is')]),
  ...given(all(GEARBOX_IN, yes('gearbox.fault')), [part('known-gearbox-fault-cured-while-out', 'Known gearbox fault cured while out', 'gearbox', 'before', [40, 180, 600], [0.4, 1.2, 3.2], 'Its year group has one, and it is in reach now')]),
  ...given(all(ENGINE_IN, is('build.box', 'own')), [
    task('kept-gearbox-noise-play-and-leaks-noted-before', 'Kept gearbox: noise, play and leaks noted before', 'gearbox', 'before', [0, 0, 0], [0.1, 0.2, 0.45], 'Afterwards nobody knows what was there before'),
  ]),
  ...given(is('build.box', 'apart'), [
    part('bell-housing-and-its-bolts', 'Bell housing of the gearbox, and its bolts', 'face', 'mating', [60, 160, 420], [0.2, 0.3, 0.6], 'A gearbox bought by itself often comes without', { comes: ['gearbox'], part: 'bellhousing' }),
    task('input-length-spline-and-nose-compared', 'Input length, spline and nose compared', 'coupling', 'before', [0, 0, 0], [0.1, 0.2, 0.45], 'Of one gearbox there are several shafts'),
  ]),
  ...given(has('gearbox-rebuilt-or-another'), [
    paper('noise-ratios-load-told-deposit-days', 'Told to the rebuilder: noise, ratios, load; asked: deposit, days', 'papers', 'before', [0, 0, 0], [0.05, 0.1, 0.25], 'He builds what he is told'),
  ]),
]
