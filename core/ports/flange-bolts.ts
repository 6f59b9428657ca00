import { length, stated, thread, word } from './field.ts'
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
    boltClass: word('Class', ['8.8', '10.9', '12.9', 'grade 5', 'grade 8']),
    torqueNm: stated('Torque the maker states', 'N·m'),
    angleDeg: stated('Angle the maker states after it', '°'),
    headTallMm: length('Head height', { methods: ['caliper'], minutes: 3 }),
  },
  how: {
    thread: 'Thread gauge on the bolt',
    lengthMm: 'Caliper from under the head to the end',
    clampedMm: 'Everything it passes: flexplate or wheel, washer plate, spacers; caliper each',
    headMm: 'Caliper across the widest of the head or its washer',
    boltClass: 'Figures on the head',
    torqueNm: 'Maker’s sheet for this engine, never a table for the size',
    angleDeg: 'Maker’s sheet; 0 where it is tightened by torque alone',
    headTallMm: 'Caliper, height of the head',
  },
})
