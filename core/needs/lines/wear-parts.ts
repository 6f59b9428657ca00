import { all, any, is, no, yes } from '../condition.ts'
import { ENGINE_IN, MANUAL, RESEALED, TRAIN_APART } from './conditions.ts'
import { again, blocker, given, paper, part, service, task } from './row.ts'

export const WEAR_PARTS_LINES = [
  ...given(all(TRAIN_APART, RESEALED), [part('rear-main-seal', 'Rear main seal', 'crank', 'mating', [12, 30, 80], [0.2, 0.4, 0.8], 'In reach now, a day’s work later', { renew: 'always' })]),
  ...given(all(ENGINE_IN, RESEALED), [
    part('front-and-cam-seals', 'Front and cam seals', 'front', 'mating', [15, 40, 110], [0.3, 0.6, 1.2], 'In reach now', { renew: 'always' }),
    part('valve-cover-gasket-its-rings-and-bolts', 'Valve cover gasket, its rings and bolts', 'engine top', 'mating', [12, 35, 90], [0.2, 0.4, 0.8], 'In reach now', { renew: 'always' }),
  ]),
  ...given(all(ENGINE_IN, is('engine.timing', 'belt')), [part('timing-belt-kit', 'Timing belt kit', 'front', 'mating', [60, 140, 320], [0.6, 1, 2], 'Of unknown age; when it breaks the engine is scrap', { renew: 'always' })]),
  ...given(all(ENGINE_IN, is('engine.timing', 'chain'), is('build.school', 'reseal')), [task('chain-and-guides-looked-at', 'Chain and guides looked at', 'front', 'before', [0, 0, 0], [0.3, 0.55, 1.1], 'Guides break before chains')]),
  ...given(all(ENGINE_IN, is('build.school', 'rebuild')), [
    service('engine-measured-and-machined', 'Engine measured and machined', 'engine top', 'before', [350, 800, 2000], [1.1, 2.2, 4.4], 'Rebuilt by wish'),
    part('bearings-and-rings', 'Bearings and rings', 'crank', 'before', [120, 260, 600], [6, 12, 24], 'Rebuilt by wish'),
    part('head-gasket-set-and-bolts', 'Head gasket set and bolts', 'engine top', 'before', [60, 140, 350], [0.8, 1.6, 3.2], 'Opened, or fouled', { renew: 'always' }),
    part('oil-pump', 'Oil pump', 'crank', 'before', [40, 110, 280], [0.2, 0.4, 0.8], 'Rebuilt by wish'),
  ]),
  ...given(all(TRAIN_APART, no('donor.dry-under')), [again('rear-main-seal', 'In reach now, a day’s work later'), again('input-seal', 'What leaks here lands on the disc')]),
  ...given(all(ENGINE_IN, no('donor.coolant-clean')), [
    again('head-gasket-set-and-bolts', 'Opened, or fouled'),
    service('head-checked-flat-and-tight', 'Head checked flat and tight', 'engine top', 'before', [50, 120, 300], [0.3, 0.55, 1.1], 'Its coolant was fouled'),
  ]),
  ...given(any(all(ENGINE_IN, no('donor.oil-clean')), all(ENGINE_IN, no('donor.quiet-below'))), [
    blocker('bearings-looked-at-before-money', 'Bearings looked at before money', 'crank', 'before', [0, 0, 0], [0, 0, 0], 'It knocks, or its oil shines'),
  ]),
  ...given(all(ENGINE_IN, no('donor.clear-smoke')), [task('compression-and-leak-down', 'Compression and leak-down', 'engine top', 'before', [0, 0, 0], [0.4, 0.65, 1.4], 'It smokes')]),
  ...given(all(ENGINE_IN, no('donor.starts-cold')), [task('starting-fault-found-before-money', 'Starting fault found before money', 'engine top', 'before', [0, 0, 0], [0.3, 0.8, 2.2], 'It does not start cold')]),
  ...given(all(ENGINE_IN, no('donor.runs-even')), [task('injection-and-ignition-fault-found', 'Injection and ignition fault found', 'engine top', 'before', [0, 30, 150], [0.4, 1.1, 3.3], 'It runs unevenly')]),
  ...given(all(MANUAL, no('donor.clutch')), [again('rear-main-seal', 'In reach now, a day’s work later')]),
  ...given(all(ENGINE_IN, yes('engine.fault')), [part('known-fault-cured-while-out', 'Known fault of the engine cured while out', 'engine top', 'before', [40, 180, 700], [0.4, 1.6, 4.8], 'Its year group has one, and it is in reach now')]),
  ...given(all(ENGINE_IN, yes('donor.hit-front')), [part('front-cover-pulleys-and-brackets', 'Front cover, pulleys and brackets', 'front', 'before', [40, 160, 480], [0.4, 1, 2.4], 'The donor was hit in front')]),
  ...given(all(ENGINE_IN, yes('donor.hit-front-corner')), [task('block-ears-and-accessories-looked-at', 'Block ears and accessories looked at', 'front', 'before', [0, 0, 0], [0.15, 0.35, 0.8], 'The donor was hit at a corner')]),
  ...given(all(TRAIN_APART, any(yes('donor.hit-left'), yes('donor.hit-right'))), [
    task('donor-s-loom-shaft-and-end-covers-looked-at', 'The donor’s loom, shaft and end covers looked at', 'wiring', 'before', [0, 0, 0], [0.15, 0.35, 0.8], 'It was hit at the side'),
  ]),
  ...given(all(ENGINE_IN, yes('donor.hit-tank')), [task('donor-s-tank-drained-first-its-pump-not-counted', 'The donor’s tank drained first, its pump not counted', 'tank', 'before', [0, 0, 0], [0.15, 0.3, 0.8], 'It was hit at the tank')]),
  ...given(all(ENGINE_IN, is('build.school', 'as-is')), [task('leaks-noted-warm', 'Leaks noted warm', 'engine top', 'before', [0, 0, 0], [0.1, 0.2, 0.45], 'It goes in as it is')]),
  ...given(all(ENGINE_IN, is('engine.timing', 'gears'), RESEALED), [task('timing-gears-backlash-measured', 'Backlash of the timing gears measured', 'front', 'before', [0, 0, 0], [0.15, 0.35, 0.65], 'They are seen once')]),
  ...given(all(ENGINE_IN, is('engine.timing', 'chain'), is('build.school', 'rebuild')), [
    part('chain-guides-and-tensioner', 'Chain, guides and tensioner', 'front', 'before', [60, 150, 380], [0.6, 1.2, 2.4], 'Rebuilt by wish', { renew: 'always' }),
  ]),
  ...given(all(ENGINE_IN, yes('donor.washed')), [task('run-warm-leaks-looked-for-again', 'Run warm, leaks looked for again', 'engine top', 'before', [0, 0, 0], [0.15, 0.35, 0.65], 'A washed engine shows no leaks')]),
  ...given(all(ENGINE_IN, no('donor.reason-told')), [task('reason-for-sale-asked-seller-s-name-kept', 'Reason for sale asked, the seller’s name kept', 'papers', 'before', [0, 0, 0], [0.05, 0.1, 0.3], 'What is not told is the reason')]),
  ...given(all(ENGINE_IN, is('donor.kind', 'new')), [paper('run-in-and-warranty-terms-kept', 'Run-in and warranty terms kept', 'papers', 'after', [0, 0, 0], [0.05, 0.1, 0.2], 'A warranty hangs on them')]),
  ...given(all(ENGINE_IN, is('donor.kind', 'pulled', 'bare')), [
    task('what-it-lacks-ticked-against-a-full-set', 'What it lacks ticked against a full set', 'engine top', 'before', [0, 0, 0], [0.3, 0.55, 1.1], 'A cheap bare engine is the dear one'),
  ]),
]
