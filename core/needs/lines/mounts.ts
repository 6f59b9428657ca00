import { all, has, is, no, not } from '../condition.ts'
import { CASTINGS, DIESEL_IN, ENGINE_IN, GEARBOX_IN, MEMBER_MOVES, SIDE_SHAFTS } from './conditions.ts'
import { given, part, task } from './row.ts'

export const MOUNTS_LINES = [
  ...given(all(ENGINE_IN, not(CASTINGS)), [
    part('engine-mount', 'Engine mounts', 'engine under', 'final fit', [40, 120, 400], [0.3, 0.5, 1.2], 'Old rubber lets it fall on what it just cleared', { renew: 'always', quantity: 2 }),
    part('engine-brackets-and-bolts', 'Engine brackets and bolts', 'engine under', 'mating', [20, 60, 180], [0.15, 0.3, 0.6], 'They stay on the donor if nobody asks', { comes: ['engine'] }),
  ]),
  ...given(all(ENGINE_IN, is('joint.engine-mounts', 'bridge')), [
    part('chassis-brackets', 'Chassis brackets', 'engine under', 'mock-up', [40, 140, 400], [0.4, 1, 2.4], 'The pads do not meet'),
    task('brackets-bolted-on', 'Brackets bolted on', 'engine under', 'mock-up', [5, 20, 60], [0.8, 1.65, 3.3], 'The pads do not meet, and bolting was chosen', { only: is('choice.mounts', 'bolt') }),
    task('brackets-welded', 'Brackets welded', 'engine under', 'mock-up', [5, 15, 40], [0.8, 1.65, 3.3], 'The pads do not meet, and welding was chosen', {
      only: all(is('choice.mounts', 'weld'), no('build.bolt-in')),
      caution: ['welding'],
      work: ['weld'],
    }),
  ]),
  ...given(all(ENGINE_IN, has('plate'), is('build.place', 'keep')), [
    task('front-of-engine-checked-mounts-fan-pan', 'Front of the engine checked: mounts, fan, pan', 'front', 'mock-up', [0, 0, 0], [0.15, 0.35, 0.8], 'A plate moves the engine forward by its thickness'),
  ]),
  ...given(all(GEARBOX_IN, not(CASTINGS)), [part('gearbox-mount', 'Gearbox mount', 'gearbox', 'final fit', [20, 60, 180], [0.15, 0.3, 0.6], 'Old rubber lets the lever wander', { renew: 'always' })]),
  ...given(all(MEMBER_MOVES, not(CASTINGS)), [
    part('crossmember-moved-or-made', 'Crossmember moved or made', 'gearbox', 'mock-up', [30, 120, 400], [0.6, 1.6, 4], 'The mount sits elsewhere', { waits: 'mock-up', caution: ['steering-and-brakes'] }),
    part('crossmember-bolts-sleeves-spacers', 'Crossmember bolts, sleeves, spacers', 'gearbox', 'mock-up', [5, 20, 60], [0.1, 0.25, 0.6], 'A moved member is bolted through'),
    task('crossmember-bolted-to-drilled-rails', 'Crossmember bolted to drilled rails', 'gearbox', 'mock-up', [3, 12, 40], [0.4, 0.8, 2.2], 'Bolting was chosen', { only: all(is('choice.member', 'bolt'), is('vehicle.body', 'rails')) }),
    task('crossmember-bolted-with-spreader-plates', 'Crossmember bolted with spreader plates', 'gearbox', 'mock-up', [8, 25, 80], [0.55, 1.1, 2.75], 'Bolting was chosen, and a shell’s sheet needs plates behind it', {
      only: all(is('choice.member', 'bolt'), is('vehicle.body', 'shell')),
    }),
    task('crossmember-ears-welded', 'Crossmember ears welded', 'gearbox', 'mock-up', [3, 12, 40], [0.55, 1.1, 2.75], 'Welding was chosen', {
      only: all(is('choice.member', 'weld'), no('build.bolt-in')),
      caution: ['welding'],
      work: ['weld'],
    }),
  ]),
  ...given(all(ENGINE_IN, is('vehicle.layout', 'crosswise', 'mid')), [
    part('torque-rods-and-tower-mount', 'Torque rods and tower mount', 'engine under', 'final fit', [30, 90, 260], [0.25, 0.4, 1], 'A crosswise engine rocks against them', { comes: ['recipient', 'vehicle'] }),
    part('cradle-bolts-and-bushes', 'Cradle bolts and bushes', 'engine under', 'final fit', [20, 60, 180], [0.2, 0.5, 1.2], 'The cradle comes out with the engine', { comes: ['recipient'] }),
  ]),
  ...given(all(has('brackets-welded'), is('vehicle.body', 'shell')), [
    task('shell-plated-at-the-brackets', 'Shell plated at the brackets', 'body', 'mock-up', [5, 20, 60], [0.4, 0.8, 2.2], 'Thin sheet tears at a bracket', { caution: ['welding'], work: ['weld'] }),
  ]),
  ...given(all(has('brackets-bolted-on'), is('vehicle.body', 'shell')), [part('backing-plates', 'Backing plates', 'body', 'mock-up', [5, 20, 60], [0.15, 0.3, 0.8], 'Bolts pull through thin sheet')]),
  ...given(all(CASTINGS, ENGINE_IN), [part('front-support-casting', 'Front support casting', 'front', 'mock-up', [80, 300, 900], [0.8, 2, 5.6], 'The front axle hangs on it', { waits: 'mock-up' })]),
  ...given(all(ENGINE_IN, is('vehicle.layout', 'tractor'), is('vehicle.frame', 'rails')), [
    task('side-rails-drilled-or-widened', 'Side rails drilled or widened', 'body', 'mock-up', [10, 50, 200], [1.1, 2.75, 7.7], 'The engine sits on a frame of another width'),
  ]),
  ...given(all(ENGINE_IN, no('donor.mounts-whole')), [
    task('ears-threads-and-brackets-looked-at-for-cracks', 'Ears, threads and brackets looked at for cracks', 'engine under', 'before', [0, 0, 0], [0.1, 0.2, 0.55], 'The donor’s mounts are torn'),
  ]),
  ...given(all(ENGINE_IN, is('joint.engine-mounts', 'work')), [task('holes-slotted-heights-shimmed', 'Holes slotted, heights shimmed', 'engine under', 'mock-up', [3, 12, 40], [0.3, 0.55, 1.65], 'The pads nearly meet')]),
  ...given(all(GEARBOX_IN, is('build.engine', 'kept')), [
    task('engine-held-from-above-its-mounts-and-fan-watched', 'Engine held from above, its mounts and fan watched', 'engine top', 'stripping', [0, 10, 60], [0.1, 0.2, 0.55], 'It tips when the gearbox leaves', { caution: ['lifting'] }),
  ]),
  ...given(all(DIESEL_IN, is('vehicle.fuel', 'petrol')), [part('mounts-for-a-diesel-s-shake', 'Mounts for a diesel’s shake', 'engine under', 'before', [40, 120, 320], [0.1, 0.15, 0.4], 'The old ones were made for petrol')]),
  ...given(all(GEARBOX_IN, SIDE_SHAFTS), [part('gearbox-side-mount', 'Gearbox side mount', 'gearbox', 'final fit', [20, 60, 180], [0.1, 0.25, 0.6], 'A transaxle hangs at its side', { comes: ['gearbox', 'vehicle'] })]),
]
