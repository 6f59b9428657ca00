import { length } from './field.ts'
import { definePort } from './port.ts'

/** What the gearbox was built against: its original engine's flange, plates and spacers. */
export const originalStack = definePort({
  kind: 'original-stack',
  title: 'Original engine stack',
  end: 'gearbox',
  fields: {
    flangeMm: length('Original flange proud, f₀'),
    platesMm: length('Original plates, B₀'),
    spacersMm: length('Original spacers'),
  },
})
