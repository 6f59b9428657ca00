import { all, any, has, is, no, yes } from '../condition.ts'
import { ASKS_CUT, ASKS_WELD, CASTINGS, CUT, ENGINE_IN, HYDRAULIC_CLUTCH, LENGTHWISE_SHAFT, MORE_HEAT, ROAD, TRAIN_APART } from './conditions.ts'
import { blocker, given, paper, part, task } from './row.ts'

export const BODY_AND_CHASSIS_LINES = [
  ...given(all(ENGINE_IN, ROAD), [part('bay-cleaned-holes-closed', 'Bay cleaned, holes closed', 'body', 'stripping', [10, 40, 160], [0.6, 1.6, 4], 'It is empty once', { level: 'wanted' })]),
  ...given(all(TRAIN_APART, is('room.tunnel', 'short')), [
    task('tunnel-opened', 'Tunnel opened', 'tunnel', 'mock-up', [15, 60, 200], [1.65, 3.85, 8.8], 'The tunnel is low or narrow, and opening was chosen', {
      only: all(is('choice.tunnel', 'open'), no('build.uncut')),
      caution: ['cutting'],
      work: ['cut'],
    }),
    task('train-lowered-or-body-raised', 'Train lowered or body raised', 'tunnel', 'mock-up', [20, 90, 320], [1.1, 2.75, 7.7], 'The tunnel is low, and this was chosen', { only: is('choice.tunnel', 'lower'), caution: ['lifting'] }),
  ]),
  ...given(all(ENGINE_IN, is('room.width', 'short')), [
    blocker('towers-in-the-way', 'Towers in the way', 'body', 'before', [0, 0, 0], [0, 0, 0], 'The engine is wider than its bay', { cured: ['inner-panels-dressed', 'engine-set-lower-or-aside'] }),
    task('inner-panels-dressed', 'Inner panels dressed', 'body', 'mock-up', [10, 40, 140], [1.1, 2.75, 6.6], 'Chosen as the way out', { only: all(is('choice.width', 'panels'), no('build.uncut')), caution: ['cutting'], work: ['cut'] }),
    task('engine-set-lower-or-aside', 'Engine set lower or aside', 'engine under', 'mock-up', [10, 50, 180], [0.8, 2.2, 5.5], 'Chosen as the way out', { only: is('choice.width', 'move') }),
  ]),
  ...given(all(ENGINE_IN, is('room.length', 'short')), [
    task('radiator-support-moved', 'Radiator support moved', 'radiator', 'mock-up', [15, 60, 220], [1.1, 2.75, 6.6], 'The bay is short, and this was chosen', {
      only: all(is('choice.length', 'support'), no('build.uncut')),
      caution: ['cutting'],
      work: ['cut'],
    }),
  ]),
  ...given(CUT, [
    part('reinforcement-of-each-cut', 'Reinforcement of each cut', 'body', 'mock-up', [10, 40, 150], [0.6, 1.6, 4], 'What is cut carried something', { caution: ['welding'], work: ['weld'] }),
    part('corrosion-protection', 'Corrosion protection', 'body', 'final fit', [15, 40, 110], [0.3, 0.6, 1.6], 'A bare edge rusts from the first rain'),
    paper('cut-signed-off', 'Cut signed off', 'papers', 'mock-up', [80, 180, 450], [0.15, 0.3, 0.9], 'By an engineer or a licensed person'),
  ]),
  ...given(all(ASKS_CUT, yes('build.uncut')), [blocker('cut-against-the-wish', 'A cut against the wish', 'body', 'before', [0, 0, 0], [0, 0, 0], 'Nothing was to be cut')]),
  ...given(all(ASKS_WELD, yes('build.bolt-in')), [blocker('weld-against-the-wish', 'A weld against the wish', 'body', 'before', [0, 0, 0], [0, 0, 0], 'Nothing was to be welded')]),
  ...given(all(ENGINE_IN, is('joint.axle-load', 'work', 'bridge')), [
    part('springs-and-dampers', 'Springs and dampers', 'axle', 'final fit', [100, 280, 750], [0.8, 1.6, 3.2], 'The axle carries more, or less', { caution: ['springs'] }),
    part('larger-brakes', 'Larger brakes', 'axle', 'final fit', [120, 380, 1100], [1.2, 2.4, 4.8], 'Mass and power grew', { caution: ['asbestos', 'steering-and-brakes'] }),
  ]),
  ...given(all(ENGINE_IN, ROAD, MORE_HEAT), [part('heat-lining', 'Heat lining', 'body', 'final fit', [20, 60, 180], [0.3, 0.6, 1.6], 'More heat than the floor was made for')]),
  ...given(all(ENGINE_IN, is('vehicle.layout', 'mid', 'rear')), [part('bay-ventilation', 'Bay ventilation', 'body', 'mock-up', [15, 60, 200], [0.4, 1, 2.4], 'The bay has no wind')]),
  ...given(all(CASTINGS, ENGINE_IN), [part('bonnet-and-side-panels-refitted-catches-moved', 'Bonnet and side panels refitted, catches moved', 'body', 'final fit', [10, 60, 240], [0.6, 1.6, 4], 'The nose moves', { comes: ['recipient'] })]),
  ...given(has('tunnel-opened'), [
    part('hand-brake-seat-rails-carpet-refitted', 'Hand brake, seat rails, carpet refitted', 'cab', 'final fit', [5, 30, 120], [0.4, 1, 2.8], 'The tunnel was opened', { waits: 'mock-up' }),
    part('pipes-and-cables-over-the-tunnel-moved', 'Pipes and cables over the tunnel moved', 'tunnel', 'mock-up', [5, 25, 90], [0.3, 0.6, 1.6], 'The tunnel was opened', { waits: 'mock-up' }),
  ]),
  ...given(has('train-lowered-or-body-raised'), [
    part('steering-shaft-brake-hoses-levers-and-pipes-lengthened', 'Steering shaft, brake hoses, levers and pipes lengthened', 'engine under', 'mock-up', [40, 160, 480], [0.8, 2, 4.8], 'The body is raised or the train lowered', {
      waits: 'mock-up',
      caution: ['steering-and-brakes'],
    }),
    paper('bumper-and-lamp-height-law-asked', 'Height of bumper and lamps: law asked', 'papers', 'before', [0, 20, 120], [0.1, 0.2, 0.6], 'The body is raised'),
  ]),
  ...given(has('firewall-recessed'), [
    task('heater-box-wiper-drive-and-pedals-clear', 'Heater box, wiper drive and pedals clear', 'cab', 'mock-up', [0, 20, 100], [0.4, 0.8, 2.75], 'The wall moves toward them'),
    part('pipes-and-loom-on-the-wall-moved', 'Pipes and loom on the wall moved', 'body', 'mock-up', [3, 20, 80], [0.3, 0.6, 1.6], 'They were clipped to it', { waits: 'mock-up' }),
  ]),
  ...given(has('bonnet-raised-or-opened'), [
    part('bonnet-catch-hinge-and-stay', 'Bonnet catch, hinge and stay', 'body', 'final fit', [10, 40, 140], [0.2, 0.5, 1.6], 'A bonnet that opens on the road blinds'),
    paper('sight-and-edges-by-law', 'Sight and edges: by law', 'papers', 'mock-up', [0, 0, 0], [0.05, 0.1, 0.3], 'The bonnet is higher or open'),
  ]),
  ...given(has('radiator-support-moved'), [
    part('catch-lamps-and-horn-moved', 'Catch, lamps and horn moved', 'radiator', 'mock-up', [5, 25, 90], [0.3, 0.6, 1.6], 'The support carried them'),
    part('air-guided-to-the-radiator', 'Air guided to the radiator', 'radiator', 'final fit', [5, 25, 90], [0.2, 0.4, 1.2], 'Air takes the way round'),
  ]),
  ...given(has('axle-or-crossmember-moved-for-the-pan'), [
    part('brake-hoses-column-bump-stops-and-jacking-point', 'Brake hoses, column, bump stops and jacking point', 'axle', 'mock-up', [20, 90, 300], [0.6, 1.2, 3.2], 'The axle was moved', {
      waits: 'mock-up',
      caution: ['steering-and-brakes'],
    }),
  ]),
  ...given(has('engine-set-lower-or-aside'), [task('ground-clearance-and-shaft-offset', 'Ground clearance and shaft offset', 'engine under', 'mock-up', [0, 0, 0], [0.15, 0.3, 0.8], 'The engine sits lower or aside')]),
  ...given(has('inner-panels-dressed'), [task('tower-tops-and-wheel-travel-looked-at', 'Tower tops and wheel travel looked at', 'body', 'mock-up', [0, 0, 0], [0.15, 0.3, 0.8], 'Panels were dressed')]),
  ...given(all(ENGINE_IN, LENGTHWISE_SHAFT), [
    task('drain-filter-starter-and-plugs-reached-afterwards', 'Drain, filter, starter and plugs reached afterwards', 'engine top', 'mock-up', [0, 0, 0], [0.15, 0.3, 0.55], 'Seen at mock-up, cursed for years'),
  ]),
  ...given(all(ENGINE_IN, is('vehicle.layout', 'crosswise', 'mid')), [
    task('belt-plugs-and-rear-bank-reached-with-it-in', 'Belt, plugs and rear bank reached with it in', 'engine top', 'mock-up', [0, 0, 0], [0.15, 0.3, 0.55], 'Seen at mock-up, cursed for years'),
  ]),
  ...given(HYDRAULIC_CLUTCH, [task('bleed-screw-and-bell-bolts-reached', 'Bleed screw and bell bolts reached', 'face', 'mock-up', [0, 0, 0], [0.1, 0.15, 0.4], 'Seen at mock-up, cursed for years')]),
  ...given(all(ENGINE_IN, is('vehicle.layout', 'mid')), [part('service-hatch-and-noise-lining', 'Service hatch and noise lining', 'body', 'final fit', [20, 80, 240], [0.6, 1.2, 3.2], 'It sits behind the seats', { waits: 'mock-up' })]),
  ...given(all(TRAIN_APART, yes('vehicle.rust')), [
    task('rust-at-mounts-and-rails-plated', 'Rust at mounts and rails plated', 'body', 'before', [20, 100, 400], [3, 8, 24], 'A mount on rust pulls out', { caution: ['welding'], work: ['weld'] }),
    task('sound-metal-proved-before-money', 'Sound metal proved before money', 'body', 'before', [0, 0, 0], [0.15, 0.35, 0.8], 'A shell past saving ends the build'),
  ]),
  ...given(all(ENGINE_IN, any(is('joint.axle-load', 'work', 'bridge'), is('build.use', 'towing', 'work'))), [
    task('tyre-and-axle-ratings-compared', 'Ratings of tyres and axles compared with the plate', 'axle', 'before', [0, 0, 0], [0.2, 0.3, 0.6], 'They follow mass and power'),
  ]),
]
