import { flag, length } from './field.ts'
import { definePort } from './port.ts'

/**
 * The bore that takes the pilot piece. Slot `crank`: lengths from the block face; carried by a wheel (slot `flange`) or a
 * spacer (slot `spacer`): from that part's own front face. + rearward.
 */
export const pilotBore = definePort({
  kind: 'pilot-bore',
  title: 'Pilot bore',
  end: 'engine',
  looks: 'rearward',
  fields: {
    finished: flag('Bore finished'),
    boreMm: length('Bore Ø', { methods: ['micrometer', 'caliper'], minutes: 6 }),
    mouthMm: length('Mouth of the bore'),
    bottomMm: length('Bottom of the bore', { minutes: 6 }),
  },
  how: {
    finished: 'Is it turned smooth to its bottom, or left as drilled or cast?',
    boreMm: 'Bore gauge at two depths; an inside caliper will not do for a press fit',
    mouthMm: 'Bar across the flange, caliper to the start of the straight bore, chamfer left out',
    bottomMm: 'Bar across the flange, depth rod to the bottom',
  },
})
