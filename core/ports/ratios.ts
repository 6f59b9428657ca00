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
})
