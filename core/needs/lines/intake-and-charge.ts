import { all, any, is, no, yes } from '../condition.ts'
import { CARBURETTOR, CHARGED, COMPUTER, DIESEL_IN, ENGINE_IN, INJECTED, PETROL_IN, TURNED } from './conditions.ts'
import { given, part, task } from './row.ts'

export const INTAKE_AND_CHARGE_LINES = [
  ...given(ENGINE_IN, [
    part('air-filter-and-housing', 'Air filter and housing', 'engine top', 'final fit', [20, 60, 180], [0.1, 0.3, 0.8], 'It breathes through one that fits the bay', { comes: ['engine'] }),
    part('air-trunk', 'Air trunk', 'engine top', 'final fit', [15, 50, 160], [0.1, 0.3, 1], 'From filter to throttle the way is new', { only: any(INJECTED, DIESEL_IN), waits: 'mock-up' }),
    part('intake-gasket', 'Intake gasket', 'engine top', 'mating', [8, 20, 60], [0.15, 0.3, 0.8], 'In reach now', { renew: 'always' }),
    part('vacuum-hoses', 'Vacuum hoses', 'engine top', 'final fit', [8, 20, 60], [0.1, 0.25, 0.6], 'Old ones crack when moved, and it idles badly for weeks', { only: any(yes('engine.vacuum'), is('engine.air', 'turbo')), renew: 'always' }),
  ]),
  ...given(all(ENGINE_IN, is('engine.injection', 'port', 'direct', 'rail')), [
    part('air-meter-and-straight-run', 'Air meter and straight run', 'engine top', 'final fit', [30, 100, 280], [0.1, 0.2, 0.6], 'It measures wrong behind a bend', { comes: ['engine'] }),
  ]),
  ...given(all(TURNED, PETROL_IN), [part('intake-for-lengthwise', 'Intake for lengthwise', 'engine top', 'mating', [80, 260, 700], [0.4, 0.8, 2], 'Its own points at the wing')]),
  ...given(all(ENGINE_IN, is('room.bonnet', 'short')), [
    part('lower-intake', 'Lower intake', 'engine top', 'mating', [80, 260, 700], [0.4, 0.8, 2], 'The bonnet is low, and a lower intake was chosen', { only: is('choice.bonnet', 'intake') }),
    task('bonnet-raised-or-opened', 'Bonnet raised or opened', 'body', 'mock-up', [20, 120, 500], [0.8, 2.2, 5.5], 'The bonnet is low, and raising it was chosen', {
      only: all(is('choice.bonnet', 'bonnet'), no('build.uncut')),
      caution: ['cutting'],
      work: ['cut'],
    }),
  ]),
  ...given(all(ENGINE_IN, is('room.firewall', 'short')), [
    task('firewall-recessed', 'Firewall recessed', 'body', 'mock-up', [15, 60, 220], [1.65, 3.85, 8.8], 'It meets the firewall, and recessing was chosen', {
      only: all(is('choice.firewall', 'recess'), no('build.uncut')),
      caution: ['cutting'],
      work: ['cut'],
    }),
  ]),
  ...given(CHARGED, [
    part('charge-cooler', 'Charge cooler', 'radiator', 'final fit', [60, 180, 480], [0.4, 0.8, 2], 'Charged air is hot', { comes: ['vehicle'] }),
    part('charge-pipes-hoses-and-clamps', 'Charge pipes, hoses and clamps', 'radiator', 'final fit', [50, 140, 380], [0.6, 1.2, 2.8], 'Their run is this bay’s', { waits: 'mock-up' }),
    task('place-for-the-cooler-and-its-air', 'Place for the charge cooler, and its air', 'radiator', 'mock-up', [0, 15, 60], [0.3, 0.65, 2.2], 'It shares the radiator’s wind'),
    part('blow-off-valve', 'Blow-off valve', 'engine top', 'final fit', [15, 45, 140], [0.05, 0.1, 0.3], 'Left off, the turbo stalls at each shift', { only: all(is('engine.fuel', 'petrol'), is('engine.air', 'turbo')), comes: ['engine'] }),
  ]),
  ...given(all(ENGINE_IN, is('engine.air', 'turbo')), [
    part('turbo-oil-and-water-pipes', 'Turbo oil and water pipes', 'engine top', 'mating', [30, 90, 240], [0.15, 0.3, 0.8], 'An old feed pipe is coked', { renew: 'always' }),
    part('turbo-heat-shield', 'Turbo heat shield', 'engine top', 'final fit', [15, 50, 140], [0.1, 0.2, 0.6], 'It glows'),
    part('turbo-actuator-and-control-valve', 'Turbo, actuator and control valve', 'engine top', 'mating', [40, 160, 520], [0.15, 0.3, 0.8], 'A bare engine lacks them', { comes: ['engine'] }),
    task('oil-drain-falls-freely', 'Oil drain falls freely', 'engine top', 'mock-up', [0, 10, 50], [0.1, 0.2, 0.8], 'A drain that stands fills the turbo'),
  ]),
  ...given(all(ENGINE_IN, is('engine.air', 'blower')), [part('blower-belt-and-oil', 'Blower belt and oil', 'front', 'final fit', [20, 60, 160], [0.1, 0.25, 0.6], 'A blower has both of its own', { waits: 'mock-up' })]),
  ...given(all(ENGINE_IN, is('engine.injection', 'carburettor')), [
    part('carburettor-spacer-and-choke', 'Carburettor, spacer and choke', 'engine top', 'mating', [30, 120, 380], [0.15, 0.3, 0.8], 'It comes off to lift the engine, and stays behind', { comes: ['engine'] }),
  ]),
  ...given(PETROL_IN, [part('intake-and-its-stay', 'Intake and its stay', 'engine top', 'mating', [25, 90, 260], [0.1, 0.25, 0.6], 'A bare engine lacks it', { comes: ['engine'] })]),
  ...given(INJECTED, [part('throttle-body-gasket-and-studs', 'Throttle body, gasket and studs', 'engine top', 'mating', [30, 90, 260], [0.1, 0.15, 0.4], 'A poor copy costs a week of hunting', { comes: ['engine'] })]),
  ...given(all(ENGINE_IN, yes('engine.vacuum')), [
    part('check-valve-fittings-and-tees', 'Check valve, fittings and tees', 'engine top', 'final fit', [4, 12, 40], [0.05, 0.1, 0.3], 'Vacuum goes where it is led', { comes: ['engine'] }),
    task('unused-vacuum-ports-capped', 'Unused vacuum ports capped', 'engine top', 'final fit', [1, 4, 12], [0.05, 0.1, 0.3], 'Each open one is a false idle'),
  ]),
  ...given(all(PETROL_IN, is('joint.throttle-bore', 'work', 'bridge')), [part('ring-between-throttle-and-intake', 'Ring between throttle and intake', 'engine top', 'mating', [10, 30, 90], [0.1, 0.15, 0.6], 'Bores differ')]),
  ...given(any(INJECTED, DIESEL_IN), [task('place-for-the-filter-cool-dry-reached', 'Place for the air filter: cool, dry, reached', 'engine top', 'mock-up', [0, 5, 30], [0.1, 0.2, 0.55], 'It breathes what is there')]),
  ...given(all(DIESEL_IN, COMPUTER), [
    part('charge-pressure-sensor-flap-swirl-motor', 'Charge pressure sensor, flap, swirl motor', 'engine top', 'mating', [30, 100, 300], [0.1, 0.2, 0.6], 'Its computer works by them', { comes: ['engine'] }),
  ]),
  ...given(CARBURETTOR, [
    part('carburettor-base-studs-heat-plate-fuel-drain', 'Carburettor base studs, heat plate, fuel drain', 'engine top', 'mating', [8, 25, 80], [0.1, 0.15, 0.4], 'Small, and under the carburettor', { comes: ['engine'] }),
  ]),
  ...given(CARBURETTOR, [part('choke-cable', 'Choke cable', 'cab', 'final fit', [8, 25, 70], [0.2, 0.4, 1], 'A choke is pulled from the cab, where it is not its own')]),
]
