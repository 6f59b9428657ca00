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
})
