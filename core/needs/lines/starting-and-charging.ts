import { all, any, is, no } from '../condition.ts'
import { DIESEL_IN, ENGINE_IN, TRAIN_APART } from './conditions.ts'
import { blocker, given, part, task } from './row.ts'

export const STARTING_AND_CHARGING_LINES = [
  ...given(TRAIN_APART, [
    part('starter', 'Starter', 'face', 'mating', [60, 150, 350], [0.15, 0.3, 0.8], 'It must reach the ring from its own side', { comes: ['engine'] }),
    part('starter-bolts-shield-and-cable', 'Starter bolts, shield and cable', 'face', 'final fit', [8, 25, 80], [0.1, 0.15, 0.4], 'The exhaust is near', { comes: ['engine'] }),
  ]),
  ...given(is('joint.starter-ring', 'work'), [part('starter-shims', 'Starter shims', 'face', 'mating', [3, 8, 20], [0.1, 0.15, 0.4], 'Its pinion meshes too deep')]),
  ...given(is('joint.starter-ring', 'bridge'), [part('starter-or-ring-of-other-teeth', 'Starter or ring of other teeth', 'face', 'mating', [60, 170, 400], [0.2, 0.4, 1.2], 'Tooth counts or modules differ', { part: 'starter' })]),
  ...given(all(TRAIN_APART, no('engine.starter-free')), [
    blocker('starter-side-not-free', 'The starter’s side is not free', 'face', 'before', [0, 0, 0], [0, 0, 0], 'A stopper said so'),
    part('smaller-or-opposite-starter', 'Smaller or opposite starter', 'face', 'before', [80, 220, 520], [0.2, 0.6, 1.6], 'Its side is not free', { part: 'starter' }),
  ]),
  ...given(ENGINE_IN, [
    part('earth-strap', 'Battery cables and earth straps', 'wiring', 'wiring', [8, 22, 50], [0.1, 0.2, 0.4], 'Left off, the current finds a cable or a bearing', { caution: ['battery'] }),
    part('alternator', 'Alternator', 'front', 'mating', [50, 140, 350], [0.1, 0.25, 0.6], 'It is this engine’s bracket that carries it', { comes: ['engine'] }),
    part('alternator-plug', 'Alternator plug, charge cable and fuse', 'wiring', 'wiring', [5, 20, 60], [0.1, 0.25, 0.6], 'Cut off with the loom it came from', { comes: ['engine'] }),
  ]),
  ...given(all(ENGINE_IN, is('engine.charge', 'own')), [part('charge-lamp-and-exciter-wire', 'Charge lamp and exciter wire', 'wiring', 'wiring', [3, 8, 25], [0.1, 0.15, 0.4], 'Without it it does not charge')]),
  ...given(all(ENGINE_IN, is('engine.charge', 'computer')), [part('charge-control-joined-or-replaced', 'Charge control joined or replaced', 'wiring', 'wiring', [15, 70, 240], [0.3, 0.6, 1.6], 'A computer governs this alternator')]),
  ...given(all(DIESEL_IN, is('vehicle.fuel', 'petrol')), [part('larger-battery-and-tray', 'Larger battery and tray', 'wiring', 'wiring', [80, 150, 300], [0.2, 0.4, 1.2], 'A diesel cranks harder', { caution: ['battery'] })]),
  ...given(all(ENGINE_IN, is('vehicle.volts', 'six', 'twentyfour')), [
    part('lamps-and-motors-of-the-new-voltage', 'Lamps and motors of the new voltage', 'wiring', 'wiring', [60, 200, 600], [3, 8, 20], 'They were made for another voltage'),
    part('battery-relays-and-coil-of-twelve-volts', 'Battery, relays, and a coil if there is one, of twelve volts', 'wiring', 'wiring', [90, 190, 400], [0.4, 0.8, 2], 'They were made for another voltage'),
  ]),
  ...given(all(ENGINE_IN, is('vehicle.charge', 'dynamo')), [task('dynamo-wiring-taken-out', 'Dynamo wiring taken out', 'wiring', 'stripping', [0, 0, 0], [0.2, 0.45, 1.1], 'An alternator wants other wires')]),
  ...given(all(ENGINE_IN, is('vehicle.layout', 'mid')), [
    part('long-battery-cable-fused', 'Long battery cable, fused', 'wiring', 'wiring', [25, 70, 180], [0.3, 0.6, 1.6], 'Battery and starter are far apart', { comes: ['recipient'], caution: ['battery'] }),
  ]),
  ...given(any(all(DIESEL_IN, is('vehicle.fuel', 'petrol')), all(ENGINE_IN, is('room.width', 'short')), all(ENGINE_IN, is('room.length', 'short'))), [
    task('place-for-the-battery-clamped-vented', 'Place for the battery: clamped, vented', 'wiring', 'mock-up', [10, 40, 130], [0.4, 0.8, 2.2], 'Its old place is taken, or too small'),
  ]),
]
