import { exact, word } from './field.ts'
import { definePort } from './port.ts'

/** The driven axle: ratio and the load it carries laden. */
export const axle = definePort({
  kind: 'axle',
  title: 'Driven axle',
  end: 'gearbox',
  fields: {
    ratio: exact('Axle ratio', ''),
    ladenKg: exact('Laden axle load or plate rating', 'kg', { methods: ['scale'] }),
    load: word('That load is', ['weighed', 'plate']),
    transferKg: exact('Load it gains under acceleration', 'kg'),
  },
})
