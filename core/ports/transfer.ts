import { exact, span, word } from './field.ts'
import { definePort } from './port.ts'

/** A transfer case: front output and shift. */
export const transfer = definePort({
  kind: 'transfer',
  title: 'Transfer case',
  end: 'gearbox',
  fields: {
    frontSide: word('Front output, seen from behind', ['left', 'right']),
    frontTurns: word('Front output turns', ['as the rear', 'against the rear']),
    frontRatio: exact('Front over rear output speed, locked', ''),
    low: exact('Low ratio', ''),
    shift: word('Shifted by', ['lever', 'cable', 'motor', 'vacuum']),
    dropMm: span('Front output below the shaft axis', { methods: ['rule', 'tape-shaft'] }),
    frontAlongMm: span('Front output joint from the front face', {
      methods: ['rule', 'tape-shaft'],
    }),
  },
  how: {
    frontSide: 'Seen from behind: is the front output left or right?',
    frontTurns: 'Turn its input, all-wheel drive in, and look at the front output from in front',
    frontRatio: 'Turns of the input per turn of the front output, high range',
    low: 'Turns of the input per turn of the output, low range',
    shift: 'A lever, cables, vacuum or a motor?',
    dropMm: 'Rule from the height of its input down to the middle of the front output',
    frontAlongMm:
      'Bar across its front face, tape to the middle of the front joint; minus ahead of the face',
  },
})
