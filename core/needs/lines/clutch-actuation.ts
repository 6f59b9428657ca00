import { all, any, is } from '../condition.ts'
import { AUTOMATIC, HYDRAULIC_CLUTCH, MANUAL, SIDE_SHAFTS } from './conditions.ts'
import { given, part, task } from './row.ts'

export const CLUTCH_ACTUATION_LINES = [
  ...given(all(MANUAL, is('vehicle.clutch', 'hydraulic', 'none'), is('gearbox.release', 'fork')), [
    part('slave-cylinder-and-bracket', 'Slave cylinder and bracket', 'coupling', 'final fit', [25, 70, 200], [0.2, 0.4, 1.2], 'It pushes the fork', { comes: ['gearbox'], part: 'clutch-hydraulics' }),
  ]),
  ...given(HYDRAULIC_CLUTCH, [
    part('clutch-pipe-hose-and-ends', 'Clutch pipe, hose and ends', 'coupling', 'final fit', [15, 50, 120], [0.2, 0.4, 0.8], 'Thread and seat of the slave are seldom those of the pipe', { waits: 'mock-up', part: 'clutch-line-end' }),
    part('clutch-fluid', 'Clutch fluid', 'coupling', 'final fit', [5, 10, 20], [0.1, 0.15, 0.4], 'The pipe is opened', { renew: 'twice' }),
  ]),
  ...given(all(HYDRAULIC_CLUTCH, is('vehicle.clutch', 'cable', 'rod', 'none')), [
    part('clutch-master-and-reservoir', 'Clutch master and reservoir', 'cab', 'final fit', [40, 110, 300], [0.3, 0.6, 1.6], 'The pedal never moved oil', { part: 'clutch-hydraulics' }),
    task('wall-drilled-plated-and-sealed-for-the-master', 'Wall drilled, plated and sealed for the master', 'cab', 'final fit', [5, 15, 50], [0.4, 0.8, 2.2], 'A master pushes on thin sheet'),
  ]),
  ...given(all(MANUAL, is('vehicle.clutch', 'cable'), is('gearbox.release', 'fork')), [
    part('clutch-cable-and-stop', 'Clutch cable and stop', 'coupling', 'final fit', [15, 45, 140], [0.15, 0.4, 1.2], 'A cable moves the fork, and it ends elsewhere', { waits: 'mock-up' }),
  ]),
  ...given(all(MANUAL, is('vehicle.clutch', 'rod'), is('gearbox.release', 'fork')), [
    part('clutch-rod-and-cross-shaft', 'Clutch rod and cross shaft', 'coupling', 'final fit', [20, 70, 200], [0.3, 0.8, 2], 'A rod moves the fork, and engine or case moved', { waits: 'mock-up' }),
  ]),
  ...given(all(MANUAL, is('vehicle.box', 'automatic')), [
    part('clutch-pedal-narrow-brake-pedal', 'Clutch pedal, narrow brake pedal', 'cab', 'final fit', [30, 90, 260], [0.4, 1, 2.4], 'It was an automatic'),
    task('old-cooler-pipes-and-a-shift-lock-if-it-had-one-taken-out', 'Old cooler pipes, and a shift lock if it had one, taken out', 'gearbox', 'stripping', [0, 0, 0], [0.15, 0.4, 0.8], 'The automatic leaves'),
    part('pedal-bushes-stop-and-clutch-switch', 'Pedal bushes, stop and clutch switch', 'cab', 'final fit', [10, 30, 80], [0.1, 0.3, 0.6], 'Small, and the pedal is no pedal without'),
  ]),
  ...given(all(HYDRAULIC_CLUTCH, is('joint.release', 'bridge', 'work')), [
    part('master-or-slave-of-other-bore', 'Master or slave of other bore', 'coupling', 'final fit', [30, 80, 200], [0.1, 0.3, 0.8], 'Stroke and volume do not match the bearing’s travel', { part: 'clutch-hydraulics' }),
  ]),
  ...given(all(HYDRAULIC_CLUTCH, SIDE_SHAFTS), [
    part('clutch-pipe-clipped-clear-of-shafts', 'Clutch pipe clipped clear of shafts', 'coupling', 'final fit', [0, 5, 20], [0.1, 0.15, 0.4], 'Shafts move with the wheels', { waits: 'mock-up' }),
    part('long-clutch-pipe-bled-at-its-high-point', 'Long clutch pipe, bled at its high point', 'tunnel', 'final fit', [20, 60, 160], [0.3, 0.6, 1.6], 'The pedal is at the other end', {
      only: is('vehicle.layout', 'mid', 'rear'),
      comes: ['recipient'],
      waits: 'mock-up',
    }),
  ]),
  ...given(all(AUTOMATIC, is('vehicle.clutch', 'hydraulic'), is('vehicle.box', 'manual')), [
    task('clutch-master-and-pipe-taken-out-hole-closed', 'Clutch master and pipe taken out, hole closed', 'cab', 'stripping', [0, 3, 15], [0.15, 0.35, 0.8], 'There is no clutch any more'),
  ]),
  ...given(all(is('vehicle.clutch', 'cable', 'rod'), any(HYDRAULIC_CLUTCH, all(AUTOMATIC, is('vehicle.box', 'manual')))), [
    task('clutch-cable-or-rod-taken-out-hole-closed', 'Clutch cable or rod taken out, hole closed', 'cab', 'stripping', [0, 3, 15], [0.1, 0.2, 0.55], 'Nothing pulls there any more'),
  ]),
  ...given(all(HYDRAULIC_CLUTCH, is('joint.hose-end-clutch', 'work', 'bridge')), [part('union-between-clutch-pipes', 'Union between clutch pipes', 'coupling', 'final fit', [3, 10, 35], [0.05, 0.1, 0.4], 'Two pipes end differently')]),
]
