import { length } from './field.ts'
import { definePort } from './port.ts'

/** A plate between block and bell; its two patterns are face ports. */
export const plate = definePort({
  kind: 'plate',
  title: 'Plate',
  end: 'engine',
  fields: { thicknessMm: length('Thickness', { methods: ['micrometer', 'caliper'] }) },
  how: { thicknessMm: 'Caliper at three places of the edge, paint and burr off' },
})
