import { all, any, has, is, no, yes } from '../condition.ts'
import { COMPUTER, ENGINE_IN, GEARBOX_IN, LOCKED, MANUAL, NO_COMPUTER, ROAD, TRAIN_APART } from './conditions.ts'
import { again, blocker, given, paper, part, service, task } from './row.ts'

export const ENGINE_WIRING_LINES = [
  ...given(ENGINE_IN, [
    paper('wiring-diagrams', 'Wiring diagrams of both', 'papers', 'before', [0, 30, 150], [0.15, 0.3, 0.9], 'By position, never by colour'),
    part('cable-sleeve-and-lugs', 'Cable, sleeve and lugs', 'wiring', 'wiring', [20, 60, 160], [0.1, 0.25, 0.6], 'Every joint eats some'),
  ]),
  ...given(NO_COMPUTER, [part('wires-drawn-in-line-fuses', 'Wires drawn, in-line fuses', 'wiring', 'wiring', [10, 30, 90], [0.8, 1.6, 3.6], 'A few wires, each with its fuse')]),
  ...given(all(ENGINE_IN, COMPUTER), [
    part('fuse-and-relay-box', 'Fuse and relay box', 'wiring', 'wiring', [20, 60, 180], [0.3, 0.6, 1.6], 'The engine brings circuits of its own'),
    part('pins-shells-and-boots', 'Pins, shells and boots', 'wiring', 'wiring', [15, 50, 150], [0.2, 0.4, 1.2], 'Plugs break when they are opened'),
    part('engine-computer', 'Engine computer', 'wiring', 'wiring', [50, 180, 550], [0.1, 0.25, 0.6], 'By number and year group', { comes: ['engine'] }),
    part('engine-loom', 'Engine loom', 'wiring', 'wiring', [80, 220, 600], [0.4, 0.8, 1.6], 'Out with the train as one unit, or it costs weeks', { only: is('choice.loom', 'own', 'service'), comes: ['engine'], caution: ['battery'] }),
    task('loom-parted-and-reworked-by-position', 'Loom parted and reworked by position', 'wiring', 'wiring', [20, 60, 180], [12, 25, 50], 'Reworking it here was chosen', { only: is('choice.loom', 'own') }),
    service('loom-reworked-by-a-service', 'Loom reworked by a service', 'wiring', 'before', [250, 550, 1300], [0.55, 1.1, 2.2], 'A service was chosen', { only: is('choice.loom', 'service') }),
    part('ready-made-loom', 'Ready-made loom', 'wiring', 'before', [350, 750, 1600], [0.8, 2, 4], 'A ready-made one was chosen', { only: is('choice.loom', 'ready-made') }),
    part('fault-lamp-and-diagnostic-socket', 'Fault lamp and diagnostic socket', 'wiring', 'wiring', [8, 25, 80], [0.15, 0.3, 0.8], 'Without them every fault is a guess', { comes: ['vehicle'] }),
    task('computer-number-and-year-checked', 'Computer number and year checked', 'wiring', 'before', [0, 0, 0], [0.1, 0.2, 0.55], 'Same-looking plugs with other lettering'),
    part('clutch-brake-and-neutral-signals', 'Clutch, brake and neutral signals', 'wiring', 'wiring', [8, 25, 80], [0.3, 0.6, 1.6], 'The computer idles and limps by them'),
    task('place-for-the-computer-dry-cool-reached', 'Place for the computer: dry, cool, reached', 'cab', 'wiring', [0, 8, 30], [0.15, 0.4, 1.1], 'Water in it ends it'),
    task('places-of-fuse-box-and-socket', 'Places of fuse box and socket', 'cab', 'wiring', [0, 5, 20], [0.1, 0.2, 0.55], 'They must be reached on the road'),
    part('grommet-and-hole-through-the-wall', 'Grommet and hole through the wall', 'cab', 'wiring', [3, 10, 30], [0.1, 0.25, 0.6], 'Sheet cuts wires'),
    task('feeds-earths-moved-and-joined-circuits-drawn', 'Feeds, earths, moved and joined circuits drawn', 'wiring', 'before', [0, 0, 0], [0.8, 2.2, 5.5], 'About a dozen are moved or joined'),
    task('unused-circuits-ended-listed', 'Unused circuits ended, listed', 'wiring', 'wiring', [0, 5, 20], [0.3, 0.8, 2.2], 'An open end is next year’s fault'),
  ]),
  ...given(all(LOCKED, no('engine.set')), [
    blocker('computer-will-not-let-it-run', 'The computer will not let it run', 'wiring', 'before', [0, 0, 0], [0, 0, 0], 'It wants its key, and the set is not complete', {
      cured: ['immobiliser-taken-out', 'stand-alone-computer-and-tuning'],
    }),
    service('immobiliser-taken-out', 'Immobiliser taken out', 'wiring', 'before', [80, 200, 450], [0.3, 0.55, 1.65], 'Chosen as the way out', { only: is('choice.lock', 'out') }),
    part('key-ring-and-reader', 'Key, ring and reader', 'wiring', 'wiring', [20, 80, 280], [0.2, 0.5, 1.2], 'The computer wants its key', { only: is('choice.lock', 'carried') }),
    part('stand-alone-computer-and-tuning', 'Stand-alone computer and tuning', 'wiring', 'wiring', [700, 1500, 3500], [10, 22, 45], 'Chosen as the way out', { only: is('choice.lock', 'own') }),
  ]),
  ...given(all(LOCKED, yes('engine.set')), [again('key-ring-and-reader', 'The computer wants its key')]),
  ...given(any(all(ENGINE_IN, COMPUTER, is('gearbox.type', 'automatic')), all(ENGINE_IN, is('engine.electronics', 'bus'))), [
    service('computer-coded-for-this-vehicle', 'Computer coded for this vehicle', 'wiring', 'first fire', [50, 130, 320], [0.3, 0.55, 1.65], 'It waits for messages of its old one'),
  ]),
  ...given(all(ENGINE_IN, MANUAL, COMPUTER, is('donor.box', 'automatic')), [
    service('computer-told-of-a-manual-gearbox', 'Computer told of a manual gearbox', 'wiring', 'first fire', [40, 110, 280], [0.15, 0.4, 1.1], 'It waits for an automatic'),
  ]),
  ...given(all(TRAIN_APART, yes('vehicle.lock')), [
    service('recipient-s-own-immobiliser-joined-or-taken-out', 'The recipient’s own immobiliser joined or taken out', 'wiring', 'wiring', [20, 100, 320], [0.4, 1.1, 3.3], 'It stops the starter of any engine'),
  ]),
  ...given(all(GEARBOX_IN, MANUAL, is('vehicle.box', 'automatic'), ROAD), [
    again('start-interlock-at-the-clutch', 'It had a park switch, and has a clutch now'),
    again('clutch-brake-and-neutral-signals', 'The computer waits for those of an automatic', { only: COMPUTER }),
  ]),
  ...given(all(GEARBOX_IN, MANUAL), [part('reverse-lamp-circuit', 'Reverse lamp circuit', 'wiring', 'wiring', [3, 10, 30], [0.1, 0.15, 0.4], 'Another switch in another place')]),
  ...given(all(ENGINE_IN, MANUAL, COMPUTER, ROAD), [part('start-interlock-at-the-clutch', 'Start interlock at the clutch', 'wiring', 'wiring', [6, 18, 50], [0.1, 0.25, 0.6], 'It must not start in gear', { caution: ['interlock'] })]),
  ...given(all(ENGINE_IN, is('vehicle.electronics', 'abs', 'stability')), [
    part('wheel-speed-torque-running-messages', 'Wheel speed, torque and running messages', 'wiring', 'wiring', [40, 180, 600], [0.8, 2.4, 6.4], 'The wheels’ computer listens to the engine’s'),
  ]),
  ...given(all(ENGINE_IN, is('vehicle.electronics', 'stability')), [
    part('gateway-for-the-chassis-computers', 'Gateway for the chassis computers', 'wiring', 'wiring', [150, 420, 1100], [4, 10, 24], 'Two makers’ computers speak different languages'),
  ]),
  ...given(all(ENGINE_IN, is('engine.electronics', 'none'), is('engine.fuel', 'petrol')), [part('ignition-feed-and-fuse', 'Ignition feed and fuse', 'wiring', 'wiring', [4, 12, 35], [0.1, 0.25, 0.6], 'The coil wants clean volts')]),
  ...given(all(GEARBOX_IN, is('build.engine', 'kept'), is('engine.electronics', 'locked', 'bus')), [
    service('computer-told-of-the-gearbox', 'Computer told of the gearbox', 'wiring', 'first fire', [40, 110, 280], [0.15, 0.4, 1.1], 'It idles, shifts and limps by it'),
  ]),
  ...given(all(GEARBOX_IN, is('build.engine', 'kept'), is('engine.electronics', 'plain')), [
    task('gearbox-inputs-joined-to-the-computer', 'Gearbox inputs joined to the computer', 'wiring', 'wiring', [8, 25, 80], [0.4, 0.8, 2.2], 'It looks for the switches of the old gearbox'),
  ]),
  ...given(all(ENGINE_IN, COMPUTER, is('joint.sensor-plug', 'work', 'bridge')), [
    part('plugs-or-leads-between-years', 'Plugs or leads between years', 'wiring', 'wiring', [10, 40, 140], [0.1, 0.3, 0.8], 'Sensors and loom are of different years'),
  ]),
  ...given(all(ENGINE_IN, COMPUTER, no('engine.set')), [part('missing-of-the-set-bought-by-number', 'What is missing of the set bought by number', 'wiring', 'before', [60, 220, 700], [0.2, 0.4, 1.2], 'The set is not complete')]),
  ...given(all(ENGINE_IN, is('vehicle.supply', 'high'), is('vehicle.cluster', 'senders')), [
    task('old-computer-loom-and-sensors-taken-out', 'Old computer, loom and sensors taken out', 'wiring', 'stripping', [0, 0, 0], [0.4, 0.8, 2.2], 'Nothing listens to them any more'),
  ]),
  ...given(all(ENGINE_IN, is('vehicle.cluster', 'bus')), [
    task('what-the-old-computer-told-the-rest-listed-first', 'What the old computer told the rest, listed first', 'wiring', 'before', [0, 0, 0], [0.3, 0.65, 1.65], 'Gauges, heater and locks may hang on it'),
  ]),
  ...given(has('ready-made-loom'), [
    paper('order-sheet-year-number-kept-lengths-weeks', 'Order sheet of the loom: year, number, kept, lengths; asked: weeks', 'papers', 'before', [0, 0, 0], [0.1, 0.2, 0.45], 'It is made to what is written'),
  ]),
  ...given(has('loom-reworked-by-a-service'), [
    paper('sent-loom-computer-plugs-lengths-days-return', 'Sent to the loom service: loom, computer, plugs, lengths; asked: days, return', 'papers', 'before', [10, 25, 60], [0.15, 0.25, 0.6], 'It works by what it gets'),
  ]),
]
