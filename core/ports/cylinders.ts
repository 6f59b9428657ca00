import { exact, length, reading, word } from './field.ts'
import { definePort } from './port.ts'

/** How the cylinders stand: what an engine looks like follows from it. Leaning is seen from the gearbox. */
export const cylinders = definePort({
  kind: 'cylinders',
  title: 'Cylinders',
  end: 'engine',
  fields: {
    arrangement: word('They stand', ['in line', 'in a vee', 'flat']),
    count: exact('How many', '', { minutes: 1 }),
    boreMm: length('Bore', { methods: ['caliper'], minutes: 20 }),
    strokeMm: length('Stroke', { methods: ['bar-caliper', 'rule'], minutes: 20 }),
    spacingMm: length('From one bore to the next', { methods: ['rule'], minutes: 5 }),
    bankDeg: reading('Angle between the banks', '°', { methods: ['level', 'phone'], minutes: 5 }),
    slantDeg: reading('A single row leans to the right by', '°', {
      methods: ['level', 'phone'],
      minutes: 5,
    }),
    deckMm: length('Crank axis to the face under the head', { methods: ['rule'] }),
    headMm: length('Head, without its cover', { methods: ['caliper', 'rule'], minutes: 5 }),
  },
  how: {
    arrangement: 'One row, two rows in a vee, or two rows lying opposite',
    count: 'Count the plugs or injectors of the engine',
    boreMm: 'Maker’s sheet for this engine code; else inside caliper across a bore, head off',
    strokeMm: 'Maker’s sheet; else depth of a piston at its lowest less at its highest, head off',
    spacingMm: 'Rule from the middle of one plug to the next, same row',
    bankDeg: 'Level on one head cover rail, then the other; add what they lean',
    slantDeg: 'Level on the head cover rail, crank flange plumb; minus where it leans to the left',
    deckMm: 'Rule from the middle of the crank pulley up along the row to the head gasket',
    headMm: 'Rule from the head gasket to the rail of the cover',
  },
})
