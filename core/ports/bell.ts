import { length } from './field.ts'
import { definePort } from './port.ts'

/** A separate bellhousing: how long it is. Its faces are ports of their own. */
export const bell = definePort({
  kind: 'bell',
  title: 'Bellhousing',
  end: 'gearbox',
  fields: { lengthMm: length('Front face to rear face', { methods: ['bar-caliper', 'rule'] }) },
  how: { lengthMm: 'Straight bars on both faces, caliper between them at three places; the mean' },
})
