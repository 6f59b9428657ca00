import { exact, word } from './field.ts'
import { definePort } from './port.ts'

/** The opening for a power take-off in the gearbox. */
export const takeOffOpening = definePort({
  kind: 'take-off-opening',
  title: 'Power take-off opening',
  end: 'gearbox',
  fields: {
    family: word('Opening family'),
    side: word('Side, seen from behind', ['left', 'right', 'below', 'rear']),
    moduleMm: exact('Module of its gear', 'mm', { methods: ['caliper'] }),
    turns: word('Its gear turns', ['with the engine', 'against the engine']),
  },
  how: {
    family: 'Bolt count and shape of the cover, as its maker names it',
    side: 'Seen from behind',
    moduleMm: 'Of the gear inside: outer Ø divided by teeth plus two',
    turns: 'Clutch out, look into the opening while it is turned',
  },
})
