import { all, has, not, yes } from '../condition.ts'
import { AUTOMATIC, CASE, CASTINGS, ENGINE_IN, GEARBOX_IN, MANUAL, TRAIN_APART, WATER_COOLED } from './conditions.ts'
import { again, given, part } from './row.ts'

export const FLUIDS_LINES = [
  ...given(ENGINE_IN, [
    part('engine-oil', 'Engine oil', 'engine under', 'first fire', [20, 45, 90], [0.1, 0.1, 0.25], 'Fresh at first start, drained again soon after', { renew: 'twice' }),
    part('coolant', 'Coolant', 'radiator', 'first fire', [12, 28, 60], [0.1, 0.2, 0.4], 'The system is open', { only: WATER_COOLED, renew: 'twice', caution: ['hot-coolant'] }),
  ]),
  ...given(all(MANUAL, not(CASTINGS)), [part('gearbox-oil', 'Gearbox oil', 'gearbox', 'final fit', [15, 35, 110], [0.1, 0.1, 0.25], 'Filled before first fire', { renew: 'twice' })]),
  ...given(AUTOMATIC, [
    part('automatic-fluid-converter-and-cooler-counted', 'Automatic fluid, converter and cooler counted', 'gearbox', 'final fit', [40, 90, 200], [0.1, 0.25, 0.5], 'Half of it stands in the converter', { renew: 'twice' }),
  ]),
  ...given(all(CASE, GEARBOX_IN), [part('case-oil', 'Case oil', 'transfer case', 'final fit', [10, 25, 60], [0.1, 0.1, 0.2], 'It has its own')]),
  ...given(all(ENGINE_IN, yes('engine.flat-tappet')), [part('run-in-oil', 'Run-in oil', 'engine under', 'first fire', [25, 50, 100], [0.1, 0.1, 0.2], 'A flat cam dies in its first minutes on thin oil', { renew: 'always' })]),
  ...given(has('axle-gears'), [part('axle-oil', 'Axle oil', 'axle', 'final fit', [10, 25, 60], [0.1, 0.1, 0.25], 'The axle is opened')]),
  ...given(has('other-final-drive'), [again('axle-oil', 'The axle is opened', { level: 'wanted' })]),
  ...given(all(CASTINGS, TRAIN_APART), [part('oil-of-the-shared-casting', 'Oil of the shared casting', 'gearbox', 'final fit', [40, 110, 280], [0.15, 0.3, 0.6], 'Gearbox, axle and lift drink the same', { renew: 'twice' })]),
]
