import { length, roughly } from './field.ts'
import { definePort } from './port.ts'

/** The lining of the clutch disc. */
export const discFace = definePort({
  kind: 'disc-face',
  title: 'Clutch disc lining',
  end: 'gearbox',
  fields: {
    outerMm: length('Outer Ø of the lining', { methods: ['caliper'], minutes: 5 }),
    innerMm: length('Inner Ø of the lining', { methods: ['caliper'], minutes: 5 }),
    friction: roughly('Friction of the lining, µ', '', () => 0.05),
  },
  how: {
    outerMm: 'Caliper across the lining',
    innerMm: 'Caliper inside the lining',
    friction: 'Maker’s sheet of the lining: organic, cermet; not measured in a shop',
  },
})
