import { span, word } from './field.ts'
import { definePort } from './port.ts'

/** The gear lever, or what moves the gates. From the bell face, + rearward. */
export const lever = definePort({
  kind: 'lever',
  title: 'Gear lever',
  end: 'gearbox',
  fields: {
    alongMm: span('Lever or selector from the bell face', { methods: ['tape-shaft', 'rule'] }),
    work: word('Moved by', ['lever on the case', 'rods', 'cables']),
    gate: word('Gate', ['as the vehicle', 'mirrored']),
  },
  how: {
    alongMm: 'Bar across the bell face, tape to the middle of the lever or the selector',
    work: 'A lever on the case, rods, or cables',
    gate: 'First where the vehicle has it, or mirrored',
  },
})
