import { exact, word } from './field.ts'
import { definePort } from './port.ts'

/** The crank sensor an engine runs by. */
export const crankSensor = definePort({
  kind: 'crank-sensor',
  title: 'Crank sensor',
  end: 'engine',
  fields: {
    readsAt: word('It reads', ['none', 'crank nose', 'block', 'wheel', 'wheel, from the bell']),
    teeth: exact('Teeth it counts a turn', '', { minutes: 5 }),
  },
  how: {
    readsAt: 'Follow its plug: flywheel, ring, damper or a ring in the block',
    teeth: 'Maker’s sheet, the gap said: 60−2 is 58',
  },
})
