import { all, is, no, yes } from '../condition.ts'
import { ENGINE_IN } from './conditions.ts'
import { again, given, part, service, task } from './row.ts'

export const AIR_CONDITIONING_LINES = [
  ...given(all(ENGINE_IN, yes('keep.air')), [
    service('refrigerant-recovered', 'Refrigerant recovered', 'front', 'before', [50, 90, 180], [0.1, 0.2, 0.55], 'By a licensed technician, before a pipe is opened', { caution: ['refrigerant'] }),
    part('compressor', 'Compressor', 'front', 'mating', [60, 180, 480], [0.2, 0.4, 0.8], 'The engine carries one, or none', { comes: ['engine'], caution: ['refrigerant'] }),
    part('compressor-mount', 'Compressor bracket', 'front', 'mock-up', [50, 150, 380], [0.8, 1.6, 3.6], 'The compressor must sit in the plane of the belt', { only: no('engine.compressor') }),
    part('refrigerant-hose', 'Refrigerant hoses and ends', 'front', 'final fit', [70, 170, 380], [0.4, 0.8, 1.6], 'Hose ends follow the compressor', { waits: 'mock-up', caution: ['refrigerant'] }),
    part('dryer-and-rings', 'Dryer and rings', 'front', 'final fit', [20, 50, 120], [0.1, 0.25, 0.5], 'An opened system takes in water', { renew: 'always', caution: ['refrigerant'] }),
    part('condenser-and-fan', 'Condenser and fan', 'radiator', 'final fit', [50, 140, 360], [0.3, 0.6, 1.6], 'It stands before the radiator, whichever that is now', { comes: ['recipient', 'vehicle'], caution: ['refrigerant'] }),
    part('compressor-relay-request-pressure-switch', 'Compressor relay, request, pressure switch', 'wiring', 'wiring', [20, 60, 160], [0.3, 0.8, 2], 'The computer must know of the load'),
    service('filled-and-leak-tested', 'Filled and leak-tested', 'front', 'after', [60, 120, 240], [0.15, 0.3, 0.55], 'By a licensed technician', { caution: ['refrigerant'] }),
  ]),
  ...given(all(ENGINE_IN, no('keep.air'), yes('vehicle.air')), [
    again('refrigerant-recovered', 'By a licensed technician, before a pipe is opened'),
    task('condenser-pipes-and-switch-taken-out-ends-capped', 'Condenser, pipes and switch taken out, ends capped', 'radiator', 'stripping', [0, 3, 15], [0.2, 0.45, 1.1], 'Nothing cools any more', { caution: ['refrigerant'] }),
  ]),
  ...given(all(ENGINE_IN, yes('keep.air'), is('joint.hose-end-air', 'work', 'bridge')), [
    part('hose-ends-matched-to-the-compressor', 'Hose ends matched to the compressor', 'front', 'final fit', [10, 35, 110], [0.1, 0.2, 0.6], 'They do not meet', { caution: ['refrigerant'] }),
  ]),
]
