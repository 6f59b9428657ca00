import { length, marking } from './field.ts'
import { definePort } from './port.ts'

/** The driven tyre, by its marking. */
export const tyre = definePort({
  kind: 'tyre',
  title: 'Tyre',
  end: 'gearbox',
  fields: {
    marking: marking('Tyre marking, such as 205/65R15'),
    loadedMm: length('Loaded radius, hub to ground', { methods: ['rule'], minutes: 3 }),
  },
  how: {
    marking: 'Read off the side wall: 205/70R15, 31x10.50R15, 7.50-16',
    loadedMm: 'Rule, floor to the middle of the hub, loaded and at its pressure',
  },
})
