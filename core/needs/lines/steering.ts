import { all, has, is, no, yes } from '../condition.ts'
import { ENGINE_IN, HOT_COLUMN, HYDRAULIC_STEERING } from './conditions.ts'
import { given, part, service, task } from './row.ts'

export const STEERING_LINES = [
  ...given(HYDRAULIC_STEERING, [
    part('assist-hose', 'Assist hoses', 'front', 'final fit', [40, 110, 280], [0.3, 0.6, 1.6], 'Ends of pump and gear differ', { waits: 'mock-up' }),
    part('assist-reservoir', 'Assist reservoir', 'front', 'final fit', [12, 40, 120], [0.1, 0.15, 0.4], 'The pump drinks from one', { comes: ['engine', 'recipient', 'vehicle'] }),
    part('assist-fluid', 'Assist fluid', 'front', 'final fit', [6, 14, 30], [0.1, 0.1, 0.25], 'The hoses are opened', { renew: 'twice' }),
    task('flow-and-pressure-compared-bled', 'Steering: flow and pressure compared, bled', 'front', 'first fire', [0, 0, 0], [0.15, 0.35, 0.8], 'Too much makes it nervous, too little heavy'),
    task('place-for-the-reservoir', 'Place for the reservoir', 'front', 'mock-up', [0, 5, 25], [0.1, 0.2, 0.55], 'Above the pump, and reached'),
  ]),
  ...given(all(HYDRAULIC_STEERING, yes('engine.pump')), [part('steering-pump', 'Steering pump', 'front', 'mating', [40, 120, 320], [0.15, 0.3, 0.8], 'The engine carries it', { comes: ['engine'] })]),
  ...given(all(HYDRAULIC_STEERING, no('engine.pump')), [
    part('steering-pump-and-bracket', 'Steering pump and bracket', 'front', 'mock-up', [80, 240, 600], [0.8, 1.6, 3.6], 'Hydraulic help is wanted, and the engine has no pump', { only: is('choice.steering', 'belt') }),
    part('electric-steering-pump-relay-and-wires', 'Electric steering pump, relay and wires', 'front', 'wiring', [120, 300, 700], [0.8, 1.6, 3.2], 'Hydraulic help is wanted, and an electric pump was chosen', {
      only: is('choice.steering', 'electric'),
    }),
  ]),
  ...given(all(ENGINE_IN, yes('keep.steering-assist'), is('vehicle.steering', 'electric')), [
    part('running-and-speed-messages', 'Running and speed messages', 'wiring', 'wiring', [40, 160, 500], [0.6, 1.6, 4], 'Electric steering sleeps until it is told that the engine runs'),
  ]),
  ...given(all(ENGINE_IN, is('room.column', 'short')), [
    service('steering-shaft-with-two-joints', 'Steering shaft with two joints', 'cab', 'before', [120, 280, 650], [0.8, 1.65, 3.85], 'The column meets the engine; a licensed maker makes it', { caution: ['steering-and-brakes'] }),
    task('full-lock-and-travel-clear', 'Full lock and travel clear', 'cab', 'mock-up', [0, 0, 0], [0.15, 0.35, 0.8], 'What touches once locks the wheel', { caution: ['steering-and-brakes'] }),
  ]),
  ...given(HOT_COLUMN, [
    part('shield-at-the-steering-shaft', 'Shield at the steering shaft', 'cab', 'final fit', [8, 30, 90], [0.1, 0.3, 0.8], 'The exhaust runs beside the column'),
    task('manifold-to-steering-shaft-measured', 'Manifold to steering shaft measured', 'cab', 'mock-up', [0, 0, 0], [0.1, 0.15, 0.4], 'Heat softens joints'),
  ]),
  ...given(all(ENGINE_IN, no('keep.steering-assist'), is('vehicle.steering', 'hydraulic')), [
    task('rack-or-box-without-assist-looped-or-another', 'Rack or box without assist: looped, or another', 'front', 'final fit', [20, 120, 450], [0.55, 1.4, 3.85], 'A gear without its pump is heavy and leaks', {
      caution: ['steering-and-brakes'],
    }),
  ]),
  ...given(has('axle-or-crossmember-moved-for-the-pan'), [
    service('steering-judged-wheels-aligned', 'Steering judged, wheels aligned', 'axle', 'shakedown', [50, 110, 260], [0.3, 0.55, 1.1], 'The axle was moved', { caution: ['steering-and-brakes'] }),
  ]),
  ...given(all(HYDRAULIC_STEERING, is('joint.hose-end-steering', 'work', 'bridge')), [
    part('hose-ends-of-pump-and-gear-matched', 'Hose ends of pump and gear matched', 'front', 'final fit', [8, 30, 90], [0.1, 0.2, 0.6], 'They do not meet'),
  ]),
  ...given(all(ENGINE_IN, is('vehicle.steering', 'hydraulic'), no('keep.steering-assist')), [
    task('reservoir-cooler-and-hoses-taken-out', 'Reservoir, cooler and hoses taken out', 'front', 'stripping', [0, 0, 0], [0.15, 0.3, 0.8], 'No pump any more'),
  ]),
]
