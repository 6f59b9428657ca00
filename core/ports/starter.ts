import { exact, length, word } from './field.ts'
import { definePort } from './port.ts'

/** The starter. Carried by the bell: pinion from the bell face; by the block: from the block face. + rearward. */
export const starter = definePort({
  kind: 'starter',
  title: 'Starter',
  end: 'gearbox',
  fields: {
    mount: word('Carried by', ['block', 'bell']),
    pinionMm: length('Pinion at rest, from its mounting face'),
    throwMm: length('Throw of the pinion', { methods: ['caliper', 'rule'] }),
    way: word('Pinion moves', ['rearward', 'forward']),
    turns: word('Turns, looking at the pinion', ['clockwise', 'counter-clockwise']),
    teeth: exact('Pinion teeth', '', { minutes: 3 }),
    moduleMm: exact('Module of the pinion, 25.4 / DP', 'mm', { methods: ['caliper'] }),
    outerMm: length('Outer Ø of the pinion', { methods: ['caliper'], minutes: 3 }),
  },
})
