import { all, is, no, yes } from '../condition.ts'
import { COMPUTER, DIESEL_IN, ENGINE_IN, INJECTED, PETROL_IN } from './conditions.ts'
import { given, paper, part, task } from './row.ts'

export const EMISSIONS_LINES = [
  ...given(all(PETROL_IN, yes('vehicle.evap')), [
    part('canister-and-purge-hoses', 'Canister and purge hoses', 'tank', 'final fit', [8, 25, 80], [0.1, 0.25, 0.6], 'The tank breathes through it', { comes: ['recipient', 'vehicle'] }),
    part('purge-valve', 'Purge valve', 'engine top', 'final fit', [8, 25, 80], [0.05, 0.1, 0.3], 'It empties the canister into this engine', { comes: ['engine'] }),
    task('place-for-the-canister-its-pipes', 'Place for the canister, its pipes', 'tank', 'mock-up', [0, 5, 25], [0.1, 0.3, 0.8], 'Its pipes reach tank and engine'),
  ]),
  ...given(all(ENGINE_IN, yes('keep.emissions')), [paper('class-and-equipment-list', 'Emission class and list of equipment', 'papers', 'before', [0, 0, 0], [0.1, 0.2, 0.6], 'What must stay is set by law')]),
  ...given(all(PETROL_IN, yes('keep.emissions'), is('engine.emission', 'catalyst')), [
    part('catalyst', 'Catalyst', 'engine under', 'final fit', [80, 220, 650], [0.3, 0.6, 1.6], 'It left the factory with one', { waits: 'mock-up' }),
    part('exhaust-return-and-secondary-air', 'Exhaust return and secondary air', 'engine top', 'mating', [20, 80, 260], [0.15, 0.4, 1.2], 'It left the factory with them', { comes: ['engine'] }),
  ]),
  ...given(all(ENGINE_IN, COMPUTER, is('engine.fuel', 'petrol')), [part('oxygen-sensors', 'Oxygen sensors', 'engine under', 'wiring', [30, 80, 200], [0.1, 0.15, 0.4], 'Its computer steers by them', { comes: ['engine'] })]),
  ...given(all(DIESEL_IN, yes('keep.emissions'), is('engine.emission', 'catalyst', 'filter', 'reductant')), [
    part('exhaust-return-oxidation-catalyst', 'Exhaust return, oxidation catalyst', 'engine under', 'final fit', [60, 220, 650], [0.25, 0.6, 1.6], 'It left the factory with them', { comes: ['engine'] }),
  ]),
  ...given(all(DIESEL_IN, yes('keep.emissions'), is('engine.emission', 'filter', 'reductant')), [
    part('particle-filter-and-its-senders', 'Particle filter and its senders', 'engine under', 'final fit', [120, 420, 1200], [0.4, 1, 2.4], 'It left the factory with one', { comes: ['vehicle'] }),
  ]),
  ...given(all(DIESEL_IN, yes('keep.emissions'), is('engine.emission', 'reductant')), [
    part('reductant-tank-pump-and-pipes', 'Reductant tank, pump and pipes', 'tank', 'final fit', [120, 420, 1200], [0.8, 2, 4.8], 'It left the factory with them', { comes: ['vehicle'] }),
  ]),
  ...given(all(INJECTED, no('vehicle.evap')), [task('purge-port-capped-tank-vented', 'Purge port capped, tank vented', 'engine top', 'final fit', [2, 8, 25], [0.1, 0.2, 0.55], 'There is no canister')]),
  ...given(all(ENGINE_IN, no('keep.emissions'), is('engine.emission', 'catalyst')), [
    task('exhaust-return-and-secondary-air-closed-off-or-kept', 'Exhaust return and secondary air closed off, or kept', 'engine top', 'final fit', [0, 15, 60], [0.15, 0.4, 1.1], 'They need not stay; the computer may miss them'),
  ]),
]
