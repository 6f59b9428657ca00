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
})
