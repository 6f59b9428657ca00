import { exact, length, word } from './field.ts'
import { definePort } from './port.ts'

/** Forms of spline a shaft or hub can have. */
export const SPLINE_FORMS = ['straight', 'involute', 'serrated'] as const

/** The gearbox input shaft, lengths from the bell face, + rearward (a tip ahead of the face is negative). */
export const inputShaft = definePort({
  kind: 'input-shaft',
  title: 'Input shaft',
  end: 'gearbox',
  looks: 'forward',
  fields: {
    noseMm: length('Nose Ø', { methods: ['micrometer', 'caliper'] }),
    tipMm: length('Tip from bell face'),
    noseEndMm: length('Shoulder behind the nose'),
    splines: exact('Splines', '', { minutes: 3 }),
    majorMm: length('Outer Ø of the splines', { methods: ['caliper'], minutes: 3 }),
    form: word('Form of spline', SPLINE_FORMS),
    splineStartMm: length('Spline start'),
    splineEndMm: length('Spline end'),
  },
  how: {
    noseMm: 'Micrometer on the bright part that ran in the pilot, where it is not worn',
    tipMm: 'Bar across the bell face, caliper out to the tip; minus behind it',
    noseEndMm: 'The same bar, to the shoulder behind the nose',
    splines: 'Mark one, count once round',
    majorMm: 'Caliper over the splines, on two opposite lands',
    form: 'Straight sides, curved sides (involute), or saw-teeth',
    splineStartMm: 'The same bar, to where the splines begin in full depth',
    splineEndMm: 'The same bar, to where they end in full depth',
  },
})
