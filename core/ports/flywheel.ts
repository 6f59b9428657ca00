import { length, numbers, word } from './field.ts'
import { definePort } from './port.ts'

/** The front of a flywheel, flexplate or crank spacer: what sits on the flange. */
export const flywheel = definePort({
  kind: 'flywheel',
  title: 'Flywheel face',
  end: 'gearbox',
  looks: 'forward',
  fields: {
    angles: numbers('Hole angles', '°'),
    circleMm: length('Bolt circle'),
    holeMm: length('Hole Ø', { methods: ['caliper'] }),
    registerMm: length('Register bore Ø', { methods: ['micrometer', 'caliper'] }),
    outerMm: length('Outer Ø', { methods: ['caliper', 'rule'] }),
    balance: word('Balance', ['zero', 'counterweighted']),
    clutchFaceMm: length('Clutch face behind the flange'),
  },
})
