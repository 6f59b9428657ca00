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
})
