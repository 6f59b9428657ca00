import { exact, length, span, thread, word } from './field.ts'
import { definePort } from './port.ts'

/** The rear output of a gearbox or transfer case: place from its own front face, + rearward, down from the shaft axis, right seen from behind. */
export const output = definePort({
  kind: 'output',
  title: 'Output',
  end: 'gearbox',
  fields: {
    type: word('Output is a', ['slip', 'flange']),
    splines: exact('Splines, 0 on a flange', '', { minutes: 3 }),
    majorMm: length('Outer Ø of the splines, 0 on a flange', { methods: ['caliper'], minutes: 5 }),
    circleMm: length('Bolt circle, 0 on a slip yoke', { methods: ['caliper'], minutes: 5 }),
    thread: thread('Flange bolt thread'),
    alongMm: span('Joint centre from the front face', { methods: ['tape-shaft', 'rule'] }),
    belowMm: span('Output below the shaft axis', { methods: ['rule', 'tape-shaft'] }),
    rightMm: span('Output right of the shaft axis, seen from behind', {
      methods: ['rule', 'tape-shaft'],
    }),
  },
  how: {
    type: 'Does the shaft slide into the box on splines, or bolt to a flange?',
    splines: 'Count them',
    majorMm: 'Caliper over two opposite splines',
    circleMm: 'Edge to edge of two opposite holes, plus one hole Ø',
    thread: 'Thread gauge on the bolt',
    alongMm: 'Tape from the bell face to the middle of the first joint',
    belowMm: 'Rule from the height of the input shaft down to the output',
    rightMm: 'Rule across from the line of the input shaft, seen from behind; minus to the left',
  },
})
