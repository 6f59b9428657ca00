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
})
