import { exact, length } from './field.ts'
import { definePort } from './port.ts'

/** The front of a transfer case: what takes the gearbox output. */
export const transferInput = definePort({
  kind: 'transfer-input',
  title: 'Transfer case input',
  end: 'gearbox',
  looks: 'forward',
  fields: {
    splines: exact('Splines', '', { minutes: 3 }),
    majorMm: length('Bore of the splines', { methods: ['caliper'], minutes: 5 }),
    depthMm: length('Splines reach behind its face'),
    mostMm: length('Room for a shaft behind its face'),
  },
  how: {
    splines: 'Count them',
    majorMm: 'Inside caliper across two opposite grooves',
    depthMm: 'Depth rod from its face to the end of the splines',
    mostMm: 'Depth rod from its face to whatever the shaft would touch',
  },
})
