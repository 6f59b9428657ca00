import { exact, word } from './field.ts'
import { definePort } from './port.ts'

/** The driven front axle. */
export const frontAxle = definePort({
  kind: 'front-axle',
  title: 'Front axle',
  end: 'gearbox',
  fields: {
    side: word('Axle input, seen from behind', ['left', 'right']),
    turns: word('Its input turns', ['as the rear', 'against the rear']),
    ratio: exact('Front axle ratio', ''),
    ladenKg: exact('Laden front axle load', 'kg', { methods: ['scale'] }),
    shift: word('The vehicle shifts four-wheel drive by', ['lever', 'cable', 'motor', 'vacuum']),
  },
  how: {
    side: 'Seen from behind: is the pinion left or right of the middle?',
    turns: 'Turn the wheels forward and look at the pinion from in front',
    ratio: 'Tag; or wheels turned once, count turns of the shaft',
    ladenKg: 'Weighbridge, this axle alone',
    shift: 'Is its disconnect by hand at the hubs, by vacuum, by a motor, or none?',
  },
})
