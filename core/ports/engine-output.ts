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
})
