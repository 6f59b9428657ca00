import { all, is, no, yes } from '../condition.ts'
import { ENGINE_IN, WATER_COOLED } from './conditions.ts'
import { given, part, task } from './row.ts'

export const HEATER_LINES = [
  ...given(all(WATER_COOLED, yes('keep.heater')), [
    part('heater-reducer', 'Heater hoses and reducers', 'cab', 'final fit', [8, 20, 50], [0.1, 0.2, 0.5], 'Two sizes are in use', { waits: 'mock-up' }),
    part('heater-valve', 'Heater valve', 'cab', 'final fit', [10, 30, 80], [0.1, 0.15, 0.4], 'Old ones break when touched', { level: 'wanted' }),
    part('heater-tube-at-the-engine', 'Heater tube at the engine', 'engine top', 'mating', [8, 25, 80], [0.1, 0.15, 0.4], 'Left on the donor', { comes: ['engine'] }),
  ]),
  ...given(all(WATER_COOLED, yes('keep.heater'), is('vehicle.cooling', 'air')), [part('heater-matrix-and-blower', 'Heater matrix and blower', 'cab', 'final fit', [60, 180, 480], [1.2, 2.8, 6.4], 'The heat was warm air')]),
  ...given(all(WATER_COOLED, no('keep.heater')), [task('heater-ports-joined-as-the-bypass-wants', 'Heater ports joined as the bypass wants', 'engine top', 'final fit', [2, 6, 20], [0.05, 0.1, 0.3], 'Some engines need that flow')]),
  ...given(all(ENGINE_IN, yes('keep.heater'), is('engine.cooling', 'air')), [part('warm-air-exchangers', 'Warm-air exchangers', 'engine under', 'mating', [60, 180, 480], [0.3, 0.6, 1.6], 'Its heat is warm air', { comes: ['engine'] })]),
  ...given(all(WATER_COOLED, yes('keep.heater'), is('vehicle.layout', 'mid', 'rear')), [
    part('heater-pipes-under-the-floor', 'Heater pipes under the floor', 'tunnel', 'final fit', [15, 50, 160], [0.3, 0.6, 1.6], 'The heater is at the other end', { comes: ['recipient'] }),
  ]),
  ...given(all(ENGINE_IN, no('keep.heater'), is('vehicle.cooling', 'air')), [task('warm-air-pipes-closed', 'Warm-air pipes closed', 'cab', 'stripping', [2, 8, 30], [0.1, 0.3, 0.8], 'Fumes come in where heat did')]),
]
