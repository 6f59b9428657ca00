import { span, thread } from './field.ts'
import { definePort } from './port.ts'

/** The gearbox's own mount pad. From the bell face, + rearward; down from the shaft axis. */
export const mountPad = definePort({
  kind: 'mount-pad',
  title: 'Gearbox mount pad',
  end: 'gearbox',
  fields: {
    alongMm: span('Middle of the pad from the bell face', { methods: ['tape-shaft', 'rule'] }),
    belowMm: span('Pad below the shaft axis', { methods: ['tape-shaft', 'rule'] }),
    spacingMm: span('Between the bolts', { methods: ['rule', 'tape-shaft'] }),
    thread: thread('Bolt thread'),
  },
  how: {
    alongMm: 'Bar across the bell face, tape to the middle of the pad',
    belowMm: 'Rule down from the height of the shaft axis to the pad',
    spacingMm: 'Rule, middle to middle of the bolts',
    thread: 'Thread gauge',
  },
})
