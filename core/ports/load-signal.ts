import { length, word } from './field.ts'
import { definePort } from './port.ts'

/** What tells an automatic how hard the engine works. */
export const loadSignal = definePort({
  kind: 'load-signal',
  title: 'Load signal it wants',
  end: 'gearbox',
  fields: {
    wants: word('Load is told by', ['none', 'cable', 'vacuum', 'controller']),
    pullMm: length('Cable pull, idle to full', { methods: ['rule', 'caliper'] }),
  },
  how: {
    wants: 'What goes to the gearbox: a cable, a vacuum hose or a plug',
    pullMm: 'How far its cable is pulled, idle to full: maker’s sheet',
  },
})
