import { stated, word } from './field.ts'
import { definePort } from './port.ts'

/** A limit with its reference. Slot `speed…` holds a speed limit only, any other slot a torque limit. */
export const ratings = definePort({
  kind: 'ratings',
  title: 'Rating',
  end: 'gearbox',
  fields: {
    torqueNm: stated('Torque rating', 'N·m'),
    reference: word('Rated at', [
      'engine',
      'input shaft',
      'turbine',
      'output',
      'transfer output',
      'axle',
    ]),
    basis: word('Basis', ['nominal', 'peak']),
    speedRpm: stated('Speed rating', 'rpm'),
  },
  how: {
    torqueNm: 'Maker’s figure for this code; a seller’s figure is heard, not maker',
    reference: 'What the maker’s figure is of: engine, turbine, output or axle',
    basis: 'Nominal for a life, or peak for a moment',
    speedRpm: 'Maker’s figure',
  },
})
