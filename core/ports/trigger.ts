import { exact } from './field.ts'
import { definePort } from './port.ts'

/** Trigger teeth on a flywheel or flexplate. */
export const trigger = definePort({
  kind: 'trigger',
  title: 'Trigger teeth',
  end: 'gearbox',
  fields: {
    teeth: exact('Trigger teeth a turn, 0 for none', '', { minutes: 5 }),
  },
  how: {
    teeth: 'Count once round, the gap left out; 0 for none',
  },
})
