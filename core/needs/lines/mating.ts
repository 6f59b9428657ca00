import { all, any, has, is, no, yes } from '../condition.ts'
import { AUTOMATIC, CASTINGS, ENGINE_IN, ROAD, SIDE_SHAFTS, TRAIN_APART } from './conditions.ts'
import { blocker, given, part, service, task } from './row.ts'

export const MATING_LINES = [
  ...given(ENGINE_IN, [part('engine', 'Engine', 'engine top', 'mating', [400, 1200, 3500], [8, 12, 20], 'The one that goes in', { caution: ['lifting'] })]),
  ...given(TRAIN_APART, [
    part('dowel', 'Dowels', 'face', 'mating', [4, 12, 40], [0.05, 0.1, 0.8], 'They locate the case on the crank; bolts only clamp', { comes: ['engine'], quantity: 2 }),
    part('bell-bolt', 'Bell bolts', 'face', 'mating', [10, 25, 60], [0.2, 0.3, 0.4], 'Length, grip and class are those of this face', { comes: ['engine'] }),
    part('odd-bell-bolt', 'Odd bell bolts', 'face', 'mating', [5, 15, 40], [0.1, 0.15, 0.4], 'One or two are longer, shorter or of another thread', { only: any(is('joint.block-face', 'work', 'bridge'), SIDE_SHAFTS), comes: ['engine'] }),
    part('separator', 'Separator plate', 'face', 'mating', [10, 30, 80], [0.1, 0.1, 0.2], 'Thin, easily left on the donor, and counted in every depth', { only: ROAD, comes: ['engine'] }),
    part('inspection-cover', 'Inspection cover', 'face', 'final fit', [8, 20, 60], [0.1, 0.1, 0.2], 'It keeps stones from the ring', { only: is('gearbox.output', 'yoke', 'flange'), comes: ['gearbox'] }),
    task('end-float-before-two-turns-by-hand-end-float-after', 'End float before, two turns by hand, end float after', 'crank', 'mating', [0, 0, 0], [0.2, 0.4, 0.8], 'What is too long pushes on the crank; it shows here and nowhere later'),
  ]),
  ...given(any(all(TRAIN_APART, ENGINE_IN), is('joint.block-face', 'work', 'bridge')), [
    task('face-and-bore-indicated', 'Bore and face indicated', 'face', 'mating', [0, 0, 0], [0.3, 0.55, 1.4], 'Plate, bell and crank run on one axis or the shaft bends at every turn'),
  ]),
  ...given(is('joint.block-face', 'bridge'), [
    part('plate', 'Adapter plate', 'face', 'mating', [120, 350, 650], [0.4, 0.8, 1.6], 'The faces do not meet', { only: is('choice.face', 'plate') }),
    part('plate-bolts-and-dowels', 'Bolts and dowels of the plate', 'face', 'mating', [15, 40, 110], [0.1, 0.25, 0.6], 'A plate brings a second set of both', { only: is('choice.face', 'plate') }),
    part('bellhousing', 'Bell of the other family, with fork, stud and cover', 'face', 'mating', [80, 260, 700], [0.4, 1, 2], 'A bell of the engine’s family may meet the gearbox', { only: is('choice.face', 'bell') }),
  ]),
  ...given(is('joint.block-face', 'work'), [task('dowels-bushed-lost-bolts-answered', 'Dowels bushed, lost bolts answered', 'face', 'mating', [0, 15, 60], [0.3, 0.8, 2.2], 'The faces meet only with this work')]),
  ...given(all(yes('kit.in'), no('kit.dowels')), [part('dowels-the-kit-leaves-out', 'Dowels the kit leaves out', 'face', 'before', [4, 15, 50], [0.05, 0.1, 0.4], 'The kit comes without them')]),
  ...given(all(yes('kit.in'), no('kit.hardware')), [part('bolts-the-kit-leaves-out', 'Bolts the kit leaves out', 'face', 'before', [10, 35, 90], [0.1, 0.15, 0.4], 'The kit comes without them')]),
  ...given(all(yes('kit.in'), no('kit.told')), [task('stack-and-torques-drawn-up', 'Stack and torques drawn up', 'face', 'before', [0, 0, 0], [0.3, 0.8, 1.65], 'The kit comes without instructions')]),
  ...given(all(yes('kit.in'), no('kit.crank-bolts')), [blocker('kit-loses-a-crank-bolt', 'The kit loses a crank bolt', 'crank', 'before', [0, 0, 0], [0, 0, 0], 'A wheel held by some of its bolts comes off', { caution: ['rotating'] })]),
  ...given(all(TRAIN_APART, no('engine.turns')), [blocker('engine-turns-the-wrong-way', 'The engine turns the wrong way', 'crank', 'before', [0, 0, 0], [0, 0, 0], 'The vehicle would have one speed forward and many back')]),
  ...given(all(CASTINGS, TRAIN_APART), [
    task('castings-split-on-rails', 'Castings split on rails', 'coupling', 'stripping', [0, 0, 0], [6, 10, 20], 'Block and clutch case are the frame: it falls in two', { caution: ['lifting'] }),
    service('plate-judged-for-bending', 'Plate judged for bending', 'face', 'before', [60, 200, 600], [0.3, 0.55, 1.65], 'A plate between castings carries the tractor', { only: has('plate') }),
    part('case-studs-and-long-bolts', 'Case studs and long bolts', 'face', 'mating', [20, 60, 180], [0.1, 0.3, 0.8], 'They hold the tractor together', { comes: ['recipient'] }),
  ]),
  ...given(all(TRAIN_APART, is('joint.block-face', 'work', 'bridge')), [
    task('bolts-by-grip-thread-and-class-drawn', 'Bolts by grip, thread and class drawn', 'face', 'before', [0, 0, 0], [0.15, 0.4, 0.8], 'What clamps the train is counted before it is bought'),
  ]),
  ...given(AUTOMATIC, [task('converter-held-in-by-a-strap', 'Converter held in by a strap', 'coupling', 'mating', [0, 2, 8], [0.05, 0.1, 0.2], 'It slides off its pump while the case is lifted')]),
  ...given(all(SIDE_SHAFTS, TRAIN_APART), [part('stay-between-block-and-case', 'Stay between block and case', 'face', 'final fit', [10, 25, 80], [0.1, 0.2, 0.6], 'A crosswise train bends at the joint without it', { comes: ['engine'] })]),
  ...given(yes('kit.in'), [
    task('plate-s-flatness-thickness-age-and-batch-looked-at', 'Flatness, thickness, age and batch of the plate looked at', 'face', 'before', [0, 0, 0], [0.15, 0.3, 0.55], 'Of one design there are good batches and bad'),
  ]),
  ...given(all(yes('kit.in'), no('kit.holes')), [task('dowel-holes-measured-reamed-or-bushed', 'Dowel holes measured, reamed or bushed', 'face', 'mating', [0, 40, 140], [0.3, 0.8, 2.2], 'Holes cut by heat do not locate')]),
  ...given(all(yes('kit.in'), no('kit.class')), [
    part('bolts-and-plate-of-known-class', 'Bolts and plate of known class', 'face', 'before', [15, 60, 400], [0.1, 0.2, 0.8], 'Nobody told class or material, and a wheel turns beside it', { caution: ['rotating'] }),
  ]),
  ...given(all(yes('kit.in'), no('kit.whole')), [task('two-part-plate-doweled-and-indicated', 'Two-part plate doweled and indicated', 'face', 'mating', [0, 30, 120], [0.55, 1.1, 2.75], 'Two pieces move against one another')]),
  ...given(all(yes('kit.in'), yes('kit.reports')), [task('failure-reports-answered', 'Failure reports answered', 'papers', 'before', [0, 0, 0], [0.15, 0.55, 1.1], 'Others had it fail; what was changed since?')]),
  ...given(all(yes('kit.in'), no('kit.proven')), [task('unproven-kit-waited-or-accepted-in-writing', 'Unproven kit: waited, or accepted in writing', 'papers', 'before', [0, 0, 0], [0.1, 0.3, 0.55], 'Nobody has run one yet')]),
]
