import { length, stated } from './field.ts'
import { definePort } from './port.ts'

/** The release bearing at rest, from the bell face, and the gap to the fingers it needs. */
export const releaseBearing = definePort({
  kind: 'release-bearing',
  title: 'Release bearing',
  end: 'gearbox',
  fields: {
    restMm: length('Bearing face at rest, from bell face'),
    gapLowMm: stated('Least rest gap', 'mm'),
    gapHighMm: stated('Greatest rest gap', 'mm'),
  },
  how: {
    restMm: 'Bearing pushed back, bar across the bell face, caliper to the bearing face',
    gapLowMm: 'Maker’s sheet of the bearing or slave; 0 where it always runs with the fingers',
    gapHighMm: 'The same sheet',
  },
})
