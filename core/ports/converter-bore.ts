import { length } from './field.ts'
import { definePort } from './port.ts'

/** The bore of the crank that centres the converter's nose; depth from the flange face. */
export const converterBore = definePort({
  kind: 'converter-bore',
  title: 'Converter bore in the crank',
  end: 'engine',
  fields: {
    boreMm: length('Bore Ø', { methods: ['micrometer', 'caliper'] }),
    depthMm: length('Depth from the flange face'),
  },
})
