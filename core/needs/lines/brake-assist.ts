import { all, any, has, is, no, yes } from '../condition.ts'
import { BOOSTER_MEETS, ENGINE_IN, NO_VACUUM } from './conditions.ts'
import { again, blocker, given, paper, part, service } from './row.ts'

export const BRAKE_ASSIST_LINES = [
  ...given(all(ENGINE_IN, yes('keep.brake-assist'), is('vehicle.booster', 'vacuum'), yes('engine.vacuum'), any(is('room.booster', 'free'), is('choice.booster', 'smaller'))), [
    part('booster-hose-and-valve', 'Booster hose and valve', 'engine top', 'final fit', [6, 20, 60], [0.1, 0.1, 0.3], 'A throttled engine makes the vacuum', { comes: ['recipient', 'vehicle'], caution: ['steering-and-brakes'] }),
  ]),
  ...given(NO_VACUUM, [
    part('vacuum-pump-and-tank', 'Vacuum pump and tank', 'engine top', 'mock-up', [70, 190, 450], [0.6, 1.2, 2.8], 'The brakes are helped by vacuum and this engine makes none', {
      only: is('choice.vacuum', 'pump'),
      caution: ['steering-and-brakes'],
    }),
    part('hydraulic-booster', 'Hydraulic booster', 'cab', 'mock-up', [150, 380, 900], [1.2, 2.4, 5.6], 'Chosen in place of the vacuum booster', { only: is('choice.vacuum', 'hydraulic'), caution: ['steering-and-brakes'] }),
  ]),
  ...given(all(ENGINE_IN, yes('keep.brake-assist'), is('vehicle.booster', 'hydraulic'), any(is('room.booster', 'free'), is('choice.booster', 'smaller', 'hydraulic'))), [
    again('steering-pump', 'The engine carries it', { only: yes('engine.pump') }),
    again('steering-pump-and-bracket', 'Hydraulic help is wanted, and the engine has no pump', { only: no('engine.pump') }),
    again('assist-hose', 'Ends of pump and gear differ'),
    again('assist-fluid', 'The hoses are opened'),
  ]),
  ...given(all(ENGINE_IN, no('engine.head-room')), [
    blocker('heads-meet-booster-column-or-tower', 'Heads meet booster, column or tower', 'cab', 'before', [0, 0, 0], [0, 0, 0], 'A stopper said so', { caution: ['steering-and-brakes'] }),
    part('thinner-covers-or-cap', 'Thinner covers or cap', 'engine top', 'before', [30, 120, 400], [0.2, 0.4, 1.2], 'A few millimetres may be enough', { level: 'optional', caution: ['steering-and-brakes'] }),
  ]),
  ...given(all(ENGINE_IN, is('room.booster', 'short'), no('keep.brake-assist')), [
    part('master-straight-to-the-wall-or-moved-pedal-ratio', 'Master straight to the wall, or moved; pedal ratio', 'cab', 'mock-up', [40, 140, 400], [0.8, 2, 4.8], 'The booster meets the engine, and help is given up', {
      waits: 'mock-up',
      caution: ['steering-and-brakes'],
    }),
  ]),
  ...given(all(ENGINE_IN, yes('keep.brake-assist'), is('vehicle.booster', 'electric')), [
    part('messages-for-the-electric-booster', 'Messages for the electric booster', 'wiring', 'wiring', [40, 160, 500], [0.6, 1.6, 4], 'It listens to the engine’s computer', { caution: ['steering-and-brakes'] }),
  ]),
  ...given(has('vacuum-pump-and-tank'), [
    part('place-for-pump-and-tank-warning-lamp', 'Vacuum pump: its place, tank, warning lamp', 'cab', 'wiring', [5, 25, 80], [0.3, 0.6, 1.6], 'Brakes that lose their help must say so', { caution: ['steering-and-brakes'] }),
  ]),
  ...given(all(ENGINE_IN, is('vehicle.booster', 'vacuum'), no('keep.brake-assist')), [
    paper('booster-left-off-judged-by-law', 'Booster left off: judged by law', 'papers', 'before', [0, 60, 300], [0.15, 0.3, 1.2], 'Brakes lose their help', { caution: ['steering-and-brakes'] }),
  ]),
  ...given(BOOSTER_MEETS, [
    part('smaller-booster', 'Smaller booster', 'cab', 'mock-up', [80, 200, 480], [0.8, 1.6, 3.6], 'It meets the engine, and a smaller one was chosen', { only: is('choice.booster', 'smaller'), caution: ['steering-and-brakes'] }),
    part('electric-booster', 'Electric booster', 'cab', 'mock-up', [180, 450, 1100], [4, 9, 20], 'It meets the engine, and an electric one was chosen', { only: is('choice.booster', 'electric'), caution: ['steering-and-brakes'] }),
    again('hydraulic-booster', 'Chosen in place of the vacuum booster', { only: is('choice.booster', 'hydraulic') }),
  ]),
  ...given(has('hydraulic-booster'), [
    again('steering-pump-and-bracket', 'Hydraulic help is wanted, and the engine has no pump', { only: no('engine.pump') }),
    again('assist-hose', 'Ends of pump and gear differ'),
    again('assist-fluid', 'The hoses are opened'),
  ]),
  ...given(any(has('smaller-booster'), has('electric-booster'), has('hydraulic-booster')), [
    part('brake-pipes-and-push-rod', 'Brake pipes and push rod', 'cab', 'final fit', [20, 60, 160], [0.4, 0.8, 2], 'Another booster stands elsewhere', { waits: 'mock-up', caution: ['steering-and-brakes'] }),
    part('brake-fluid-bled', 'Brake fluid, bled', 'cab', 'final fit', [8, 15, 35], [0.3, 0.5, 1], 'Pipes were opened', { renew: 'twice', caution: ['steering-and-brakes'] }),
    service('brakes-judged', 'Brakes judged', 'cab', 'shakedown', [40, 90, 220], [0.3, 0.55, 1.4], 'Brakes were altered: a licensed person looks', { caution: ['steering-and-brakes'] }),
  ]),
]
