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
  how: {
    ratio:
      'Tag on the cover; or both wheels off the ground and turned once the same way, count turns of the shaft',
    ladenKg: 'Weighbridge, this axle alone, as it will be driven',
    load: 'Is the load above what carries it, or what it moves with a trailer?',
    transferKg: 'Maker’s or reckoned share that moves to it when pulling away',
  },
})
