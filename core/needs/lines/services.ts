import { all, any, has, is, no, yes } from '../condition.ts'
import { ENGINE_IN, TRAIN_APART, WELD } from './conditions.ts'
import { given, paper, service } from './row.ts'

export const SERVICES_LINES = [
  ...given(all(no('can.weld'), WELD), [service('welder', 'Welder', 'shop', 'mock-up', [80, 220, 600], [0.3, 0.55, 1.65], 'The shop does not weld this', { caution: ['welding'] })]),
  ...given(any(all(no('can.machine'), has('plate')), all(no('can.machine'), has('flange-adapter-or-re-drilled-wheel'))), [
    service('machine-shop', 'Machine shop', 'shop', 'before', [80, 220, 600], [0.3, 0.55, 1.65], 'The shop does not turn or mill'),
  ]),
  ...given(
    all(
      no('can.flash'),
      is('engine.electronics', 'locked', 'bus'),
      any(
        has('computer-told-of-a-manual-gearbox'),
        has('computer-coded-for-this-vehicle'),
        has('immobiliser-taken-out'),
        has('stand-alone-computer-and-tuning'),
        all(ENGINE_IN, is('build.output', 'raised')),
        has('computer-told-of-the-gearbox'),
      ),
    ),
    [service('flash-service', 'Flash service', 'shop', 'before', [80, 220, 500], [0.15, 0.35, 0.8], 'The shop does not write computers')],
  ),
  ...given(has('flash-service'), [
    paper(
      'sent-computer-key-injectors-gearbox-tyre-axle-what-is-removed',
      'Told to the flash service: injectors, gearbox, tyre, axle, what is removed; sent: computer, key',
      'papers',
      'before',
      [8, 20, 40],
      [0.1, 0.2, 0.35],
      'It writes what it is told',
    ),
    service('computer-s-post-both-ways-days', 'Post of the computer both ways', 'papers', 'before', [15, 30, 60], [0.05, 0.1, 0.2], 'It travels insured'),
  ]),
  ...given(has('machine-shop'), [
    paper('drawing-bore-face-finish-balance-days-carriage', 'Drawing for the machine shop: bore, face, finish, balance; asked: days, carriage', 'papers', 'before', [10, 30, 90], [0.2, 0.45, 1.2], 'It makes what is drawn'),
  ]),
  ...given(has('engine-measured-and-machined'), [
    paper('sizes-clearances-new-parts-sent-along-weeks', 'Told to the engine shop: sizes, clearances; new parts sent along; asked: weeks', 'papers', 'before', [0, 15, 50], [0.1, 0.2, 0.35], 'It bores to the pistons it has'),
  ]),
  ...given(has('welder'), [paper('drawing-material-tacked-pieces-shown', 'Shown to the welder: drawing, material, tacked pieces', 'papers', 'mock-up', [0, 0, 0], [0.1, 0.2, 0.35], 'He welds what is tacked')]),
  ...given(all(TRAIN_APART, no('build.runs')), [service('recipient-towed-in', 'Recipient towed in', 'shop', 'before', [50, 110, 300], [0.1, 0.2, 0.55], 'The old engine does not run')]),
  ...given(all(ENGINE_IN, is('donor.kind', 'vehicle')), [service('trailer-for-the-donor', 'Trailer for the donor', 'shop', 'before', [40, 90, 250], [1.1, 2.2, 4.4], 'A whole vehicle stands on one')]),
  ...given(all(ENGINE_IN, is('donor.kind', 'pulled', 'bare', 'new')), [
    service('freight-pallet-drained-insured', 'Freight: pallet, drained, insured', 'shop', 'before', [60, 120, 280], [0.15, 0.35, 0.65], 'An engine travels upright and dry'),
  ]),
  ...given(all(ENGINE_IN, yes('donor.far')), [service('day-fuel-hire-of-the-fetching', 'A day’s fetching: fuel, hire', 'shop', 'before', [60, 150, 400], [6, 9, 16], 'It stands far away')]),
  ...given(all(TRAIN_APART, yes('build.daily')), [service('replacement-car-by-the-day', 'Replacement car, by the day', 'shop', 'stripping', [150, 450, 1500], [0.1, 0.2, 0.55], 'It is needed every day')]),
]
