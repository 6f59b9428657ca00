import { flag, span, word } from './field.ts'
import { definePort } from './port.ts'

/** The opening for the gear lever: from midway between the engine mounts, + rearward. */
export const leverOpening = definePort({
  kind: 'lever-opening',
  title: 'Lever opening',
  end: 'gearbox',
  fields: {
    fromMm: span('Front edge behind the engine mounts', { methods: ['tape-shaft'] }),
    toMm: span('Rear edge behind the engine mounts', { methods: ['tape-shaft'] }),
    work: word('Shifted by', ['lever on the case', 'rods', 'cables']),
    mayCut: flag('The opening may be cut longer'),
  },
  how: {
    fromMm: 'Plumb from between the engine mounts to the front edge of the opening',
    toMm: 'The same, to its rear edge',
    work: 'What the vehicle shifts with',
    mayCut: 'The owner’s word: may the floor be cut?',
  },
})
