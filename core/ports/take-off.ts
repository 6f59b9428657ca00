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
})
