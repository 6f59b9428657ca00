import { exact, length, span } from './field.ts'
import { definePort } from './port.ts'

/** The rear shaft of a gearbox that goes into a transfer case. Lengths from the bell face, + rearward. */
export const caseShaft = definePort({
  kind: 'case-shaft',
  title: 'Shaft to the transfer case',
  end: 'gearbox',
  fields: {
    splines: exact('Splines', '', { minutes: 3 }),
    majorMm: length('Outer Ø of the splines', { methods: ['caliper'], minutes: 5 }),
    faceMm: span('Rear face from the bell face', { methods: ['tape-shaft', 'rule'] }),
    endMm: span('Shaft end from the bell face', { methods: ['tape-shaft', 'rule'] }),
  },
  how: {
    splines: 'Count them',
    majorMm: 'Caliper over two opposite splines',
    faceMm: 'Tape from the bell face to the face the transfer case sits on',
    endMm: 'Tape from the bell face to the end of the shaft',
  },
})
