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
})
