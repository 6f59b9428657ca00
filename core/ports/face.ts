import { dowels, flag, holes, points, word } from './field.ts'
import { definePort } from './port.ts'

/** A bolted face in the train frame: block rear, plate front and rear, bell front. */
export const face = definePort({
  kind: 'face',
  title: 'Bolted face',
  end: 'engine',
  fields: {
    family: word('Pattern family'),
    holes: holes('Bolt holes'),
    dowels: dowels('Dowels'),
    mayTurn: flag('Case may be turned'),
    outline: points('Outline'),
  },
})
