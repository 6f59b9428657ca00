import { length } from './field.ts'
import { definePort } from './port.ts'

/** A plate between block and bell; its two patterns are face ports. */
export const plate = definePort({
  kind: 'plate',
  title: 'Plate',
  end: 'engine',
  fields: { thicknessMm: length('Thickness', { methods: ['micrometer', 'caliper'] }) },
})
