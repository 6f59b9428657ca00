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
  how: {
    angles:
      'Protractor or rubbing, from the right-hand side, counter-clockwise; say which way you looked',
    circleMm: 'Edge to edge of two opposite holes, plus one hole Ø',
    holeMm: 'Caliper in a clean hole, burr off',
    registerMm: 'Bore gauge or inside caliper in the middle hole',
    outerMm: 'Caliper or rule across, without the ring’s teeth',
    balance: 'A drilled or cast heavy side means counterweighted; the maker’s sheet says',
    clutchFaceMm: 'Bar across the clutch face, caliper down to the face that sits on the crank',
  },
})
