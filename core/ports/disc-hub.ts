import { exact, length, word } from './field.ts'
import { SPLINE_FORMS } from './input-shaft.ts'
import { definePort } from './port.ts'

/** The clutch disc's hub, lengths from the clutch face, + rearward. */
export const discHub = definePort({
  kind: 'disc-hub',
  title: 'Clutch disc hub',
  end: 'gearbox',
  fields: {
    startMm: length('Hub front from clutch face'),
    endMm: length('Hub rear from clutch face'),
    splines: exact('Splines', '', { minutes: 3 }),
    majorMm: length('Outer Ø of the splines', { methods: ['caliper'], minutes: 3 }),
    form: word('Form of spline', SPLINE_FORMS),
    marked: word('Marked for the way round', ['gearbox side', 'flywheel side', 'neither']),
    carrierMm: length('Spring carrier ahead of the clutch face'),
  },
})
