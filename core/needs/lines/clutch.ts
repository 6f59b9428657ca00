import { all, any, is, no, yes } from '../condition.ts'
import { CASTINGS, MANUAL, RESEALED } from './conditions.ts'
import { given, part, task } from './row.ts'

export const CLUTCH_LINES = [
  ...given(all(MANUAL, is('build.school', 'as-is'), yes('donor.clutch')), [
    part('disc', 'Clutch disc', 'coupling', 'mating', [40, 90, 250], [0.1, 0.1, 0.2], 'That of the donor, seen to be good', { comes: ['engine'], caution: ['asbestos'] }),
    part('cover', 'Clutch cover', 'coupling', 'mating', [60, 140, 350], [0.1, 0.2, 0.4], 'That of the donor, seen to be good', { comes: ['engine'], caution: ['asbestos'] }),
  ]),
  ...given(any(all(MANUAL, RESEALED), all(MANUAL, no('donor.clutch'))), [
    part('new-disc', 'Clutch disc, new', 'coupling', 'mating', [45, 100, 250], [0.1, 0.1, 0.2], 'A worn clutch costs the whole work again', { renew: 'always', part: 'disc', caution: ['asbestos'] }),
    part('new-cover', 'Clutch cover, new', 'coupling', 'mating', [60, 150, 350], [0.1, 0.2, 0.4], 'A worn clutch costs the whole work again', { renew: 'always', part: 'cover', caution: ['asbestos'] }),
  ]),
  ...given(MANUAL, [
    part('guide-tube', 'Guide tube', 'coupling', 'mating', [10, 30, 90], [0.05, 0.1, 0.2], 'The bearing slides on it; a worn one sticks', { only: is('gearbox.release', 'fork'), comes: ['gearbox'] }),
    part('cover-bolt', 'Cover bolts', 'coupling', 'mating', [6, 14, 30], [0.1, 0.1, 0.2], 'New for what turns beside a foot', { renew: 'always' }),
    part('release-bearing', 'Release bearing', 'coupling', 'mating', [20, 60, 180], [0.1, 0.15, 0.4], 'It is in reach now', { only: is('gearbox.release', 'fork'), renew: 'always' }),
    task('way-round-gap-and-travel-checked', 'Way round, gap and travel of the clutch checked', 'coupling', 'mating', [0, 0, 0], [0.15, 0.3, 0.55], 'A reversed disc rubs where it must not'),
  ]),
  ...given(any(all(MANUAL, is('build.output', 'raised')), all(MANUAL, is('joint.torque-clutch', 'clash'))), [
    part('clutch-of-higher-rating', 'Clutch of higher rating (the difference)', 'coupling', 'before', [80, 220, 600], [0, 0.1, 0.2], 'It must hold more than it was made for', { part: 'cover' }),
  ]),
  ...given(all(MANUAL, is('gearbox.release', 'fork')), [
    part('release-fork-boot-and-clip', 'Release fork, boot and clip', 'coupling', 'mating', [15, 45, 120], [0.1, 0.15, 0.4], 'They stay in the other bell', { comes: ['gearbox'] }),
    part('fork-stud', 'Release fork stud', 'coupling', 'mating', [5, 15, 40], [0.1, 0.1, 0.4], 'Its height sets the bearing', { comes: ['gearbox'] }),
  ]),
  ...given(all(MANUAL, is('gearbox.release', 'concentric')), [
    part('concentric-slave', 'Concentric slave', 'coupling', 'mating', [50, 120, 280], [0.15, 0.3, 0.6], 'A ring slave that leaks means the gearbox out again', { renew: 'always', part: 'release-bearing' }),
    part('slave-pipe-and-bleed-pipe', 'Slave pipe and bleed pipe', 'coupling', 'final fit', [15, 40, 110], [0.1, 0.2, 0.6], 'They pass through the bell', { comes: ['gearbox'], waits: 'mock-up' }),
  ]),
  ...given(all(MANUAL, CASTINGS), [part('two-stage-clutch', 'Two-stage clutch', 'coupling', 'mating', [150, 380, 900], [0.4, 0.8, 1.6], 'The take-off runs on while the drive is pressed', { comes: ['gearbox'] })]),
]
