import { all, is, yes } from '../condition.ts'
import { CASTINGS, DIESEL_IN, ENGINE_IN, INJECTED } from './conditions.ts'
import { again, given, part, task } from './row.ts'

export const THROTTLE_LINES = [
  ...given(all(ENGINE_IN, is('vehicle.throttle', 'cable', 'rod'), is('engine.throttle', 'cable')), [
    part('throttle-cable', 'Throttle cable', 'engine top', 'final fit', [12, 35, 110], [0.1, 0.3, 1], 'The old one is of another length', { waits: 'mock-up', part: 'throttle-actuation' }),
    part('throttle-bracket', 'Throttle bracket and second spring', 'engine top', 'final fit', [10, 30, 90], [0.1, 0.3, 0.8], 'The cable needs a stop at the right distance', { comes: ['engine'] }),
  ]),
  ...given(all(ENGINE_IN, is('engine.throttle', 'wire'), is('vehicle.throttle', 'cable', 'rod')), [
    part('pedal-with-sensor', 'Pedal with sensor', 'cab', 'final fit', [30, 90, 250], [0.3, 0.6, 1.6], 'The throttle is a plug, the pedal pulls', { comes: ['vehicle'] }),
    part('pedal-bracket-and-loom', 'Bracket and loom of the pedal', 'cab', 'wiring', [10, 30, 90], [0.2, 0.4, 1.2], 'The bulkhead was made for another pedal', { waits: 'mock-up' }),
    task('pedal-s-place-stop-and-foot-room', 'Place, stop and foot room of the pedal', 'cab', 'mock-up', [0, 5, 25], [0.15, 0.35, 0.8], 'A pedal under a pedal kills'),
    task('old-cable-hole-closed', 'Old cable hole closed', 'cab', 'final fit', [1, 3, 10], [0.05, 0.1, 0.2], 'Fumes come through'),
  ]),
  ...given(all(ENGINE_IN, is('engine.throttle', 'wire'), is('vehicle.throttle', 'wire')), [task('pedal-number-checked', 'Pedal number checked', 'cab', 'before', [0, 0, 0], [0.05, 0.1, 0.3], 'Two that look alike have other resistances')]),
  ...given(all(ENGINE_IN, is('engine.throttle', 'cable'), is('vehicle.throttle', 'wire')), [
    part('cable-pedal', 'Cable pedal', 'cab', 'final fit', [20, 60, 180], [0.3, 0.6, 1.6], 'The throttle is pulled, the pedal is a sensor'),
    again('throttle-cable', 'The old one is of another length'),
    again('throttle-bracket', 'The cable needs a stop at the right distance'),
    task('pedal-sensor-s-circuit-ended-cable-hole-made', 'Circuit of the pedal sensor ended, cable hole made', 'cab', 'final fit', [1, 5, 20], [0.15, 0.35, 0.8], 'The pedal was a sensor'),
  ]),
  ...given(all(DIESEL_IN, is('engine.injection', 'pump')), [
    part('stop-cable-or-solenoid', 'Stop cable or solenoid', 'engine top', 'final fit', [10, 35, 110], [0.1, 0.3, 0.8], 'A diesel does not stop by itself', { comes: ['engine'] }),
    part('governor-linkage', 'Governor linkage', 'engine top', 'final fit', [15, 50, 160], [0.2, 0.5, 1.6], 'Field work runs on the governor', { only: CASTINGS }),
  ]),
  ...given(all(ENGINE_IN, yes('keep.cruise'), is('engine.throttle', 'cable')), [part('cruise-actuator', 'Cruise actuator', 'engine top', 'final fit', [40, 120, 300], [0.4, 1, 2.4], 'A cable throttle is pulled by one')]),
  ...given(all(ENGINE_IN, yes('keep.cruise'), is('engine.throttle', 'wire')), [
    part('cruise-switches-and-coding', 'Cruise switches and coding', 'wiring', 'wiring', [20, 60, 180], [0.2, 0.6, 1.6], 'The computer holds the speed, if it is told to'),
  ]),
  ...given(all(ENGINE_IN, is('engine.throttle', 'cable'), is('joint.cable-end', 'work', 'bridge')), [
    part('cable-end-and-lever-radius-matched', 'Cable end and lever radius matched', 'engine top', 'final fit', [2, 10, 40], [0.1, 0.2, 0.6], 'Travel of pedal and throttle differ'),
  ]),
  ...given(all(INJECTED, is('engine.throttle', 'cable')), [
    part('idle-valve-and-throttle-sensor', 'Idle valve and throttle sensor', 'engine top', 'mating', [20, 60, 180], [0.1, 0.1, 0.3], 'They are bought singly if the engine was bare', { comes: ['engine'] }),
  ]),
]
