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
})
