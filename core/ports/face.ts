import { dowels, flag, holes, length, points, thread, word } from './field.ts'
import { definePort } from './port.ts'

/** A bolted face in the train frame: block rear, plate front and rear, bell front. */
export const face = definePort({
  kind: 'face',
  title: 'Bolted face',
  end: 'engine',
  fields: {
    family: word('Pattern family'),
    holes: holes('Bolt holes'),
    bolt: thread('Bolt that passes its plain holes'),
    dowels: dowels('Dowels'),
    mayTurn: flag('Case may be turned'),
    registerKind: word('Register', ['male', 'female', 'none']),
    registerMm: length('Register Ø', { methods: ['micrometer', 'caliper'] }),
    outline: points('Outline'),
  },
  how: {
    family:
      'Name it only where the maker or a seller names it for this very face; else measure the holes',
    holes:
      'Rub the face on card with the axis marked, or transfer punches; then each hole from the crank axis, across and up',
    bolt: 'The thread of the bolts that pass its plain holes: read it off the bolt with a thread gauge',
    dowels:
      'Caliper over the pins or in their holes, each from the crank axis; say where the pin stays',
    mayTurn: 'Can the part behind it be turned by a hole and still drain, breathe and be shifted?',
    registerKind: 'Is there a turned spigot or a bore that centres the other face, or a flat face?',
    registerMm: 'Bore gauge or micrometer at three places round it',
    outline: 'Along the edge of the same rubbing, point by point',
  },
})
