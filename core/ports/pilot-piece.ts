import { length, word } from './field.ts'
import { definePort } from './port.ts'

/** The bearing, bush or sleeve between crank and shaft nose; `none` says that there is known to be none. */
export const pilotPiece = definePort({
  kind: 'pilot-piece',
  title: 'Pilot piece',
  end: 'gearbox',
  looks: 'forward',
  fields: {
    type: word('Kind of pilot', ['bearing', 'bush', 'sleeve', 'none']),
    outerMm: length('Outer Ø', { methods: ['micrometer', 'caliper'] }),
    boreMm: length('Bore Ø', { methods: ['micrometer', 'caliper'] }),
    widthMm: length('Width', { methods: ['caliper'] }),
    depthMm: length('Set below the mouth, − proud'),
  },
  how: {
    type: 'A roller bearing, a bronze bush, a sleeve, or none',
    outerMm: 'Micrometer across it, out of the crank',
    boreMm: 'Bore gauge, or the largest drill shank that goes in',
    widthMm: 'Caliper along its axis',
    depthMm: 'Depth rod from the mouth to the piece; minus when it stands out',
  },
})
