import { exact, numbers, reading, word } from './field.ts'
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
    peakPowerKw: exact('Peak power', 'kW'),
    peakPowerRpm: exact('Power peak at', 'rpm'),
    basis: word('These figures are', ['net', 'gross']),
    curveRpm: numbers('Torque curve: speeds', 'rpm'),
    curveNm: numbers('Torque curve: torque at each', 'N·m'),
    oilL: reading('Oil it wants', 'L'),
    turns: word('Crank turns, seen from the gearbox', ['counter-clockwise', 'clockwise']),
  },
  how: {
    peakTorqueNm: 'Read off the maker’s sheet for this engine code, or off the dyno run',
    peakTorqueRpm: 'From the same sheet or run, where the torque peaks',
    redlineRpm: 'Red field of its own rev counter, or the maker’s sheet',
    peakPowerKw: 'From the same sheet or run; hp and PS are turned into kW',
    peakPowerRpm: 'From the same sheet or run, where the power peaks',
    basis:
      'Gross: bare engine on a bench, as brochures of old engines told it. Net: with all it drives',
    curveRpm: 'Speeds of the curve on its sheet or run, lowest first',
    curveNm: 'Torque at each of those speeds, in the same order',
    oilL: 'Maker’s sheet, with filter; or drain it and measure what came out',
    turns:
      'Arrow on the damper or cover, or the maker’s sheet; most turn clockwise seen from their front',
  },
})
