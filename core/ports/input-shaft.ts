import { length } from './field.ts'
import { definePort } from './port.ts'

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
    splineStartMm: length('Spline start'),
    splineEndMm: length('Spline end'),
  },
})
