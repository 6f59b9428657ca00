import { has } from '../condition.ts'
import { ENGINE_IN, TRAIN_APART, USED_ENGINE } from './conditions.ts'
import { given, part } from './row.ts'

export const THE_SECOND_TIME_LINES = [
  ...given(TRAIN_APART, [part('wrong-parts-and-restocking', 'Wrong parts and restocking', 'shop', 'shakedown', [30, 110, 350], [0.4, 1, 2.4], 'Five to ten parts in a hundred are wrong')]),
  ...given(ENGINE_IN, [part('gaskets-twice', 'Gaskets twice', 'engine top', 'shakedown', [15, 50, 140], [0.2, 0.6, 1.6], 'Something is opened again')]),
  ...given(USED_ENGINE, [part('broken-studs', 'Broken studs', 'engine top', 'stripping', [10, 40, 150], [0.4, 1.2, 3.2], 'Old ones break')]),
  ...given(has('machine-shop'), [part('second-visit-to-the-machine-shop', 'Second visit to the machine shop', 'shop', 'mock-up', [20, 80, 250], [0.1, 0.25, 0.6], 'The first piece shows what was forgotten', { level: 'optional' })]),
]
