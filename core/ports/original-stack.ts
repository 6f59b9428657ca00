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
  how: {
    flangeMm:
      'On the engine it came behind: bar across the block face, caliper to the crank flange',
    platesMm: 'Caliper on every plate there was between block and bell; 0 for none',
    spacersMm: 'Caliper on every spacer there was on the crank; 0 for none',
  },
})
