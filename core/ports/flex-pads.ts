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
  how: {
    heightMm: 'Flexplate flat on its crank face: bar across, caliper to where the converter sits',
    angles:
      'Protractor or rubbing, from the right-hand side, counter-clockwise; say which way you looked',
    circleMm: 'Edge to edge of two opposite holes, plus one hole Ø',
    holeMm: 'Caliper in a clean hole; a slot across its narrow way',
    thickMm: 'Caliper on the sheet beside a hole',
    boltThread: 'Thread gauge on the bolt',
    boltMm: 'Caliper from under the head to the end',
  },
})
