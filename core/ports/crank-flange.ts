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
})
