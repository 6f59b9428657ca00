import { all, any, is, no, yes } from '../condition.ts'
import { CARBURETTOR, DIESEL_IN, ENGINE_IN, INJECTED, PETROL_IN, RESEALED } from './conditions.ts'
import { given, part, service, task } from './row.ts'

export const FUEL_LINES = [
  ...given(CARBURETTOR, [
    part('fuel-hose-clips-and-filter', 'Fuel hose, clips and filter', 'engine top', 'final fit', [10, 25, 60], [0.1, 0.25, 0.6], 'Old hose softens in new fuel', { renew: 'always', caution: ['fuel'] }),
    task('bowls-filled-looked-at-before-first-fire', 'Bowls filled, looked at before first fire', 'engine top', 'first fire', [0, 0, 0], [0.1, 0.15, 0.35], 'A stuck float is a fire', { caution: ['fuel'] }),
  ]),
  ...given(INJECTED, [
    part('filter-for-injection-pressure', 'Filter for injection pressure', 'tank', 'final fit', [12, 30, 70], [0.1, 0.15, 0.4], 'That of a carburettor bursts', { renew: 'always', caution: ['fuel'] }),
    task('rail-pressure-held-looked-at', 'Rail pressure held, looked at for leaks', 'engine top', 'first fire', [0, 0, 0], [0.1, 0.2, 0.55], 'It is watched before a spark is near', { caution: ['fuel'] }),
    part('injectors-and-rail', 'Injectors and rail', 'engine top', 'mating', [30, 120, 380], [0.1, 0.25, 0.6], 'A bare engine lacks them', { comes: ['engine'], caution: ['fuel'] }),
    part('couplings-and-barbs', 'Couplings and barbs of the fuel pipes', 'tank', 'final fit', [10, 30, 80], [0.1, 0.25, 0.6], 'Each maker has his own', { caution: ['fuel'] }),
    part('rail-ends', 'Rail ends', 'engine top', 'final fit', [10, 30, 90], [0.1, 0.15, 0.4], 'Rail and pipe end differently', { comes: ['engine'], caution: ['fuel'] }),
    part('fuel-regulator', 'Fuel regulator', 'engine top', 'final fit', [20, 60, 160], [0.1, 0.15, 0.4], 'It sits on the rail', { only: yes('engine.return'), comes: ['engine'], caution: ['fuel'] }),
    part('regulator-at-filter-or-tank-for-this-rail-s-pressure', 'Regulator at filter or tank, for the pressure of this rail', 'tank', 'final fit', [20, 70, 180], [0.1, 0.3, 0.8], 'The rail sends nothing back', {
      only: no('engine.return'),
      caution: ['fuel'],
    }),
    part('feed-pump-control', 'Feed-pump control', 'wiring', 'wiring', [30, 100, 280], [0.3, 0.8, 2], 'Direct injection is fed on demand', { only: is('engine.injection', 'direct'), caution: ['fuel'] }),
    part('injector-seals', 'Injector seals', 'engine top', 'mating', [10, 25, 70], [0.1, 0.25, 0.6], 'Old ones leak when moved', { only: RESEALED, renew: 'always', caution: ['fuel'] }),
  ]),
  ...given(DIESEL_IN, [
    part('diesel-hose-clips-and-rings', 'Diesel hose, clips and rings', 'engine top', 'final fit', [12, 30, 80], [0.1, 0.3, 0.6], 'Diesel softens petrol hose', { renew: 'always', caution: ['fuel'] }),
    part('injectors-and-leak-off', 'Injectors and leak-off', 'engine top', 'mating', [40, 180, 600], [0.1, 0.3, 0.8], 'A bare engine lacks them', { comes: ['engine'], caution: ['fuel', 'rail'] }),
    part('filter-with-water-trap', 'Filter with water trap', 'engine top', 'final fit', [25, 70, 200], [0.15, 0.3, 0.8], 'Water ends a diesel pump', { comes: ['engine'], caution: ['fuel'] }),
    task('fuel-bled', 'Fuel bled', 'engine top', 'first fire', [0, 0, 0], [0.15, 0.35, 1.1], 'Air stops a diesel', { caution: ['fuel'] }),
  ]),
  ...given(all(INJECTED, is('vehicle.supply', 'low')), [
    part('high-pressure-pump', 'High-pressure pump', 'tank', 'final fit', [60, 130, 300], [0.3, 0.6, 1.2], 'The pump of a carburettor gives a tenth of the pressure', { caution: ['fuel'] }),
    part('swirl-pot-or-in-tank-cup', 'Swirl pot or in-tank cup', 'tank', 'final fit', [40, 120, 300], [0.4, 1, 2.4], 'A carburettor tank lets the pump suck air in a bend', { caution: ['fuel'] }),
    part('high-pressure-hose-and-clamps', 'High-pressure hose and clamps', 'tank', 'final fit', [20, 60, 150], [0.3, 0.6, 1.6], 'Carburettor hose bursts on injection pressure', { renew: 'always', caution: ['fuel'] }),
    part('pump-relay-fuse-and-wires', 'Pump relay, fuse and wires', 'wiring', 'wiring', [12, 35, 90], [0.3, 0.5, 1.2], 'The pump draws more than its old wire bears', { caution: ['fuel'] }),
    part('crash-cut-off', 'Crash cut-off', 'wiring', 'wiring', [15, 40, 100], [0.1, 0.25, 0.6], 'A pump at pressure must stop in a crash', { caution: ['fuel'] }),
    task('old-lift-pump-taken-out-opening-closed', 'Old lift pump taken out, opening closed', 'engine top', 'stripping', [2, 8, 25], [0.1, 0.2, 0.55], 'Left in line it holds the new pump back'),
    task('place-for-pump-and-pot-low-cool-guarded', 'Place for pump and pot: low, cool, guarded', 'tank', 'mock-up', [0, 10, 50], [0.2, 0.45, 1.1], 'A pump pushes, it does not pull', { caution: ['fuel'] }),
  ]),
  ...given(all(INJECTED, is('vehicle.supply', 'high')), [task('pump-flow-measured', 'Pump flow measured', 'tank', 'before', [0, 0, 0], [0.15, 0.35, 0.8], 'An old pump feeds the old engine', { caution: ['fuel'] })]),
  ...given(any(all(INJECTED, is('vehicle.supply', 'high'), is('joint.fuel', 'bridge')), all(INJECTED, is('vehicle.supply', 'high'), is('build.output', 'raised'))), [
    part('pump-of-more-flow', 'Pump of more flow', 'tank', 'final fit', [70, 160, 380], [0.3, 0.6, 1.2], 'This engine drinks more', { caution: ['fuel'] }),
  ]),
  ...given(all(ENGINE_IN, yes('engine.return'), no('vehicle.return')), [
    part('return-pipe', 'Return pipe', 'tank', 'final fit', [12, 40, 110], [0.3, 0.6, 1.6], 'The engine sends fuel back and there is no pipe', { waits: 'mock-up', caution: ['fuel'] }),
    service('tank-return-fitting', 'Return fitting in the tank', 'tank', 'final fit', [20, 60, 160], [0.4, 0.8, 2.2], 'The pipe must enter it, and below the level', { caution: ['fuel', 'tanks'] }),
  ]),
  ...given(all(ENGINE_IN, is('engine.injection', 'direct', 'rail')), [
    part('one-time-rail-pipes', 'One-time rail pipes', 'engine top', 'mating', [30, 90, 220], [0.1, 0.25, 0.6], 'They seal once', { renew: 'always', caution: ['fuel', 'rail'] }),
  ]),
  ...given(all(ENGINE_IN, is('engine.injection', 'carburettor'), is('vehicle.supply', 'high')), [
    part('low-pressure-pump-or-regulator', 'Low-pressure pump or regulator', 'tank', 'final fit', [25, 70, 180], [0.2, 0.4, 1], 'Injection pressure floods a carburettor', { caution: ['fuel'] }),
  ]),
  ...given(all(ENGINE_IN, is('engine.injection', 'carburettor'), is('vehicle.supply', 'low')), [
    part('lift-pump', 'Lift pump', 'engine top', 'final fit', [15, 45, 120], [0.1, 0.2, 0.5], 'It rides on the engine', { comes: ['engine'], caution: ['fuel'] }),
  ]),
  ...given(all(DIESEL_IN, is('vehicle.fuel', 'petrol')), [
    service('tank-and-pipes-cleaned-for-diesel', 'Tank and pipes cleaned for diesel', 'tank', 'before', [30, 90, 240], [0.55, 1.1, 2.75], 'Petrol left in them ruins its pump', { caution: ['fuel', 'tanks'] }),
    part('filler-and-label', 'Filler and label', 'tank', 'after', [5, 20, 60], [0.1, 0.15, 0.4], 'Somebody will fill it wrong'),
  ]),
  ...given(any(all(DIESEL_IN, is('vehicle.fuel', 'petrol')), all(DIESEL_IN, is('engine.injection', 'rail'), is('vehicle.supply', 'low'))), [
    part('diesel-lift-pump', 'Diesel lift pump', 'tank', 'final fit', [40, 120, 320], [0.3, 0.6, 1.6], 'Its pump cannot pull from that tank', { caution: ['fuel'] }),
    part('filter-warmer', 'Filter warmer', 'engine top', 'wiring', [20, 60, 160], [0.1, 0.3, 0.8], 'Diesel thickens in frost', { only: is('engine.injection', 'rail'), caution: ['fuel'] }),
  ]),
  ...given(all(DIESEL_IN, is('engine.injection', 'rail')), [
    part('return-cooler', 'Return cooler', 'tank', 'final fit', [25, 80, 220], [0.2, 0.4, 1], 'A rail heats what it sends back', { comes: ['vehicle'], caution: ['fuel'] }),
    part('rail-high-pressure-pump-and-sensor', 'Rail, high-pressure pump and sensor', 'engine top', 'mating', [80, 320, 1000], [0.15, 0.4, 1.2], 'A bare engine lacks them', { comes: ['engine'], caution: ['fuel', 'rail'] }),
    task('every-opening-capped', 'Every opening capped', 'engine top', 'stripping', [2, 6, 20], [0.05, 0.15, 0.45], 'Dust ends injectors', { caution: ['fuel'] }),
    task('injector-codes-written-in', 'Injector codes written in', 'wiring', 'first fire', [0, 0, 0], [0.15, 0.3, 0.8], 'The computer must know each one', { caution: ['fuel'] }),
  ]),
  ...given(all(PETROL_IN, is('vehicle.fuel', 'diesel')), [
    service('tank-filler-and-vent-for-petrol', 'Tank, filler and vent for petrol', 'tank', 'before', [80, 250, 650], [1.1, 2.75, 6.6], 'A diesel tank breathes, and takes the wrong nozzle', { caution: ['fuel', 'tanks'] }),
    task('diesel-filter-warmer-and-return-taken-out', 'Diesel filter, warmer and return taken out', 'tank', 'stripping', [0, 0, 0], [0.15, 0.4, 1.1], 'Petrol must not run through them'),
  ]),
  ...given(all(ENGINE_IN, is('vehicle.tank', 'dirty')), [
    service('tank-cleaned-or-renewed', 'Tank cleaned or renewed', 'tank', 'before', [40, 130, 400], [0.8, 1.65, 3.3], 'Dirt ends pump and injectors', { caution: ['fuel', 'tanks'] }),
    part('filter-before-the-pump', 'Filter before the pump', 'tank', 'final fit', [6, 15, 40], [0.05, 0.1, 0.2], 'A dirty tank stays a little dirty', { caution: ['fuel'] }),
    task('gauge-unit-and-pick-up-looked-at', 'Gauge unit and pick-up looked at', 'tank', 'before', [0, 15, 80], [0.15, 0.35, 0.8], 'What rusted the tank rusted them', { caution: ['fuel'] }),
  ]),
  ...given(all(DIESEL_IN, is('engine.injection', 'pump')), [
    part('injection-pump-drive-and-pipes', 'Injection pump, drive and pipes', 'engine top', 'mating', [60, 280, 900], [0.2, 0.6, 1.6], 'A bare engine lacks them', { comes: ['engine'], caution: ['fuel'] }),
    task('pump-timed', 'Injection pump timed', 'engine top', 'mating', [0, 0, 0], [0.4, 0.8, 2.2], 'It was off, or may have been', { caution: ['fuel'] }),
  ]),
  ...given(all(INJECTED, is('joint.rail-height', 'work', 'bridge')), [
    part('rail-spacers-or-injectors-of-other-length', 'Rail spacers or injectors of other length', 'engine top', 'mating', [15, 60, 200], [0.1, 0.3, 0.8], 'Rail and injectors sit at different heights', { caution: ['fuel'] }),
  ]),
  ...given(all(ENGINE_IN, is('joint.fuel-union', 'work', 'bridge')), [part('union-between-pipe-threads', 'Union between pipe threads', 'tank', 'final fit', [4, 12, 40], [0.05, 0.1, 0.4], 'Two threads meet', { caution: ['fuel'] })]),
  ...given(all(ENGINE_IN, no('engine.return'), yes('vehicle.return')), [
    task('return-pipe-closed-at-both-ends', 'Return pipe closed at both ends', 'tank', 'final fit', [1, 4, 15], [0.1, 0.2, 0.55], 'Nothing goes back any more', { caution: ['fuel'] }),
  ]),
  ...given(any(all(CARBURETTOR, is('vehicle.supply', 'high')), all(DIESEL_IN, is('vehicle.fuel', 'petrol'), is('vehicle.supply', 'high'))), [
    task('tank-pump-taken-out-or-idle-its-circuit-ended', 'Tank pump taken out or idle, its circuit ended', 'tank', 'stripping', [0, 5, 20], [0.15, 0.4, 1.1], 'It would overfeed what follows'),
  ]),
]
