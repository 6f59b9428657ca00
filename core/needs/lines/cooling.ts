import { all, any, has, is, no, not, yes } from '../condition.ts'
import { ENGINE_IN, INJECTED, MORE_HEAT, RESEALED, TRAIN_APART, TURNED, WATER_COOLED } from './conditions.ts'
import { given, part, task } from './row.ts'

export const COOLING_LINES = [
  ...given(WATER_COOLED, [
    part('top-hose', 'Top hose', 'radiator', 'final fit', [10, 25, 60], [0.1, 0.15, 0.4], 'Outlet, size and side differ', { waits: 'mock-up', caution: ['hot-coolant'] }),
    part('lower-hose', 'Lower hose', 'radiator', 'final fit', [10, 25, 60], [0.1, 0.2, 0.4], 'Its run shows at mock-up', { waits: 'mock-up', caution: ['hot-coolant'] }),
    part('clips-and-small-coolant-hoses', 'Clips and small coolant hoses', 'front', 'final fit', [8, 25, 70], [0.1, 0.25, 0.6], 'Old ones split where they are bent anew', { renew: 'always' }),
    part('thermostat', 'Thermostat', 'front', 'final fit', [8, 20, 50], [0.1, 0.1, 0.25], 'In reach now, and of unknown age', { renew: 'always', caution: ['hot-coolant'] }),
    part('header-tank-and-cap', 'Header tank and cap', 'radiator', 'final fit', [15, 50, 140], [0.1, 0.25, 0.6], 'Its cap sets the pressure', { comes: ['recipient', 'vehicle'] }),
    task('pressure-test-flow-never-shut-off', 'Cooling pressure-tested; its flow never shut off', 'radiator', 'first fire', [0, 0, 0], [0.15, 0.35, 0.8], 'A bypass closed at the heater stops the flow', { caution: ['hot-coolant'] }),
    part('thermostat-housing-and-necks', 'Thermostat housing and necks', 'front', 'mating', [10, 35, 110], [0.1, 0.15, 0.4], 'They are left on the donor', { comes: ['engine'] }),
    part('tubes-rings-and-brackets', 'Coolant tubes, rings and brackets', 'front', 'mating', [8, 25, 80], [0.1, 0.15, 0.4], 'They are left on the donor', { comes: ['engine'] }),
  ]),
  ...given(all(WATER_COOLED, is('vehicle.cooling', 'water'), not(MORE_HEAT), any(is('room.length', 'free'), is('choice.length', 'fan', 'support'))), [
    part('radiator-flushed-and-tested', 'Radiator flushed and tested', 'radiator', 'before', [20, 50, 120], [0.2, 0.4, 0.8], 'The old one stays', { comes: ['recipient', 'vehicle'], caution: ['hot-coolant'] }),
  ]),
  ...given(any(all(WATER_COOLED, is('vehicle.cooling', 'water'), MORE_HEAT), all(WATER_COOLED, is('room.length', 'short'), is('choice.length', 'radiator'))), [
    part('larger-or-thinner-radiator', 'Larger or thinner radiator', 'radiator', 'mock-up', [90, 240, 650], [0.4, 0.8, 2], 'More heat, or less room'),
  ]),
  ...given(all(WATER_COOLED, is('vehicle.cooling', 'air')), [
    part('radiator-mounts-and-duct', 'Radiator, mounts and duct', 'radiator', 'mock-up', [130, 380, 950], [4, 9, 20], 'There never was one'),
    part('fan-shroud', 'Fan shroud', 'radiator', 'final fit', [20, 60, 180], [0.2, 0.5, 1.6], 'Without it a fan stirs the same air'),
    task('blower-tin-and-ducts-taken-out-openings-closed', 'Blower, tin and ducts taken out, openings closed', 'engine top', 'stripping', [0, 15, 60], [0.4, 0.8, 2.2], 'The old cooling was by air'),
  ]),
  ...given(all(WATER_COOLED, RESEALED, yes('engine.belt-sense')), [part('water-pump', 'Water pump', 'front', 'before', [30, 80, 220], [0.3, 0.5, 1], 'It is in reach now', { renew: 'always' })]),
  ...given(all(WATER_COOLED, no('engine.belt-sense')), [
    part('pump-of-the-other-sense', 'Pump of the other sense', 'front', 'before', [40, 120, 320], [0.3, 0.6, 1.2], 'The belt turns it backward: it overheats with nothing leaking', { part: 'water-pump' }),
  ]),
  // A belt fan stays where it stands before the radiator: lengthwise, and with the room for it.
  ...given(any(all(WATER_COOLED, is('room.length', 'short'), is('choice.length', 'fan')), all(WATER_COOLED, is('engine.fan', 'none', 'electric')), all(WATER_COOLED, is('vehicle.layout', 'crosswise', 'mid', 'rear'))), [
    part('electric-fan-switch-and-relay', 'Electric fan, switch and relay', 'radiator', 'wiring', [50, 130, 320], [0.4, 0.8, 1.6], 'The engine turns no fan there', { part: 'fan' }),
    part('boss-for-the-fan-switch', 'Boss for the fan switch', 'radiator', 'final fit', [5, 20, 60], [0.1, 0.2, 0.6], 'A switch needs a place in the water', { only: is('engine.electronics', 'none') }),
  ]),
  ...given(all(WATER_COOLED, is('engine.fan', 'belt'), is('vehicle.layout', 'lengthwise', 'tractor'), any(is('room.length', 'free'), is('choice.length', 'radiator', 'support'))), [
    part('fan-and-coupling', 'Fan and coupling', 'front', 'final fit', [20, 70, 200], [0.1, 0.15, 0.4], 'The engine turns it', { comes: ['engine'], part: 'fan' }),
  ]),
  ...given(any(all(WATER_COOLED, is('engine.outlet', 'rear', 'side'), is('vehicle.layout', 'lengthwise', 'tractor')), all(TURNED, WATER_COOLED)), [
    part('water-outlet-turned', 'Water outlet turned', 'engine top', 'mating', [20, 80, 240], [0.2, 0.5, 1.6], 'It looks at the firewall as it is'),
  ]),
  ...given(all(WATER_COOLED, is('vehicle.layout', 'mid', 'rear')), [
    part('long-coolant-pipes-and-bleed-valves', 'Long coolant pipes and bleed valves', 'tunnel', 'final fit', [50, 150, 420], [0.8, 1.6, 3.6], 'The radiator is at the other end, with a high point between', {
      comes: ['recipient', 'vehicle'],
      waits: 'mock-up',
    }),
  ]),
  ...given(all(TRAIN_APART, yes('build.cause-stays')), [part('cause-of-the-old-failure-put-right', 'Cause of the old failure put right', 'radiator', 'before', [40, 180, 600], [0.4, 1.2, 3.2], 'It would kill the next engine too')]),
  ...given(all(ENGINE_IN, is('engine.cooling', 'air')), [
    part('cooling-tin-and-blower-belt', 'Cooling tin and blower belt', 'engine top', 'mating', [20, 70, 240], [0.3, 0.6, 1.6], 'Air is its only cooling', { comes: ['engine'] }),
    part('bay-sealed-from-hot-air', 'Bay sealed from hot air', 'body', 'mock-up', [10, 40, 140], [0.3, 0.8, 2.4], 'It must not breathe its own heat'),
  ]),
  ...given(all(WATER_COOLED, is('joint.coolant-hose', 'work', 'bridge')), [part('stepped-hose-or-joiner', 'Stepped hose or joiner', 'radiator', 'final fit', [5, 15, 45], [0.05, 0.1, 0.3], 'Hose sizes differ')]),
  ...given(all(INJECTED, is('engine.cooling', 'water')), [
    task('water-to-throttle-or-intake-joined-or-by-passed', 'Water to throttle or intake joined or by-passed', 'engine top', 'final fit', [2, 8, 25], [0.05, 0.15, 0.45], 'Left open it empties the engine'),
  ]),
  ...given(all(WATER_COOLED, any(is('vehicle.cooling', 'air'), is('vehicle.layout', 'mid'), is('engine.outlet', 'rear'))), [
    task('place-for-the-vessel-highest-point-cap-and-overflow', 'Place for the vessel: highest point, cap and overflow', 'radiator', 'mock-up', [0, 15, 60], [0.3, 0.55, 1.65], 'Air gathers at the highest point'),
  ]),
  ...given(all(ENGINE_IN, is('engine.cooling', 'air'), is('vehicle.cooling', 'water')), [
    task('radiator-hoses-and-heater-taken-out', 'Radiator, hoses and heater taken out', 'radiator', 'stripping', [0, 0, 0], [0.4, 0.65, 1.65], 'There is no water any more'),
  ]),
  ...given(all(WATER_COOLED, is('room.length', 'short'), is('choice.length', 'fan'), is('engine.fan', 'belt')), [
    task('belt-fan-left-off-hub-closed', 'Belt fan left off, hub closed', 'front', 'mating', [0, 3, 15], [0.05, 0.1, 0.3], 'An electric fan was chosen for the room'),
  ]),
  ...given(all(ENGINE_IN, no('engine.belt-sense'), is('engine.fan', 'belt')), [part('fan-of-the-other-pitch', 'Fan of the other pitch', 'front', 'before', [20, 70, 200], [0.1, 0.15, 0.4], 'It would blow the wrong way', { part: 'fan' })]),
  ...given(all(ENGINE_IN, is('build.school', 'rebuild'), is('engine.cooling', 'water')), [
    part('core-plugs', 'Core plugs', 'engine under', 'before', [8, 20, 60], [0.15, 0.3, 0.8], 'Rebuilt, and behind the gearbox they are in reach once', { renew: 'always' }),
  ]),
  ...given(any(has('larger-or-thinner-radiator'), all(WATER_COOLED, is('vehicle.cooling', 'air'))), [
    part('outlets-side-and-size-hoses-matched', 'Radiator: side and size of its outlets, hoses matched', 'radiator', 'mock-up', [0, 15, 50], [0.1, 0.25, 0.6], 'Another radiator has others', { waits: 'mock-up' }),
  ]),
]
