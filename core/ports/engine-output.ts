import { exact, reading, word } from './field.ts'
import { definePort } from './port.ts'

/** What the engine puts out, net. */
export const engineOutput = definePort({
  kind: 'engine-output',
  title: 'Engine output',
  end: 'engine',
  fields: {
    peakTorqueNm: exact('Peak torque', 'N·m'),
    peakTorqueRpm: exact('Torque peak at', 'rpm'),
    redlineRpm: exact('Redline', 'rpm'),
    oilL: reading('Oil it wants', 'L'),
    turns: word('Crank turns, seen from the gearbox', ['counter-clockwise', 'clockwise']),
  },
  how: {
    peakTorqueNm: 'Read off the maker’s sheet for this engine code, or off the dyno run',
    peakTorqueRpm: 'From the same sheet or run, where the torque peaks',
    redlineRpm: 'Red field of its own rev counter, or the maker’s sheet',
    oilL: 'Maker’s sheet, with filter; or drain it and measure what came out',
    turns:
      'Arrow on the damper or cover, or the maker’s sheet; most turn clockwise seen from their front',
  },
})
