import { zones } from './field.ts'
import { definePort } from './port.ts'

/** What passes under the engine, swept through full lock and bump where it moves: along from midway between the engine mounts, top below their plane. */
export const underEngine = definePort({
  kind: 'under-engine',
  title: 'Under the engine: steering, crossmember, axle',
  end: 'gearbox',
  fields: {
    zones: zones('From, to, top below the engine mounts, left and right edge, "moving", name'),
  },
  how: {
    zones:
      'String at the height of the engine mounts: from and to along it, down to the top of each thing; wheels turned lock to lock, axle at bump',
  },
})
