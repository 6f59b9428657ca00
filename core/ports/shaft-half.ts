import { length, span, word } from './field.ts'
import { definePort } from './port.ts'

/** One half of a shaft off the shelf: an end that fits something, and a bar or tube that joins its other half. */
export const shaftHalf = definePort({
  kind: 'shaft-half',
  title: 'Shaft half',
  end: 'gearbox',
  fields: {
    end: word('Which end', ['inner', 'outer']),
    fits: word('What the end fits: flange or joint family, or splines'),
    bar: word('Joins its other half by'),
    lengthMm: span('Joint centre to the end of the bar', { methods: ['tape-shaft'] }),
    overlapLowMm: length('Least it goes into the other half', { methods: ['rule'] }),
    overlapHighMm: length('Most it goes into the other half', { methods: ['rule'] }),
  },
  how: {
    end: 'The end at the gearbox or at the wheel',
    fits: 'What its end goes on: flange or joint by name, or splines counted',
    bar: 'How the two halves join: sleeve, splined coupler, weld',
    lengthMm: 'Tape from the joint centre to the end of the bar',
    overlapLowMm: 'Maker’s sheet of the coupler',
    overlapHighMm: 'Depth rod in the other half',
  },
})
