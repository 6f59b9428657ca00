import { all, is, no, yes } from '../condition.ts'
import { AUTOMATIC, GEARBOX_IN, LENGTHWISE_SHAFT, MANUAL, SIDE_SHAFTS, TRAIN_MOVES } from './conditions.ts'
import { given, part, task } from './row.ts'

export const SHIFT_LINES = [
  ...given(all(MANUAL, GEARBOX_IN), [part('lever-boot-and-bushes', 'Lever, boot and bushes', 'cab', 'final fit', [15, 45, 130], [0.15, 0.3, 0.6], 'The lever stayed in the other tunnel', { comes: ['gearbox'] })]),
  ...given(all(GEARBOX_IN, is('gearbox.shift', 'rods')), [part('shift-rods', 'Shift rods', 'gearbox', 'final fit', [20, 60, 180], [0.3, 0.6, 1.6], 'Rods are of one length', { waits: 'mock-up' })]),
  ...given(all(GEARBOX_IN, is('gearbox.shift', 'cables')), [
    part('shift-cables-and-shifter', 'Shift cables and shifter', 'gearbox', 'final fit', [50, 140, 380], [0.4, 1, 2.4], 'Cables are of one length', { comes: ['vehicle'], waits: 'mock-up' }),
  ]),
  ...given(all(GEARBOX_IN, MANUAL, is('vehicle.layout', 'mid', 'rear')), [task('gate-turned-round', 'Gate turned round', 'gearbox', 'mock-up', [0, 20, 120], [0.4, 1.1, 3.3], 'The lever stands before the gearbox')]),
  ...given(all(TRAIN_MOVES, is('joint.lever', 'work', 'bridge')), [
    part('lever-linkage', 'Lever moved or bent', 'tunnel', 'mock-up', [20, 80, 350], [0.4, 1.2, 3.2], 'It comes up elsewhere', { only: is('choice.lever', 'bend'), waits: 'mock-up' }),
    task('lever-opening-cut-and-closed', 'Lever opening cut and closed', 'tunnel', 'mock-up', [5, 25, 90], [0.8, 1.65, 3.85], 'It comes up elsewhere, and cutting was chosen', {
      only: all(is('choice.lever', 'cut'), no('build.uncut')),
      caution: ['cutting'],
      work: ['cut'],
    }),
  ]),
  ...given(all(AUTOMATIC, GEARBOX_IN), [
    part('selector-lever-and-cable', 'Selector lever and cable', 'cab', 'final fit', [40, 130, 350], [0.4, 1, 2.4], 'An automatic is chosen by a lever', { comes: ['vehicle'], waits: 'mock-up' }),
    part('park-and-neutral-switch', 'Park and neutral switch', 'gearbox', 'wiring', [15, 50, 140], [0.1, 0.2, 0.6], 'It must not start in gear', { comes: ['gearbox'], caution: ['interlock'] }),
    part('range-indicator', 'Range indicator', 'cab', 'wiring', [10, 50, 200], [0.2, 0.6, 1.6], 'The driver must see which range is in', { only: yes('keep.range'), comes: ['recipient', 'vehicle'] }),
    task('detents-felt-against-lever-and-switch', 'Detents felt against lever and switch', 'gearbox', 'final fit', [0, 0, 0], [0.1, 0.2, 0.55], 'Park must be park'),
    part('start-interlock-through-a-relay', 'Start interlock through a relay', 'wiring', 'wiring', [8, 20, 50], [0.15, 0.3, 0.8], 'The starter’s current must not pass the switch', { caution: ['interlock'] }),
  ]),
  ...given(all(AUTOMATIC, is('vehicle.box', 'manual')), [part('clutch-pedal-out-wide-brake-pedal', 'Clutch pedal out, wide brake pedal', 'cab', 'final fit', [20, 60, 180], [0.3, 0.6, 1.6], 'It was a manual')]),
  ...given(all(GEARBOX_IN, SIDE_SHAFTS), [part('side-brackets-of-the-gearbox', 'Side brackets of the gearbox', 'gearbox', 'final fit', [15, 45, 140], [0.15, 0.3, 0.8], 'A transaxle hangs by them', { comes: ['gearbox'] })]),
  ...given(all(GEARBOX_IN, SIDE_SHAFTS, is('gearbox.shift', 'cables')), [
    part('selector-levers-counterweight', 'Selector levers, counterweight', 'gearbox', 'final fit', [10, 35, 110], [0.1, 0.25, 0.6], 'Cables pull on these', { comes: ['gearbox'] }),
    part('cable-stays-and-clips', 'Cable stays and clips', 'gearbox', 'final fit', [8, 25, 70], [0.1, 0.2, 0.6], 'A cable without its stay moves nothing', { comes: ['gearbox'], waits: 'mock-up' }),
    task('shifter-base-fitted-to-the-floor', 'Shifter base fitted to the floor', 'cab', 'mock-up', [0, 15, 50], [0.4, 0.8, 2.2], 'The floor was made for another'),
  ]),
  ...given(all(GEARBOX_IN, SIDE_SHAFTS, is('gearbox.shift', 'rods')), [
    part('bell-cranks-relay-lever-bushes', 'Bell cranks, relay lever, bushes', 'gearbox', 'final fit', [15, 50, 150], [0.2, 0.4, 1], 'Rods turn corners by them', { comes: ['recipient', 'vehicle'] }),
  ]),
  ...given(all(GEARBOX_IN, LENGTHWISE_SHAFT, is('gearbox.shift', 'direct')), [
    part('lever-plate-seal-and-boot-over-the-opening', 'Lever plate, seal and boot over the opening', 'tunnel', 'final fit', [10, 30, 90], [0.15, 0.3, 0.8], 'Heat and fumes come up where the lever does', {
      comes: ['recipient', 'vehicle'],
    }),
  ]),
  ...given(all(GEARBOX_IN, is('joint.cable-end', 'work', 'bridge')), [part('cable-ends-or-lever-pins-matched', 'Cable ends or lever pins matched', 'gearbox', 'final fit', [5, 20, 70], [0.1, 0.3, 0.8], 'They do not meet')]),
  ...given(all(AUTOMATIC, GEARBOX_IN, is('vehicle.box', 'manual')), [
    part('console-or-column-for-the-selector', 'Console or column for the selector', 'cab', 'final fit', [25, 90, 280], [0.4, 0.8, 2.4], 'It was a manual', { comes: ['vehicle'] }),
  ]),
]
