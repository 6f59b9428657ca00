import { word } from './field.ts'
import { definePort } from './port.ts'

/** The driven tyre, by its marking. */
export const tyre = definePort({
  kind: 'tyre',
  title: 'Tyre',
  end: 'gearbox',
  fields: { marking: word('Tyre marking, such as 205/65R15') },
})
