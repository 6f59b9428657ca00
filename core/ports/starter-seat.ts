import { length, word } from './field.ts'
import { definePort } from './port.ts'

/** Where a starter bolts on, on the block or on the bell. Axis from the crank axis. */
export const starterSeat = definePort({
  kind: 'starter-seat',
  title: 'Starter seat',
  end: 'gearbox',
  looks: 'forward',
  fields: {
    side: word('Side, seen from the gearbox', ['left', 'right']),
    axisMm: length('Starter axis from the crank axis', { methods: ['bar-caliper', 'machine'] }),
  },
  how: {
    side: 'Standing behind the bell, looking at the engine',
    axisMm: 'Caliper from edge of crank bore to edge of starter bore, plus both half diameters',
  },
})
