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
})
