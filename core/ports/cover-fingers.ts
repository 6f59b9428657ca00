import { length, stated } from './field.ts'
import { definePort } from './port.ts'

/** The release fingers of the clutch cover, over the clutch face. */
export const coverFingers = definePort({
  kind: 'cover-fingers',
  title: 'Cover fingers',
  end: 'gearbox',
  fields: {
    heightMm: length('Fingers over clutch face'),
    travelLowMm: stated('Finger travel that frees the disc', 'mm'),
    travelHighMm: stated('Finger travel it stands at most', 'mm'),
  },
  how: {
    heightMm: 'Cover bolted on with its disc: bar across the fingers, caliper to the clutch face',
    travelLowMm: 'Maker’s sheet: travel that frees the disc',
    travelHighMm: 'Maker’s sheet: travel it stands',
  },
})
