import { exact, length } from './field.ts'
import { definePort } from './port.ts'

/** The ring gear on a flywheel or flexplate, from the flange face F, + rearward. */
export const ring = definePort({
  kind: 'ring',
  title: 'Ring gear',
  end: 'gearbox',
  fields: {
    nearMm: length('Face nearest the pinion, from flange'),
    widthMm: length('Tooth width', { methods: ['caliper'] }),
    teeth: exact('Ring teeth', '', { minutes: 10 }),
    outerMm: length('Outer Ø of the ring', { methods: ['caliper', 'rule'] }),
  },
  how: {
    nearMm:
      'Bar across the crank face of the wheel, caliper to the edge of the teeth the starter meets first',
    widthMm: 'Caliper across a tooth',
    teeth: 'Mark one with chalk, count once round; count again',
    outerMm: 'Caliper or rule over the tips; with an odd count take two tips nearest opposite',
  },
})
