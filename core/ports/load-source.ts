import { flag, length } from './field.ts'
import { definePort } from './port.ts'

/** What the engine can tell of its load. */
export const loadSource = definePort({
  kind: 'load-source',
  title: 'Load signal it gives',
  end: 'engine',
  fields: {
    cable: flag('Throttle can pull a cable'),
    pullMm: length('Cable pull, idle to full', { methods: ['rule', 'caliper'] }),
    vacuum: flag('Manifold vacuum at a pipe'),
    bus: flag('Throttle angle as a signal'),
  },
  how: {
    cable: 'Is there a throttle lever a cable could hang on?',
    pullMm: 'How far the lever pulls at that radius, idle to full',
    vacuum: 'A petrol engine with a throttle has it at the intake; a diesel only from a pump',
    bus: 'Does the engine’s unit say its load on a bus the gearbox understands? Maker’s word',
  },
})
