import { flag, word } from './field.ts'
import { definePort } from './port.ts'

/** What the vehicle wants of the gearbox switches. */
export const switchWants = definePort({
  kind: 'switch-wants',
  title: 'Switches the vehicle wants',
  end: 'gearbox',
  fields: {
    reverse: flag('Wants a reverse lamp switch'),
    interlock: word('Start is allowed by', ['neutral or park switch', 'clutch switch', 'nothing']),
  },
  how: {
    reverse: 'Has the vehicle a reverse lamp that must burn?',
    interlock: 'What must be so before the starter turns?',
  },
})
