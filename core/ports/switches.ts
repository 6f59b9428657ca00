import { flag, word } from './field.ts'
import { definePort } from './port.ts'

/** Switches of the gearbox. */
export const switches = definePort({
  kind: 'switches',
  title: 'Gearbox switches',
  end: 'gearbox',
  fields: {
    reverse: flag('Has a reverse lamp switch'),
    interlock: word('Start is allowed by', ['neutral or park switch', 'nothing']),
  },
  how: {
    reverse: 'Is there a switch for reverse on the case?',
    interlock: 'Is there a neutral or clutch switch that the starter hangs on?',
  },
})
