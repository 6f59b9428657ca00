import { length } from './field.ts'
import { definePort } from './port.ts'

/**
 * The bore that centres the converter's nose: the crank's, or slot `flange` or `spacer` where the wheel or a spacer
 * carries it on; depth ahead of the crank's flange, or of that part's own front face.
 */
export const converterBore = definePort({
  kind: 'converter-bore',
  title: 'Converter bore in the crank',
  end: 'engine',
  fields: {
    boreMm: length('Bore Ø', { methods: ['micrometer', 'caliper'] }),
    depthMm: length('Depth from the flange face'),
  },
  how: {
    boreMm: 'Bore gauge in the middle of the crank flange',
    depthMm: 'Bar across the flange, depth rod to the bottom of the bore',
  },
})
