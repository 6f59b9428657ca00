import { all, has, is, no } from '../condition.ts'
import { COMPUTER, GEARBOX_IN, SPEEDOMETER, TRAIN_APART } from './conditions.ts'
import { again, given, part, service, task } from './row.ts'

export const SPEEDOMETER_LINES = [
  ...given(all(SPEEDOMETER, is('vehicle.speedo', 'cable'), is('gearbox.speedo', 'cable')), [
    part('speedometer-pinion-and-cable', 'Speedometer pinion and cable', 'gearbox', 'final fit', [15, 45, 130], [0.1, 0.25, 0.6], 'Its teeth make the reading', { waits: 'mock-up', part: 'speedometer' }),
  ]),
  ...given(all(SPEEDOMETER, is('vehicle.speedo', 'cable'), is('gearbox.speedo', 'pulse', 'none')), [
    part('cable-motor-or-new-speedometer', 'Cable motor or new speedometer', 'cab', 'wiring', [80, 190, 380], [0.4, 0.8, 2], 'The speedometer wants a cable, and the gearbox turns none', { part: 'speed-converter' }),
  ]),
  ...given(all(SPEEDOMETER, is('vehicle.speedo', 'pulse', 'bus'), is('gearbox.speedo', 'cable')), [
    part('pulse-sender', 'Pulse sender', 'gearbox', 'wiring', [25, 70, 180], [0.15, 0.3, 0.8], 'The speedometer wants pulses, and the gearbox turns a cable', { part: 'speed-converter' }),
  ]),
  ...given(all(SPEEDOMETER, is('vehicle.speedo', 'pulse', 'bus'), is('gearbox.speedo', 'none')), [
    part('wheel-or-flange-sender', 'Wheel or flange sender', 'shafts', 'wiring', [40, 110, 260], [0.4, 1, 2.4], 'The speedometer wants pulses, and the gearbox gives nothing', { part: 'speed-converter' }),
  ]),
  ...given(SPEEDOMETER, [task('speed-proved-odometer-noted', 'Speed proved, odometer noted', 'cab', 'shakedown', [0, 0, 0], [0.2, 0.4, 0.8], 'Papers and law want it true')]),
  ...given(all(TRAIN_APART, COMPUTER, is('gearbox.speedo', 'cable', 'none')), [part('road-speed-for-the-computer', 'Road speed for the computer', 'wiring', 'wiring', [20, 70, 180], [0.3, 0.6, 1.6], 'The computer stalls or limps without')]),
  ...given(all(GEARBOX_IN, no('keep.speedometer'), is('gearbox.speedo', 'cable')), [part('speed-drive-opening-plugged', 'Speed drive opening plugged', 'gearbox', 'final fit', [3, 10, 30], [0.05, 0.1, 0.2], 'Oil leaves there')]),
  ...given(all(SPEEDOMETER, is('gearbox.speedo', 'cable')), [part('drive-gear-sleeve-and-clip', 'Drive gear, sleeve and clip', 'gearbox', 'final fit', [10, 30, 90], [0.1, 0.15, 0.4], 'The pinion runs in them', { comes: ['gearbox'] })]),
  ...given(all(SPEEDOMETER, has('axle-gears')), [service('speedometer-corrected', 'Speedometer corrected', 'cab', 'shakedown', [20, 70, 180], [0.3, 0.55, 1.65], 'Another ratio behind it')]),
  ...given(all(SPEEDOMETER, has('other-final-drive')), [again('speedometer-corrected', 'Another ratio behind it', { level: 'wanted' })]),
]
