import { all, is } from '../condition.ts'
import { COMPUTER, ENGINE_IN, GEARBOX_IN, ROAD } from './conditions.ts'
import { given, part, task } from './row.ts'

export const EXHAUST_LINES = [
  ...given(ENGINE_IN, [
    part('manifold-gasket-studs-and-nuts', 'Manifold gasket, studs and nuts', 'engine under', 'mating', [15, 40, 110], [0.2, 0.4, 1.2], 'Studs break, nuts are used once', { renew: 'always' }),
    part('front-pipe', 'Front pipe', 'engine under', 'final fit', [60, 160, 400], [0.6, 1.2, 2.4], 'Its route past steering and starter shows at mock-up', { waits: 'mock-up', part: 'exhaust' }),
    part('hangers-and-silencers', 'Hangers and silencers', 'engine under', 'final fit', [40, 150, 450], [0.4, 1, 2.4], 'The rest follows the front pipe', { only: ROAD, waits: 'mock-up' }),
    part('exhaust-heat-shields', 'Exhaust heat shields', 'engine under', 'final fit', [10, 40, 130], [0.1, 0.3, 0.8], 'Floor, hoses and shafts are near', { only: ROAD, waits: 'mock-up' }),
    part('manifold-and-its-shield', 'Manifold and its shield', 'engine under', 'mating', [30, 110, 350], [0.15, 0.3, 0.8], 'A bare engine lacks it', { only: is('joint.exhaust', 'fits', 'work'), comes: ['engine'] }),
  ]),
  ...given(all(ENGINE_IN, is('joint.exhaust', 'bridge', 'clash')), [part('other-manifold', 'Other manifold', 'engine under', 'mock-up', [90, 280, 750], [0.4, 1, 2.4], 'Its own meets what is there')]),
  ...given(all(ENGINE_IN, is('engine.air', 'turbo')), [
    part('turbo-outlet-pipe', 'Turbo outlet pipe', 'engine under', 'final fit', [50, 140, 380], [0.3, 0.6, 1.6], 'It is this bay’s', { waits: 'mock-up' }),
    part('turbo-studs-and-nuts-of-hot-class', 'Turbo studs and nuts of hot class', 'engine under', 'mating', [8, 25, 70], [0.1, 0.2, 0.6], 'Others let go when it glows', { renew: 'always' }),
  ]),
  ...given(all(ENGINE_IN, COMPUTER, is('engine.fuel', 'petrol')), [part('sensor-bung', 'Sensor bung', 'engine under', 'final fit', [4, 12, 35], [0.1, 0.15, 0.4], 'An oxygen sensor screws into one')]),
  ...given(all(ENGINE_IN, is('vehicle.layout', 'crosswise', 'mid', 'rear')), [part('flexible-piece', 'Flexible piece', 'engine under', 'final fit', [20, 50, 130], [0.1, 0.25, 0.6], 'A rocking engine tears a stiff pipe')]),
  ...given(all(GEARBOX_IN, is('build.engine', 'kept'), is('joint.exhaust', 'work', 'bridge', 'clash')), [
    task('exhaust-hung-anew-round-the-gearbox', 'Exhaust hung anew round the gearbox', 'engine under', 'final fit', [10, 60, 220], [0.4, 1.1, 2.75], 'The gearbox meets it'),
  ]),
  ...given(all(ENGINE_IN, is('vehicle.layout', 'tractor')), [part('upright-pipe-and-spark-arrester', 'Upright pipe and spark arrester', 'engine top', 'final fit', [30, 100, 280], [0.2, 0.4, 1], 'Hay burns', { comes: ['recipient'] })]),
  ...given(all(ENGINE_IN, is('joint.exhaust', 'work')), [part('front-pipe-bent-anew', 'Front pipe bent anew', 'engine under', 'final fit', [20, 70, 220], [0.3, 0.6, 1.6], 'It nearly passes')]),
  ...given(all(ENGINE_IN, is('joint.pipe-flange', 'work', 'bridge')), [
    part('flange-or-ring-between-manifold-and-pipe', 'Flange or ring between manifold and pipe', 'engine under', 'final fit', [10, 30, 90], [0.1, 0.25, 0.6], 'Flanges differ'),
  ]),
  ...given(all(ENGINE_IN, is('vehicle.layout', 'crosswise', 'mid')), [
    part('exhaust-stay-at-the-gearbox', 'Exhaust stay at the gearbox', 'engine under', 'final fit', [5, 18, 60], [0.1, 0.15, 0.4], 'The pipe hangs on it', { waits: 'mock-up' }),
  ]),
]
