import { exact } from './field.ts'
import { definePort } from './port.ts'

/** The driven axle: ratio and the load it carries laden. */
export const axle = definePort({
  kind: 'axle',
  title: 'Driven axle',
  end: 'gearbox',
  fields: {
    ratio: exact('Axle ratio', ''),
    ladenKg: exact('Laden axle load or plate rating', 'kg', { methods: ['scale'] }),
  },
})
