import { all, is, no, not, yes } from '../condition.ts'
import { CASE, CASTINGS, ENGINE_IN, GEARBOX_IN, TRAIN_APART, TRAIN_MOVES } from './conditions.ts'
import { again, blocker, given, paper, part, service, task } from './row.ts'

export const TRANSFER_CASE_AND_TAKE_OFF_LINES = [
  ...given(all(CASE, GEARBOX_IN, is('gearbox.case', 'bolted', 'apart')), [
    part('transfer-case', 'Transfer case, with the gearbox', 'transfer case', 'mating', [200, 500, 1200], [0.6, 1.2, 2.4], 'It came with the gearbox', { only: is('build.case', 'with-gearbox'), comes: ['gearbox'] }),
    part('own-transfer-case', 'Own transfer case', 'transfer case', 'mating', [0, 0, 0], [0.6, 1.2, 2.4], 'Its own stays', { only: is('build.case', 'own'), comes: ['recipient', 'vehicle'], part: 'transfer-case' }),
  ]),
  ...given(all(GEARBOX_IN, is('vehicle.driven', 'four'), yes('keep.four-wheel-drive'), is('gearbox.case', 'none')), [
    blocker('no-transfer-case-behind-this-gearbox', 'No transfer case behind this gearbox', 'transfer case', 'before', [0, 0, 0], [0, 0, 0], 'Four wheels are to be driven', { cured: ['case-adapter', 'intermediate-shaft'] }),
    again('own-transfer-case', 'Its own stays', { only: is('choice.case', 'adapter', 'apart') }),
    part('case-adapter', 'Case adapter', 'transfer case', 'mating', [150, 420, 900], [0.6, 1.2, 2.4], 'Gearbox and case do not meet', { only: is('choice.case', 'adapter') }),
    part('intermediate-shaft', 'Intermediate shaft', 'shafts', 'final fit', [120, 260, 600], [0.4, 0.8, 1.6], 'The case stands apart', { only: is('choice.case', 'apart'), waits: 'mock-up', part: 'propshaft' }),
  ]),
  ...given(all(is('vehicle.driven', 'four'), no('keep.four-wheel-drive'), TRAIN_APART), [
    task('front-drive-taken-out-output-closed', 'Front drive taken out, output closed', 'axle', 'final fit', [10, 40, 150], [0.8, 1.65, 3.3], 'Nothing drives it any more'),
    paper('registration-told-of-the-driven-wheels', 'Registration told of the driven wheels', 'papers', 'after', [20, 60, 200], [0.15, 0.3, 0.9], 'The papers say four'),
  ]),
  // Inside the gearbox it has no joint, mount or lever of its own.
  ...given(all(CASE, GEARBOX_IN, not(is('gearbox.case', 'inside'))), [
    part('case-gasket-and-seal', 'Case gasket and seal', 'transfer case', 'mating', [8, 20, 60], [0.1, 0.15, 0.4], 'The joint is opened', { renew: 'always' }),
    part('case-mount-or-torque-stay', 'Case mount or torque stay', 'transfer case', 'final fit', [20, 70, 220], [0.3, 0.6, 1.6], 'A case twists its mounts'),
    part('case-lever', 'Case lever', 'tunnel', 'final fit', [20, 70, 220], [0.3, 0.6, 2], 'It comes up elsewhere', { waits: 'mock-up' }),
  ]),
  ...given(all(CASE, GEARBOX_IN), [
    again('case-adapter', 'Gearbox and case do not meet', { only: is('joint.transfer-case', 'bridge') }),
    part('coupling-shaft', 'Coupling shaft', 'transfer case', 'mating', [80, 220, 600], [0.3, 0.6, 1.6], 'Spline and length between gearbox and case differ', { only: is('joint.transfer-case', 'bridge', 'work') }),
    part('four-wheel-lamp-switch-and-vent', 'Four-wheel lamp, switch and vent of the case', 'transfer case', 'wiring', [10, 30, 90], [0.15, 0.3, 0.8], 'The driver must see what is engaged', { comes: ['gearbox'] }),
  ]),
  ...given(all(CASE, TRAIN_MOVES, is('gearbox.case', 'apart')), [again('intermediate-shaft', 'The case stands apart')]),
  ...given(all(CASE, GEARBOX_IN, no('gearbox.front-side')), [
    blocker('front-output-on-the-wrong-side', 'The front output is on the wrong side', 'transfer case', 'before', [0, 0, 0], [0, 0, 0], 'The axle’s pinion is on the other'),
    part('other-case-or-axle', 'Another case, or another axle', 'transfer case', 'before', [200, 650, 1800], [4, 10, 24], 'Sides or ratings do not go together', { part: 'transfer-case' }),
  ]),
  ...given(all(CASE, is('joint.torque-case', 'clash')), [
    blocker('transfer-case-too-weak', 'The transfer case is too weak', 'transfer case', 'before', [0, 0, 0], [0, 0, 0], 'The torque it gets is above its rating'),
    again('other-case-or-axle', 'Sides or ratings do not go together'),
  ]),
  ...given(all(GEARBOX_IN, no('donor.range')), [service('case-opened-or-another', 'Transfer case opened, or another', 'transfer case', 'before', [80, 350, 1100], [1.1, 3.3, 7.7], 'One of its ranges does not work')]),
  ...given(all(CASE, TRAIN_MOVES, not(is('gearbox.case', 'inside'))), [task('case-guard-moved', 'Case guard moved', 'transfer case', 'final fit', [0, 30, 150], [0.4, 0.8, 2.2], 'The case sits elsewhere')]),
  ...given(all(GEARBOX_IN, yes('keep.take-off')), [
    part('take-off', 'Take-off unit', 'gearbox', 'final fit', [150, 450, 1200], [0.8, 1.6, 4], 'It is made for the opening of this gearbox', { comes: ['gearbox'] }),
    part('take-off-shaft-guard-control', 'Take-off shaft, guard, control', 'gearbox', 'final fit', [60, 180, 500], [0.6, 1.2, 3.2], 'Its run shows at mock-up', { waits: 'mock-up' }),
  ]),
  ...given(all(CASTINGS, TRAIN_APART, yes('keep.take-off')), [
    part('take-off-clutch', 'Take-off clutch', 'coupling', 'mating', [120, 320, 800], [0.4, 0.8, 1.6], 'A live take-off has its own clutch', { comes: ['recipient'] }),
    task('take-off-speed-proved-at-the-engine-s-speed', 'Take-off speed proved at the engine’s speed', 'gearbox', 'shakedown', [0, 0, 0], [0.15, 0.35, 0.8], 'Implements count on it'),
  ]),
  ...given(all(is('vehicle.layout', 'tractor'), ENGINE_IN), [
    part('hydraulic-lift-pump-drive-and-pipes', 'Hydraulic lift pump, drive and pipes', 'front', 'final fit', [80, 260, 700], [0.8, 2, 4.8], 'The engine drives the lift', { waits: 'mock-up' }),
    part('governor', 'Governor', 'engine top', 'final fit', [60, 220, 600], [0.6, 1.6, 4], 'Field work wants steady revs', { only: is('engine.fuel', 'petrol') }),
  ]),
  ...given(all(GEARBOX_IN, is('vehicle.driven', 'two'), is('gearbox.case', 'bolted', 'inside', 'apart')), [
    part('case-left-off-tail-of-two-wheel-drive', 'Case left off, tail of two-wheel drive', 'gearbox', 'before', [40, 160, 480], [0.4, 1.2, 2.8], 'This gearbox was made for four driven wheels'),
  ]),
  ...given(all(GEARBOX_IN, yes('gearbox.opening'), no('keep.take-off')), [
    part('take-off-opening-closed-sealed', 'Take-off opening closed, sealed', 'gearbox', 'before', [5, 18, 60], [0.1, 0.15, 0.4], 'It has an opening and nothing drives from it'),
  ]),
]
