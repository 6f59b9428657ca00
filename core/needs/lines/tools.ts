import { all, any, is, no } from '../condition.ts'
import { AUTOMATIC, CASTINGS, COMPUTER, ENGINE_IN, GEARBOX_IN, INJECTED, MANUAL, ROAD, SIDE_SHAFTS, TRAIN_APART, USED_ENGINE } from './conditions.ts'
import { given, service, tool } from './row.ts'

export const TOOLS_LINES = [
  ...given(all(TRAIN_APART, ROAD), [
    tool('gearbox-jack', 'Gearbox jack', 'shop', 'stripping', [30, 90, 350], [0, 0.05, 0.1], 'A gearbox held by a knee falls', { caution: ['lifting'] }),
    tool('axle-stands-and-chocks', 'Axle stands and chocks', 'shop', 'stripping', [30, 70, 180], [0.05, 0.05, 0.1], 'Nobody goes under a jack'),
  ]),
  ...given(TRAIN_APART, [
    tool('dial-indicator-and-angle-wrench', 'Dial indicator and angle wrench', 'shop', 'mating', [30, 80, 220], [0, 0.05, 0.05], 'Runout and stretch are not felt'),
    service('engine-crane-or-hoist', 'Crane or hoist hired', 'shop', 'stripping', [30, 80, 250], [0.15, 0.35, 0.8], 'The shop has none', { only: no('can.hoist'), caution: ['lifting'] }),
  ]),
  ...given(MANUAL, [tool('alignment-tool', 'Clutch alignment tool', 'shop', 'mating', [5, 15, 40], [0, 0.05, 0.05], 'For this spline and this pilot')]),
  ...given(ENGINE_IN, [
    tool('lifting-plate-and-slings', 'Lifting plate and slings', 'shop', 'stripping', [25, 60, 180], [0.05, 0.1, 0.2], 'Rated, and balance found first', { caution: ['lifting'] }),
    tool('extinguisher', 'Extinguisher', 'shop', 'first fire', [25, 50, 110], [0, 0.05, 0.05], 'At every first fire', { caution: ['first-fire'] }),
    tool('battery-switch', 'Battery switch', 'shop', 'wiring', [8, 20, 50], [0.05, 0.1, 0.2], 'A helper stands at it'),
  ]),
  ...given(any(all(ENGINE_IN, is('engine.timing', 'belt')), all(ENGINE_IN, is('engine.timing', 'chain'), is('build.school', 'rebuild'))), [
    tool('timing-lock-tools', 'Timing lock tools', 'shop', 'mating', [20, 60, 180], [0, 0.05, 0.05], 'A tooth off bends valves'),
  ]),
  ...given(all(ENGINE_IN, COMPUTER), [
    tool('code-reader', 'Code reader', 'shop', 'first fire', [25, 80, 300], [0.05, 0.05, 0.1], 'Codes tell what ears cannot'),
    tool('crimp-tool-meter-pin-tools', 'Crimp tool, meter, pin tools', 'shop', 'wiring', [40, 110, 280], [0, 0.05, 0.05], 'A twisted wire is next year’s fault'),
  ]),
  ...given(INJECTED, [tool('fuel-release-tools-and-rail-gauge', 'Fuel release tools and rail gauge', 'shop', 'stripping', [20, 60, 160], [0.05, 0.05, 0.1], 'Pressure stays for a day', { caution: ['rail'] })]),
  ...given(all(CASTINGS, TRAIN_APART), [tool('splitting-stands', 'Splitting stands', 'shop', 'stripping', [80, 250, 700], [0.05, 0.15, 0.3], 'Halves of a tonne each', { caution: ['lifting'] })]),
  ...given(all(TRAIN_APART, is('vehicle.layout', 'crosswise', 'mid')), [
    tool('engine-beam-or-cradle-table', 'Engine beam or cradle table', 'shop', 'stripping', [40, 120, 380], [0.05, 0.1, 0.2], 'It comes out downward, or hangs while the mount is off'),
  ]),
  ...given(all(SIDE_SHAFTS, GEARBOX_IN), [tool('joint-splitter-hub-puller', 'Joint splitter, hub puller', 'shop', 'stripping', [20, 55, 140], [0, 0.05, 0.05], 'Shafts come out by them')]),
  ...given(AUTOMATIC, [tool('pressure-gauge-for-the-case', 'Pressure gauge for the gearbox', 'shop', 'first fire', [25, 60, 140], [0, 0.05, 0.05], 'Line pressure is read before driving')]),
  ...given(all(ENGINE_IN, is('build.school', 'rebuild')), [tool('engine-stand-ring-clamp-bore-gauge', 'Engine stand, ring clamp, bore gauge', 'shop', 'before', [60, 170, 480], [0.05, 0.1, 0.2], 'It is rebuilt here')]),
  ...given(USED_ENGINE, [tool('stud-extractor-taps-thread-inserts', 'Stud extractor, taps, thread inserts', 'shop', 'stripping', [25, 65, 170], [0, 0.05, 0.05], 'Old studs break')]),
]
