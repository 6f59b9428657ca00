import { length, word } from './field.ts'
import { definePort } from './port.ts'

/** The bolts that clamp a wheel to the crank. */
export const flangeBolts = definePort({
  kind: 'flange-bolts',
  title: 'Flange bolts',
  end: 'gearbox',
  fields: {
    thread: word('Thread'),
    lengthMm: length('Length under head', { methods: ['caliper'] }),
    clampedMm: length('Thickness of wheel clamped', { methods: ['caliper'] }),
    headMm: length('Head or washer Ø', { methods: ['caliper'] }),
  },
})
