import { all, any, has, is, no, not, yes } from '../condition.ts'
import { COMPUTER, ENGINE_IN, NO_COMPUTER, PUMP_WANTED } from './conditions.ts'
import { given, part } from './row.ts'

export const BELTS_LINES = [
  ...given(all(ENGINE_IN, COMPUTER), [
    part('belt', 'Ribbed belt', 'front', 'final fit', [10, 25, 60], [0.1, 0.15, 0.4], 'Its length follows from what stays on the engine', { renew: 'always', waits: 'mock-up' }),
    part('tensioner-and-idlers', 'Tensioner and idlers', 'front', 'mating', [25, 70, 200], [0.1, 0.25, 0.6], 'They set the run of the belt', { comes: ['engine'] }),
  ]),
  ...given(NO_COMPUTER, [
    part('v-belts', 'V-belts', 'front', 'final fit', [8, 20, 50], [0.1, 0.2, 0.4], 'Their length follows from what stays on the engine', { renew: 'always', waits: 'mock-up', part: 'belt' }),
    part('adjusting-bars', 'Adjusting bars', 'front', 'final fit', [8, 20, 60], [0.1, 0.15, 0.4], 'They stay on the donor', { comes: ['engine'] }),
  ]),
  ...given(any(all(ENGINE_IN, yes('engine.pump')), all(ENGINE_IN, yes('engine.compressor'))), [
    part('brackets-and-long-bolts-of-accessories', 'Brackets and long bolts of accessories', 'front', 'mating', [15, 50, 160], [0.1, 0.25, 0.6], 'Left on the donor, bought singly', { comes: ['engine'] }),
  ]),
  ...given(all(ENGINE_IN, yes('engine.pump'), not(PUMP_WANTED)), [
    part('steering-pump-left-off-idler-or-shorter-belt', 'Steering pump left off: idler or shorter belt', 'front', 'final fit', [8, 30, 90], [0.1, 0.25, 0.6], 'It carries one and nothing wants it'),
  ]),
  ...given(all(ENGINE_IN, yes('engine.compressor'), no('keep.air')), [
    part('compressor-left-off-idler-or-shorter-belt', 'Compressor left off: idler or shorter belt', 'front', 'final fit', [8, 30, 90], [0.1, 0.25, 0.6], 'It carries one and nothing wants it'),
  ]),
  ...given(all(ENGINE_IN, is('joint.belt-line', 'work', 'bridge')), [part('pulleys-set-in-line-spacers', 'Pulleys set in line: spacers', 'front', 'mock-up', [5, 25, 90], [0.2, 0.5, 1.6], 'A belt out of line is thrown')]),
  ...given(ENGINE_IN, [part('crank-pulley-and-damper', 'Crank pulley and damper', 'front', 'mating', [25, 90, 280], [0.1, 0.15, 0.4], 'A bare engine lacks it, and cranks break without', { comes: ['engine'] })]),
  ...given(any(has('steering-pump-and-bracket'), has('compressor-mount')), [part('alternator-moved', 'Alternator moved', 'front', 'mock-up', [20, 80, 240], [0.4, 1, 2.4], 'Something else takes its place', { level: 'wanted' })]),
  ...given(all(no('engine.alternator-sense'), any(has('alternator-moved'), all(ENGINE_IN, no('engine.belt-sense')))), [
    part('alternator-pulley', 'Solid alternator pulley', 'front', 'mock-up', [15, 30, 70], [0.1, 0.2, 0.4], 'It turns the other way now, and a one-way pulley would slip'),
  ]),
  ...given(all(ENGINE_IN, yes('engine.hybrid')), [
    part('belt-drive-starter-and-pump-for-a-hybrid-born-engine', 'Belt drive, starter and pump for a hybrid-born engine', 'front', 'before', [200, 600, 1500], [4, 9, 20], 'It has neither belt nor starter of its own', {
      caution: ['high-voltage'],
    }),
  ]),
]
