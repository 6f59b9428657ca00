import { length, numbers, thread, word } from './field.ts'
import { definePort } from './port.ts'

/** The rotating flange that carries the flywheel: crank, or the rear of a crank spacer. */
export const crankFlange = definePort({
  kind: 'crank-flange',
  title: 'Crank flange',
  end: 'engine',
  looks: 'rearward',
  fields: {
    proudMm: length('Flange from block face, + proud'),
    angles: numbers('Bolt angles', '°'),
    circleMm: length('Bolt circle'),
    thread: thread('Bolt thread, or "through"'),
    holeDepthMm: length('Thread depth'),
    registerMm: length('Register Ø', { methods: ['micrometer', 'caliper'] }),
    balance: word('Balance', ['zero', 'counterweighted']),
  },
  how: {
    proudMm:
      'Straight bar across the block face, caliper down or up to the flange; + when it stands out',
    angles:
      'Protractor or rubbing, from the right-hand side, counter-clockwise, looking at the flange',
    circleMm: 'Edge to edge of two opposite holes, plus one hole Ø',
    thread: 'Thread gauge in the hole, or the bolt that was in it',
    holeDepthMm: 'Depth rod or a wire to the bottom of the thread',
    registerMm: 'Micrometer on the spigot of the flange, cleaned',
    balance:
      'Is there a heavy side on the old flywheel or damper? Then counterweighted; the maker’s sheet says',
  },
})
