import { length, numbers, thread } from './field.ts'
import { definePort } from './port.ts'

/** Where a flexplate takes the converter. Height from the flange face, + rearward: a plate dished forward is negative. */
export const flexPads = definePort({
  kind: 'flex-pads',
  title: 'Converter pads of the flexplate',
  end: 'gearbox',
  fields: {
    heightMm: length('Pads behind the flange face, h'),
    angles: numbers('Hole angles', '°'),
    circleMm: length('Hole circle', { methods: ['caliper', 'rule'] }),
    holeMm: length('Hole Ø', { methods: ['caliper'] }),
    thickMm: length('Thickness at the pads', { methods: ['caliper'] }),
    boltThread: thread('Bolt thread'),
    boltMm: length('Bolt length under head', { methods: ['caliper'] }),
  },
})
