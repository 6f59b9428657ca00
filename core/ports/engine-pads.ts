import { reading, span, thread } from './field.ts'
import { definePort } from './port.ts'

/** Where the engine sits on its mounts, its own brackets on. From the block face, + rearward; down from the crank axis. */
export const enginePads = definePort({
  kind: 'engine-pads',
  title: 'Engine mount pads',
  end: 'engine',
  fields: {
    alongMm: span('Middle of the pads from the block face', { methods: ['tape-shaft', 'rule'] }),
    belowMm: span('Pads below the crank axis', { methods: ['tape-shaft', 'rule'] }),
    spreadMm: span('Between the pads, across', { methods: ['tape-shaft', 'rule'] }),
    angleDeg: reading('Pads lean from level', '°', { methods: ['level', 'phone'], minutes: 5 }),
    thread: thread('Stud or bolt thread'),
  },
})
