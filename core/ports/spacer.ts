import { length } from './field.ts'
import { definePort } from './port.ts'

/** A spacer between crank and wheel; its front is a flywheel face, its rear a crank flange. */
export const spacer = definePort({
  kind: 'spacer',
  title: 'Crank spacer',
  end: 'engine',
  fields: { thicknessMm: length('Thickness', { methods: ['micrometer', 'caliper'] }) },
  how: { thicknessMm: 'Micrometer or caliper at three places' },
})
