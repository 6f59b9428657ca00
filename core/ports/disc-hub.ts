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
  how: {
    startMm:
      'Disc flat on the wheel: bar across the clutch face, caliper to the front end of the hub; minus towards the crank',
    endMm: 'The same, to the rear end of the hub',
    splines: 'Count them',
    majorMm: 'Inside caliper across two opposite grooves',
    form: 'Try it on its own shaft: straight, involute or saw-tooth',
    marked: 'Read what is stamped on it',
    carrierMm: 'Bar across the lining, caliper to the highest spring or rivet on the crank side',
  },
})
