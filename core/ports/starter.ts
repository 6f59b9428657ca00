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
  how: {
    mount: 'Do its bolts go into the block or into the bell?',
    pinionMm:
      'Starter on the bench: caliper from its mounting face to the near edge of the pinion, at rest',
    throwMm: 'Pull the pinion out by hand to its stop; caliper how far it came',
    way: 'Does it come out towards the gearbox or towards the engine?',
    turns: 'Arrow or maker’s sheet; which way its pinion turns, looking at the pinion',
    teeth: 'Count them',
    moduleMm:
      'Outer Ø divided by teeth plus two; or the maker’s figure. For diametral pitch: 25.4 divided by it',
    outerMm: 'Caliper over the tips',
  },
})
