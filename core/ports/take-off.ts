import { exact, span, word } from './field.ts'
import { definePort } from './port.ts'

/** The power take-off that must go on. */
export const takeOff = definePort({
  kind: 'take-off',
  title: 'Power take-off',
  end: 'gearbox',
  fields: {
    family: word('Made for opening family'),
    side: word('Side it must be on, seen from behind', ['left', 'right', 'below', 'rear']),
    moduleMm: exact('Module of its gear', 'mm', { methods: ['caliper'] }),
    turns: word('Made for a gear that turns', ['with the engine', 'against the engine']),
    reachMm: span('It reaches out by', { methods: ['rule'] }),
    roomMm: span('Room there', { methods: ['tape-bay', 'rule'] }),
  },
  how: {
    family: 'Bolt count and shape, as its maker names it',
    side: 'On which side of a gearbox it is made to sit, seen from behind',
    moduleMm: 'Of its input gear: outer Ø divided by teeth plus two',
    turns: 'Which way its input gear must be driven: arrow or sheet',
    reachMm: 'Bar across its face, caliper to the tip of the gear',
    roomMm: 'How far it stands out from the gearbox, its pump on',
  },
})
