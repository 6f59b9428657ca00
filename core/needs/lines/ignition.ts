import { all, any, is, yes } from '../condition.ts'
import { COMPUTER, DIESEL_IN, ENGINE_IN, PETROL_IN } from './conditions.ts'
import { given, part, task } from './row.ts'

export const IGNITION_LINES = [
  ...given(PETROL_IN, [part('plugs', 'Plugs', 'engine top', 'final fit', [8, 25, 80], [0.1, 0.15, 0.4], 'Old ones tell nothing in a new place', { renew: 'always' })]),
  ...given(all(PETROL_IN, is('engine.spark', 'distributor'), any(is('room.firewall', 'free'), is('choice.firewall', 'recess'))), [
    part('distributor-and-clamp', 'Distributor and clamp', 'engine top', 'mating', [30, 90, 260], [0.1, 0.25, 0.6], 'It sparks from one', { comes: ['engine'] }),
    task('place-for-the-coil', 'Place for the coil', 'engine top', 'wiring', [0, 5, 20], [0.1, 0.15, 0.45], 'It must not shake or cook'),
    task('advance-set-by-lamp', 'Advance set by lamp', 'engine top', 'first fire', [0, 0, 0], [0.15, 0.3, 0.55], 'A distributor that was out is set'),
    part('cap-rotor-and-leads', 'Cap, rotor and leads', 'engine top', 'final fit', [20, 45, 110], [0.1, 0.1, 0.3], 'They are of unknown age', { renew: 'always' }),
    part('coil', 'Coil', 'engine top', 'wiring', [12, 35, 90], [0.1, 0.1, 0.25], 'It stays on the donor’s wing', { comes: ['engine'] }),
  ]),
  ...given(all(PETROL_IN, is('engine.spark', 'coils')), [part('coil-packs-and-igniters', 'Coil packs and igniters', 'engine top', 'mating', [30, 110, 320], [0.1, 0.15, 0.4], 'Left off, they are bought singly', { comes: ['engine'] })]),
  ...given(all(PETROL_IN, is('engine.spark', 'distributor'), is('room.firewall', 'short')), [
    part('ignition-without-distributor', 'Ignition without distributor', 'engine top', 'mating', [150, 380, 900], [0.8, 1.6, 3.6], 'A distributor meets the firewall, and this was chosen', { only: is('choice.firewall', 'ignition') }),
  ]),
  ...given(all(ENGINE_IN, yes('vehicle.ballast')), [task('ballast-by-passed', 'Ballast by-passed', 'wiring', 'wiring', [0, 4, 15], [0.1, 0.2, 0.55], 'The old resistor starves what is new')]),
  ...given(DIESEL_IN, [part('glow-plugs-relay-feed-and-lamp', 'Glow plugs, relay, feed and lamp', 'engine top', 'wiring', [40, 110, 280], [0.3, 0.6, 1.2], 'It starts by glowing', { comes: ['engine'] })]),
  ...given(all(PETROL_IN, is('engine.spark', 'coils'), is('engine.cams', 'head')), [part('plug-tube-seals', 'Plug tube seals', 'engine top', 'mating', [8, 20, 50], [0.1, 0.2, 0.5], 'Oil in the wells kills coils', { renew: 'always' })]),
  ...given(all(PETROL_IN, COMPUTER), [
    part('crank-cam-knock-temperature-pressure-sensors', 'Crank, cam, knock, temperature, pressure sensors', 'engine top', 'mating', [30, 100, 280], [0.1, 0.25, 0.6], 'Its computer runs by them', { comes: ['engine'] }),
  ]),
  ...given(all(DIESEL_IN, COMPUTER), [part('crank-cam-temperature-flow-sensors', 'Crank, cam, temperature, flow sensors', 'engine top', 'mating', [30, 100, 280], [0.1, 0.25, 0.6], 'Its computer runs by them', { comes: ['engine'] })]),
  ...given(all(DIESEL_IN, is('vehicle.fuel', 'petrol')), [
    task('coil-and-leads-taken-out', 'Coil and leads taken out', 'engine top', 'stripping', [0, 0, 0], [0.1, 0.2, 0.55], 'A diesel has no spark'),
    task('choke-taken-out', 'Choke taken out', 'cab', 'stripping', [0, 0, 0], [0.05, 0.1, 0.3], 'Nothing is choked any more', { only: is('vehicle.supply', 'low') }),
  ]),
  ...given(all(PETROL_IN, is('vehicle.fuel', 'diesel')), [task('glow-relay-and-stop-circuit-taken-out', 'Glow relay and stop circuit taken out', 'wiring', 'stripping', [0, 0, 0], [0.15, 0.3, 0.8], 'Petrol has no use for them')]),
]
