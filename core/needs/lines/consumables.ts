import { all, any, is } from '../condition.ts'
import { AUTOMATIC, CHARGED, COMPUTER, DIESEL_IN, ENGINE_IN, MANUAL, PETROL_IN, TRAIN_APART, WELD } from './conditions.ts'
import { given, part } from './row.ts'

export const CONSUMABLES_LINES = [
  ...given(TRAIN_APART, [
    part('thread-locker-anti-seize-sealant', 'Thread-locker, anti-seize, sealant', 'shop', 'mating', [15, 35, 70], [0.05, 0.1, 0.1], 'Every joint takes some'),
    part('bags-labels-ties', 'Bags, labels, ties', 'shop', 'stripping', [8, 18, 40], [0.05, 0.1, 0.15], 'What is not labelled is not found'),
    part('small-bolts-and-washers', 'Small bolts and washers', 'shop', 'final fit', [15, 40, 100], [0.1, 0.2, 0.4], 'A dozen are always missing'),
  ]),
  ...given(WELD, [part('welding-wire-gas-primer', 'Welding wire, gas, primer', 'shop', 'mock-up', [15, 40, 100], [0.05, 0.1, 0.15], 'Something is welded', { caution: ['welding'] })]),
  ...given(MANUAL, [part('spline-grease', 'Spline grease', 'shop', 'mating', [4, 9, 20], [0, 0.05, 0.1], 'A dry spline sticks')]),
  ...given(AUTOMATIC, [part('assembly-jelly', 'Assembly jelly', 'shop', 'mating', [5, 12, 25], [0, 0.05, 0.1], 'It holds rings and dissolves in the fluid')]),
  ...given(any(CHARGED, DIESEL_IN), [part('copper-rings-and-banjo-bolts', 'Copper rings and banjo bolts', 'engine top', 'mating', [6, 18, 45], [0.05, 0.1, 0.25], 'They seal once', { renew: 'always' })]),
  ...given(all(PETROL_IN, COMPUTER), [part('sensor-safe-sealant', 'Sensor-safe sealant', 'shop', 'mating', [6, 12, 25], [0, 0.05, 0.1], 'Others kill oxygen sensors')]),
  ...given(all(ENGINE_IN, is('build.school', 'rebuild')), [part('assembly-oil-measuring-strip', 'Assembly oil, measuring strip', 'shop', 'before', [10, 22, 45], [0.05, 0.1, 0.15], 'It is rebuilt here')]),
]
