import { exact, length } from './field.ts'
import { definePort } from './port.ts'

/** The front of an automatic with its converter seated fully home. Lengths from the bell face, + rearward. */
export const pump = definePort({
  kind: 'pump',
  title: 'Pump, stator and turbine shaft',
  end: 'gearbox',
  looks: 'forward',
  fields: {
    padMm: length('Bell face to the converter pads, seated, X'),
    padSpreadMm: length('Greatest difference among the pads', { minutes: 5 }),
    lugsMm: length('Lugs engaged, seated', { minutes: 10 }),
    bushMm: length('Pump bush Ø', { methods: ['micrometer', 'caliper'] }),
    turbineSplines: exact('Turbine shaft splines', '', { minutes: 5 }),
    statorSplines: exact('Stator support splines', '', { minutes: 5 }),
  },
  how: {
    padMm: 'Converter fully seated: bar across the bell face, caliper to the pads',
    padSpreadMm: 'The same at every pad, turned by hand; the greatest less the least',
    lugsMm: 'How far the hub goes in from the first touch of the pump to its stop',
    bushMm: 'Bore gauge in the pump bush',
    turbineSplines: 'Count on the shaft that stands out',
    statorSplines: 'Count on the tube round it',
  },
})
