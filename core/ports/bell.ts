import { length } from './field.ts'
import { definePort } from './port.ts'

/** A separate bellhousing: how long it is. Its faces are ports of their own. */
export const bell = definePort({
  kind: 'bell',
  title: 'Bellhousing',
  end: 'gearbox',
  fields: {
    lengthMm: length('Front face to rear face', { methods: ['bar-caliper', 'rule'] }),
    restMm: length('Release bearing at rest in it, from its front face'),
  },
  how: {
    lengthMm: 'Straight bars on both faces, caliper between them at three places; the mean',
    restMm:
      'Bolted to its case, fork hung in, bearing pushed back: bar across the front face, caliper to the bearing',
  },
})
