import { exact, span, stated, word } from './field.ts'
import { definePort } from './port.ts'

/** The drive shafts at hand and the hubs they go to, at ride height. */
export const driveShafts = definePort({
  kind: 'drive-shafts',
  title: 'Drive shafts and hubs',
  end: 'gearbox',
  fields: {
    family: word('Inner joint family'),
    splines: exact('Outer splines', '', { minutes: 3 }),
    hubSplines: exact('Hub splines', '', { minutes: 3 }),
    leftMm: span('Left shaft between joint centres', { methods: ['tape-shaft'] }),
    rightMm: span('Right shaft between joint centres', { methods: ['tape-shaft'] }),
    hubLeftMm: span('Left outer joint from the middle', { methods: ['tape-shaft'] }),
    hubRightMm: span('Right outer joint from the middle', { methods: ['tape-shaft'] }),
    dropMm: span('Outer joints below or above the inner', { methods: ['tape-shaft', 'rule'] }),
    plungeMm: stated('Plunge either way', 'mm', { methods: ['rule'] }),
    mostDeg: stated('Angle the joints allow', '°'),
  },
})
