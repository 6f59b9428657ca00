import { all, has, is, no } from '../condition.ts'
import { AUTOMATIC, GEARBOX_RESEALED } from './conditions.ts'
import { blocker, given, part, task } from './row.ts'

export const CONVERTER_AND_COOLER_LINES = [
  ...given(AUTOMATIC, [
    part('converter', 'Torque converter', 'coupling', 'mating', [120, 300, 700], [0.1, 0.25, 0.6], 'An automatic is driven through one', { comes: ['gearbox'] }),
    part('converter-bolts', 'Converter bolts', 'coupling', 'mating', [8, 20, 50], [0.1, 0.15, 0.3], 'They hold at the flexplate', { renew: 'always' }),
    part('pump-and-hub-seal', 'Pump and hub seal', 'coupling', 'mating', [8, 20, 60], [0.1, 0.1, 0.3], 'It is in reach now', { renew: 'always' }),
    task('pull-up-from-two-depths', 'Pull-up from two depths', 'coupling', 'mating', [0, 0, 0], [0.1, 0.2, 0.55], 'A case drawn up with its bolts breaks the pump'),
    part('gearbox-cooler', 'Gearbox cooler', 'radiator', 'final fit', [40, 100, 250], [0.3, 0.6, 1.2], 'An automatic is cooled, and its radiator stayed elsewhere', { comes: ['gearbox'] }),
    part('cooler-line', 'Cooler pipes', 'gearbox', 'final fit', [15, 40, 90], [0.2, 0.35, 0.6], 'Their run shows at mock-up', { waits: 'mock-up', quantity: 2 }),
    task('cooler-and-pipes-flushed', 'Cooler and pipes flushed', 'gearbox', 'final fit', [0, 10, 40], [0.15, 0.4, 0.8], 'What the old one shed goes into the new'),
    part('filler-tube-and-dipstick', 'Filler tube and dipstick of the automatic', 'gearbox', 'final fit', [10, 30, 90], [0.1, 0.15, 0.6], 'Without it nobody can fill or read', { comes: ['gearbox'] }),
    part('gearbox-filter-and-pan-gasket', 'Gearbox filter and pan gasket', 'gearbox', 'before', [20, 45, 110], [0.2, 0.3, 0.6], 'It is dry and upside down now', { only: GEARBOX_RESEALED, renew: 'always' }),
    part('vent-hose-and-case-plug-seal', 'Vent hose and case plug seal', 'gearbox', 'final fit', [4, 12, 40], [0.05, 0.1, 0.3], 'Fluid leaves through what is left open', { renew: 'always' }),
  ]),
  ...given(all(AUTOMATIC, is('joint.converter', 'work')), [part('pad-shims', 'Pad shims', 'coupling', 'mating', [3, 10, 35], [0.1, 0.15, 0.4], 'The pull-up is too great')]),
  ...given(all(AUTOMATIC, is('joint.converter', 'bridge')), [part('hub-ring', 'Hub ring', 'coupling', 'mating', [15, 50, 140], [0.1, 0.15, 0.6], 'Hub and crank bore differ')]),
  ...given(all(AUTOMATIC, is('build.use', 'towing', 'track', 'trail', 'work')), [
    part('extra-gearbox-cooler', 'Extra gearbox cooler', 'radiator', 'final fit', [60, 140, 320], [0.4, 0.8, 1.6], 'Its work heats the fluid', { level: 'wanted' }),
  ]),
  ...given(all(AUTOMATIC, is('gearbox.control', 'cable')), [
    part('kickdown-cable-and-bracket', 'Kickdown cable and bracket', 'gearbox', 'final fit', [20, 70, 220], [0.2, 0.6, 1.6], 'It tells the gearbox the load; ends and bracket are this engine’s', { waits: 'mock-up' }),
  ]),
  ...given(all(AUTOMATIC, is('gearbox.control', 'vacuum')), [part('modulator-pipe', 'Modulator pipe', 'gearbox', 'final fit', [5, 15, 50], [0.1, 0.25, 0.6], 'Vacuum tells the gearbox the load')]),
  ...given(all(AUTOMATIC, is('gearbox.control', 'electronic')), [
    part('gearbox-computer-and-loom', 'Gearbox computer and loom', 'wiring', 'wiring', [80, 280, 800], [0.6, 1.6, 4], 'It is shifted by a computer', { comes: ['gearbox'] }),
    task('place-for-the-gearbox-computer-its-grommet', 'Place for the gearbox computer, its grommet', 'cab', 'wiring', [0, 5, 20], [0.15, 0.4, 0.8], 'Dry, cool and reached by its loom'),
    part('range-and-speed-sensors-of-the-case', 'Range and speed sensors of the case', 'gearbox', 'wiring', [25, 80, 220], [0.1, 0.25, 0.6], 'Its computer sees by them', { comes: ['gearbox'] }),
  ]),
  ...given(all(AUTOMATIC, is('gearbox.control', 'cable', 'vacuum')), [
    task('load-signal-set-line-pressure-read-before-driving', 'Load signal set, line pressure read before driving', 'gearbox', 'first fire', [0, 0, 0], [0.4, 0.8, 2.2], 'A wrong signal burns its clutches in an hour'),
  ]),
  ...given(all(AUTOMATIC, no('gearbox.load')), [
    blocker('no-load-signal', 'No load signal', 'gearbox', 'before', [0, 0, 0], [0, 0, 0], 'Nothing of this engine tells the gearbox its load', { cured: ['load-bracket', 'load-controller'] }),
    part('load-bracket', 'Load bracket', 'gearbox', 'final fit', [30, 90, 250], [0.4, 1, 2.4], 'Chosen: a bracket and lever make the signal', { only: is('choice.load', 'bracket'), part: 'load-controller' }),
    part('load-controller', 'Stand-alone gearbox controller', 'wiring', 'wiring', [250, 550, 1100], [0.8, 2, 4], 'Chosen: a controller makes the signal', { only: is('choice.load', 'controller') }),
  ]),
  ...given(all(AUTOMATIC, is('gearbox.control', 'electronic'), is('engine.electronics', 'none')), [
    part('throttle-sensor-and-engine-speed-for-the-gearbox-computer', 'Throttle sensor and engine speed for the gearbox computer', 'wiring', 'wiring', [40, 120, 300], [0.4, 1.2, 2.8], 'The engine has no computer that would tell it'),
  ]),
  ...given(has('extra-gearbox-cooler'), [
    part('place-in-the-air-hoses-by-pass-when-cold', 'Extra cooler: place in the air, hoses, by-pass when cold', 'radiator', 'final fit', [20, 60, 150], [0.2, 0.4, 1], 'A cooler in still air cools nothing', { waits: 'mock-up' }),
  ]),
]
