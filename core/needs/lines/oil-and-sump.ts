import { all, any, has, is, no, yes } from '../condition.ts'
import { ENGINE_IN, PAN_CLASH } from './conditions.ts'
import { given, part, service, task } from './row.ts'

export const OIL_AND_SUMP_LINES = [
  ...given(ENGINE_IN, [
    part('oil-filter', 'Oil filter', 'engine under', 'final fit', [6, 12, 30], [0.05, 0.1, 0.1], 'New at first start, and again soon after', { renew: 'twice' }),
    part('sump-gasket-and-drain-washer', 'Sump gasket and drain washer', 'engine under', 'mating', [8, 25, 70], [0.2, 0.4, 0.8], 'The pan is looked into before it goes in', { renew: 'always' }),
    task('oil-pressure-before-the-first-fire', 'Oil pressure before the first fire', 'engine under', 'first fire', [0, 0, 0], [0.15, 0.3, 0.8], 'Built with the fuel off, not by long cranking'),
    part('pressure-sender-adapter', 'Pressure sender adapter', 'engine under', 'wiring', [4, 12, 35], [0.05, 0.1, 0.3], 'The old gauge reads by the old sender’s thread', { only: is('vehicle.cluster', 'senders') }),
    part('breather-valve-and-hoses', 'Breather valve and hoses', 'engine top', 'final fit', [10, 30, 90], [0.1, 0.15, 0.4], 'Pressure in the case pushes seals out', { comes: ['engine'] }),
    part('dipstick-and-tube', 'Dipstick and tube', 'engine under', 'final fit', [8, 25, 70], [0.05, 0.1, 0.25], 'It often ends where nobody reaches', { comes: ['engine'] }),
    part('filler-cap-and-neck', 'Filler cap and neck', 'engine top', 'final fit', [4, 12, 40], [0.05, 0.05, 0.1], 'It stays on the donor', { comes: ['engine'] }),
  ]),
  ...given(PAN_CLASH, [
    part('sump', 'Pan of the other end', 'engine under', 'mating', [60, 220, 600], [0.4, 0.8, 2], 'The deep end meets what is there', { only: is('choice.sump', 'pan') }),
    service('pan-cut-and-welded', 'Pan cut and welded', 'engine under', 'mating', [60, 180, 450], [0.3, 0.8, 2.2], 'The deep end meets what is there, and cutting was chosen', {
      only: all(is('choice.sump', 'cut'), no('build.bolt-in')),
      caution: ['welding', 'cutting'],
      work: ['weld', 'cut'],
    }),
    task('axle-or-crossmember-moved-for-the-pan', 'Axle or crossmember moved for the pan', 'axle', 'mock-up', [40, 250, 900], [6, 16, 40], 'The deep end meets what is there, and moving was chosen', {
      only: is('choice.sump', 'member'),
      caution: ['steering-and-brakes'],
    }),
    task('tie-rod-axle-and-ground-clearance-at-droop', 'Tie rod, axle and ground clearance at droop', 'engine under', 'mock-up', [0, 0, 0], [0.15, 0.35, 0.8], 'Clear at rest is not clear'),
  ]),
  ...given(has('pan-cut-and-welded'), [
    task(
      'pickup-and-dipstick-altered-leak-tested-content-measured',
      'Pickup and dipstick altered, leak-tested, content measured',
      'engine under',
      'mating',
      [10, 40, 140],
      [0.55, 1.1, 2.75],
      'Another pan holds another amount, and the pickup must reach it',
    ),
  ]),
  ...given(has('sump'), [
    part('pickup-of-that-pan', 'Pickup of that pan', 'engine under', 'mating', [15, 50, 150], [0.1, 0.25, 0.6], 'Pan and pickup go together'),
    part('dipstick-tube-and-windage-tray', 'Dipstick, tube and windage tray of that pan', 'engine under', 'mating', [15, 50, 150], [0.1, 0.25, 0.6], 'They go with the pan'),
  ]),
  ...given(all(ENGINE_IN, is('joint.oil-filter', 'bridge')), [
    part('remote-filter-plate-and-hoses', 'Remote filter, plate and hoses', 'engine under', 'final fit', [60, 130, 300], [0.3, 0.6, 1.2], 'The filter meets what is there', { waits: 'mock-up' }),
    task('its-place-and-flow-direction', 'Place and flow direction of the remote filter', 'engine under', 'final fit', [0, 0, 0], [0.1, 0.2, 0.55], 'Connected backward it starves the engine'),
  ]),
  ...given(all(ENGINE_IN, is('build.use', 'track', 'trail')), [part('pan-baffle', 'Pan baffle', 'engine under', 'mating', [30, 90, 260], [0.3, 0.6, 1.6], 'Oil runs from the pickup in a bend or on a slope', { level: 'wanted' })]),
  ...given(any(all(ENGINE_IN, is('build.use', 'towing', 'track')), all(ENGINE_IN, is('engine.cooling', 'air'))), [
    part('oil-cooler', 'Oil cooler', 'radiator', 'final fit', [70, 180, 450], [0.3, 0.6, 1.2], 'Its work heats the oil', { level: 'wanted' }),
  ]),
  ...given(all(ENGINE_IN, yes('donor.hit-under')), [part('pan-and-pickup-renewed', 'Pan and pickup renewed', 'engine under', 'before', [60, 180, 480], [0.3, 0.6, 1.2], 'The donor was hit underneath')]),
  ...given(all(ENGINE_IN, yes('engine.sump-clear')), [part('pan-pickup-drain-plug', 'Pan, pickup and drain plug', 'engine under', 'mating', [0, 40, 160], [0.1, 0.15, 0.4], 'Those of the engine go in as they are', { comes: ['engine'] })]),
  ...given(all(ENGINE_IN, is('joint.filter-thread', 'work', 'bridge')), [
    part('filter-or-stud-of-matching-thread', 'Filter or stud of matching thread', 'engine under', 'final fit', [5, 15, 50], [0.05, 0.1, 0.3], 'Thread of filter and head differ'),
  ]),
  ...given(has('oil-cooler'), [
    part('take-off-plate-hoses-place-in-the-air', 'Oil cooler: take-off plate, hoses, place in the air', 'radiator', 'final fit', [40, 110, 280], [0.3, 0.6, 1.2], 'A cooler is hoses first', { waits: 'mock-up' }),
  ]),
  ...given(all(ENGINE_IN, is('donor.kind', 'bare')), [part('filter-housing-relief-valve-studs', 'Filter housing, relief valve, studs', 'engine under', 'before', [15, 50, 160], [0.1, 0.25, 0.6], 'A bare engine comes without')]),
]
