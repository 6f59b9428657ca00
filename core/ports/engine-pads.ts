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
  how: {
    alongMm:
      'Square across the block face, tape to the middle of the pads; minus ahead of the face',
    belowMm: 'Rule down from the height of the crank axis to the pad',
    spreadMm: 'Tape from stud to stud',
    angleDeg: 'Level on the pad, the deck of the engine level',
    thread: 'Thread gauge on stud or bolt',
  },
})
