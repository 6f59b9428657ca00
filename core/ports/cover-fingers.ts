import { length } from './field.ts'
import { definePort } from './port.ts'

/** The release fingers of the clutch cover, over the clutch face. */
export const coverFingers = definePort({
  kind: 'cover-fingers',
  title: 'Cover fingers',
  end: 'gearbox',
  fields: {
    heightMm: length('Fingers over clutch face'),
    travelLowMm: length('Finger travel that frees the disc'),
    travelHighMm: length('Finger travel it stands at most'),
  },
})
