import { exact, length, roughly } from './field.ts'
import { definePort } from './port.ts'

/** The flange of the clutch cover, and how hard it clamps. */
export const coverMount = definePort({
  kind: 'cover-mount',
  title: 'Clutch cover flange',
  end: 'gearbox',
  fields: {
    circleMm: length('Cover bolt circle', { methods: ['caliper'], minutes: 5 }),
    bolts: exact('Cover holes', '', { minutes: 2 }),
    holeMm: length('Cover hole Ø', { methods: ['caliper'], minutes: 5 }),
    dowelMm: length('Cover dowel hole Ø, 0 for none', { methods: ['caliper'], minutes: 5 }),
    stepMm: length('Seat it is made for, from the clutch face'),
    clampN: roughly('Clamp load', 'N', (value) => 0.1 * value),
  },
  how: {
    circleMm: 'Edge to edge of two opposite holes, plus one hole Ø',
    bolts: 'Count, dowel holes left out',
    holeMm: 'Caliper in a clean hole',
    dowelMm: 'Caliper in the dowel hole',
    stepMm: 'Maker’s sheet; or what the wheel it came off had',
    clampN: 'Maker’s sheet of the cover',
  },
})
