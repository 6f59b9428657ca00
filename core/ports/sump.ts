import { flag, length, reading, zones } from './field.ts'
import { definePort } from './port.ts'

/** The oil pan by zone: along from the block face (ahead is negative), depth below the crank axis. */
export const sump = definePort({
  kind: 'sump',
  title: 'Sump',
  end: 'engine',
  fields: {
    zones: zones('Depth by zone: from, to, below the crank axis, left and right edge'),
    dropMm: length('It must come down by, to clear the pickup', { minutes: 5 }),
    capacityL: reading('Oil it holds', 'L'),
    coverMm: length('Oil over the pickup, at the lowest mark', { minutes: 10 }),
    pickupMm: length('Pickup from the middle of the deep part', { minutes: 10 }),
    baffled: flag('Baffled'),
  },
  how: {
    zones:
      'Block upside down or on stands: rule down from the crank axis at each step of the pan; from and to along the block, ahead of the block face minus',
    dropMm: 'From the rail of the pan to the lowest edge of the pickup',
    capacityL: 'Maker’s sheet, or fill it to the mark with water before it is cleaned',
    coverMm: 'Oil to the lowest mark, dip a wire beside the pickup',
    pickupMm: 'Rule from the pickup to the middle of the deep part',
    baffled: 'Look in: are there walls or flaps round the pickup?',
  },
})
