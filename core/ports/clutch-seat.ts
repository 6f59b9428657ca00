import { exact, length, thread } from './field.ts'
import { definePort } from './port.ts'

/** Where the clutch cover sits on its flywheel, and the face the disc rubs on. Step from the clutch face, + rearward. */
export const clutchSeat = definePort({
  kind: 'clutch-seat',
  title: 'Clutch seat of the flywheel',
  end: 'gearbox',
  fields: {
    circleMm: length('Cover bolt circle', { methods: ['caliper'], minutes: 5 }),
    bolts: exact('Cover bolts', '', { minutes: 2 }),
    thread: thread('Cover bolt thread'),
    dowelMm: length('Cover dowel Ø, 0 for none', { methods: ['caliper'], minutes: 5 }),
    stepMm: length('Cover seat from the clutch face'),
    outerMm: length('Outer Ø of the clutch face', { methods: ['caliper'], minutes: 5 }),
    innerMm: length('Inner Ø of the clutch face', { methods: ['caliper'], minutes: 5 }),
  },
  how: {
    circleMm: 'Edge to edge of two opposite holes, plus one hole Ø',
    bolts: 'Count, dowels left out',
    thread: 'Thread gauge in the hole',
    dowelMm: 'Caliper on the pin',
    stepMm: 'Bar across the clutch face, caliper to where the cover sits; 0 when it is one plane',
    outerMm: 'Caliper over the ground face',
    innerMm: 'Caliper in the ground face',
  },
})
