import { exact, flag, numbers, word } from './field.ts'
import { definePort } from './port.ts'

/** The transmission's ratios; first gear first. `finalDrive` where it carries its own (transaxle). */
export const ratios = definePort({
  kind: 'ratios',
  title: 'Ratios',
  end: 'gearbox',
  fields: {
    type: word('Type', ['manual', 'automatic']),
    gears: numbers('Gear ratios', ''),
    finalDrive: exact('Final drive in the case', ''),
    stall: exact('Converter stall torque ratio', ''),
    turns: word('Made for a crank that turns, seen from the gearbox', [
      'counter-clockwise',
      'clockwise',
      'either',
    ]),
    mayTurnOver: flag('It may be turned over, final drive and all'),
  },
  how: {
    type: 'Three pedals: manual; two: automatic',
    gears:
      'Maker’s sheet by the code on the plate; or turn the input and count turns of the output',
    finalDrive:
      'Transaxles only: plate or tag, or turns of the input per turn of both wheels in direct',
    stall: 'Converters only: maker’s torque multiplication at stall',
    turns: 'Turn the input by hand, first gear; looking at it from the engine',
    mayTurnOver: 'Can its final drive be turned over, so that it runs the other way? Maker’s word',
  },
})
