import { exact, word } from './field.ts'
import { definePort } from './port.ts'

/** What the vehicle reads its speed from. */
export const speedReader = definePort({
  kind: 'speed-reader',
  title: 'Speedometer',
  end: 'gearbox',
  fields: {
    type: word('Speedometer wants', ['cable', 'pulses']),
    perKm: exact('Cable turns or pulses for a kilometre', ''),
  },
  how: {
    type: 'What the speedometer is driven by',
    perKm: 'Printed on its dial, turns or pulses for a kilometre',
  },
})
