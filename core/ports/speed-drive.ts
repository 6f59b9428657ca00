import { exact, word } from './field.ts'
import { definePort } from './port.ts'

/** What a gearbox or transfer case tells of road speed. */
export const speedDrive = definePort({
  kind: 'speed-drive',
  title: 'Speedometer drive',
  end: 'gearbox',
  fields: {
    type: word('Speed is told by', ['cable', 'pulses', 'none']),
    perTurn: exact('Cable turns or pulses for a turn of the output', ''),
  },
  how: {
    type: 'A cable, a pulse sensor, or none',
    perTurn: 'Pulses for a turn of the output shaft: count by hand with a meter',
  },
})
