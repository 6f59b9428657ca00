import { length, thread } from './field.ts'
import { definePort } from './port.ts'

/** Bolts: those that clamp a wheel to the crank, or a case to a face. */
export const flangeBolts = definePort({
  kind: 'flange-bolts',
  title: 'Bolts',
  end: 'gearbox',
  fields: {
    thread: thread('Thread'),
    lengthMm: length('Length under head', { methods: ['caliper'] }),
    clampedMm: length('Thickness of wheel clamped', { methods: ['caliper'] }),
    headMm: length('Head or washer Ø', { methods: ['caliper'] }),
    headTallMm: length('Head height', { methods: ['caliper'], minutes: 3 }),
  },
})
