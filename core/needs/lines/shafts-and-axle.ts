import { all, any, has, is, no } from '../condition.ts'
import { CASE, CASTINGS, DIESEL_IN, GEARBOX_IN, LENGTHWISE_SHAFT, PETROL_IN, ROAD, SIDE_SHAFTS, TRAIN_APART, TRAIN_MOVES } from './conditions.ts'
import { again, given, paper, part, service, task } from './row.ts'

export const SHAFTS_AND_AXLE_LINES = [
  ...given(all(LENGTHWISE_SHAFT, TRAIN_MOVES), [
    task('shafts-measured-on-the-tyres', 'Shafts measured on the tyres', 'shafts', 'mock-up', [0, 0, 0], [0.3, 0.55, 1.1], 'Length and angle count at ride height', { waits: 'mock-up' }),
    service('propshaft', 'Propshaft shortened or made', 'shafts', 'final fit', [150, 320, 700], [0.55, 0.8, 2.2], 'The train ends elsewhere', { waits: 'mock-up', caution: ['rotating'] }),
    part('shaft-joints-and-bolts', 'Shaft joints and bolts', 'shafts', 'final fit', [20, 60, 150], [0.2, 0.4, 0.8], 'An opened joint gets new crosses and bolts', { renew: 'always', caution: ['rotating'] }),
    part('centre-bearing-and-bracket', 'Centre bearing and bracket', 'shafts', 'final fit', [30, 90, 250], [0.3, 0.6, 1.6], 'A long shaft in two pieces has one', { level: 'wanted' }),
    part('pinion-shims', 'Pinion shims', 'axle', 'final fit', [5, 15, 50], [0.15, 0.3, 0.8], 'The angle at the axle follows the train', { only: is('vehicle.axle', 'live'), level: 'wanted', waits: 'mock-up' }),
  ]),
  ...given(all(LENGTHWISE_SHAFT, TRAIN_APART, is('joint.propshaft', 'bridge')), [part('yoke-or-flange', 'Yoke or flange', 'shafts', 'final fit', [20, 70, 220], [0.1, 0.25, 0.6], 'Output and shaft do not meet', { waits: 'mock-up' })]),
  // Across the bay the shaft to the other axle runs rearward.
  ...given(all(CASE, TRAIN_MOVES, is('vehicle.layout', 'crosswise')), [again('propshaft', 'It drives the rear axle')]),
  ...given(all(CASE, TRAIN_MOVES, is('vehicle.layout', 'lengthwise')), [
    service('front-propshaft', 'Front propshaft', 'shafts', 'final fit', [140, 320, 650], [0.55, 0.8, 2.2], 'The train moves, and its angle with it', { waits: 'mock-up', caution: ['rotating'] }),
  ]),
  ...given(all(SIDE_SHAFTS, is('joint.drive-shafts', 'bridge')), [
    part('drive-shaft', 'Drive shafts from halves', 'shafts', 'final fit', [60, 220, 600], [0.6, 1.2, 2.8], 'Inner and outer ends are of different makers', { caution: ['rotating'] }),
  ]),
  ...given(any(all(SIDE_SHAFTS, GEARBOX_IN), all(SIDE_SHAFTS, is('joint.drive-shafts', 'bridge'))), [
    part('shaft-boots-and-hub-nuts', 'Shaft boots and hub nuts', 'shafts', 'final fit', [25, 60, 150], [0.3, 0.6, 1.2], 'Opened shafts get new boots and nuts', { renew: 'always' }),
    part('side-output-seals', 'Side output seals', 'gearbox', 'final fit', [10, 25, 60], [0.1, 0.25, 0.6], 'Shafts come out of them', { renew: 'always' }),
  ]),
  ...given(all(GEARBOX_IN, no('donor.shafts-tight')), [part('joints-of-the-donor-s-shafts', 'Joints of the donor’s shafts', 'shafts', 'before', [40, 120, 350], [0.3, 0.6, 1.2], 'They have play')]),
  ...given(is('joint.torque-axle', 'clash'), [part('axle-gears', 'Axle gears, or an axle', 'axle', 'before', [150, 550, 1600], [4, 9, 20], 'The torque it gets is above its rating')]),
  ...given(any(all(ROAD, DIESEL_IN, is('vehicle.fuel', 'petrol')), all(ROAD, PETROL_IN, is('vehicle.fuel', 'diesel'))), [
    task('final-drive-ratio-judged', 'Final drive ratio judged', 'axle', 'before', [0, 0, 0], [0.15, 0.35, 0.8], 'The engine turns at other speeds than the old one'),
    part('other-final-drive', 'Other final drive', 'axle', 'final fit', [120, 350, 900], [1.2, 2.4, 5.6], 'Revs at cruise follow the ratio', { level: 'wanted' }),
  ]),
  ...given(all(CASTINGS, TRAIN_APART), [part('coupling-shaft-of-the-castings', 'Coupling shaft of the castings', 'coupling', 'mating', [80, 220, 600], [0.4, 0.8, 1.6], 'Engine and gearbox are joined by it')]),
  ...given(all(SIDE_SHAFTS, GEARBOX_IN), [
    part('inner-joints-and-stub-shafts-matched', 'Inner joints and stub shafts matched', 'shafts', 'before', [30, 120, 350], [0.2, 0.4, 1.2], 'They stay in the other gearbox', { comes: ['gearbox', 'vehicle'] }),
    task('shaft-angles-at-droop-and-full-lock', 'Shaft angles at droop and full lock', 'shafts', 'mock-up', [0, 0, 0], [0.2, 0.45, 1.1], 'A joint past its angle bursts'),
  ]),
  ...given(all(SIDE_SHAFTS, GEARBOX_IN, is('vehicle.layout', 'crosswise', 'mid')), [
    part('carrier-bearing-bracket-and-long-shaft', 'Carrier bearing, bracket and long shaft', 'shafts', 'final fit', [40, 130, 380], [0.3, 0.6, 1.6], 'The long side runs in a bearing at the block', { comes: ['gearbox'] }),
  ]),
  ...given(has('propshaft'), [paper('shaft-shop-told-length-angles-joints-flange-days', 'Told to the shaft shop: length, angles, joints, flange; asked: days', 'papers', 'mock-up', [0, 0, 0], [0.05, 0.1, 0.25], 'He makes what he is told')]),
  ...given(all(LENGTHWISE_SHAFT, TRAIN_MOVES, is('vehicle.axle', 'independent')), [
    task('nose-mount-and-angle-of-the-fixed-final-drive', 'Nose mount and angle of the fixed final drive', 'axle', 'mock-up', [0, 25, 120], [0.3, 0.65, 2.2], 'A fixed final drive cannot follow the train'),
  ]),
  ...given(has('axle-gears'), [
    part('brakes-hand-brake-and-shafts-of-that-axle', 'Brakes, hand brake and shafts of that axle', 'axle', 'final fit', [80, 350, 1200], [3, 8, 20], 'Another axle brings its own', { waits: 'mock-up', caution: ['steering-and-brakes'] }),
  ]),
]
