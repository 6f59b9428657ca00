import { exact, length, span } from './field.ts'
import { definePort } from './port.ts'

/** Clutch pedal and its master cylinder. */
export const clutchPedal = definePort({
  kind: 'clutch-pedal',
  title: 'Clutch pedal and master',
  end: 'gearbox',
  fields: {
    travelMm: span('Pedal travel', { methods: ['rule'] }),
    ratio: exact('Pedal ratio', '', { methods: ['rule'] }),
    masterMm: length('Master bore', { methods: ['caliper'], minutes: 5 }),
    strokeMm: length('Stroke the master has', { methods: ['caliper', 'rule'] }),
  },
  how: {
    travelMm: 'Rule beside the pedal, rest to floor',
    ratio: 'Pivot to foot pad, divided by pivot to push rod',
    masterMm: 'Cast on the cylinder; or bore gauge, apart',
    strokeMm: 'How far the push rod goes, rest to floor',
  },
})
