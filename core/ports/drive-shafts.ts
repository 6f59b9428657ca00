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
  how: {
    family: 'What the inner joints are called by their maker',
    splines: 'Count on the outer end',
    hubSplines: 'Count in the hub',
    leftMm: 'Joint centre to joint centre, plunge at its middle',
    rightMm: 'Joint centre to joint centre, plunge at its middle',
    hubLeftMm:
      'Tape from the middle of the vehicle to the outer joint, wheels straight, on its tyres',
    hubRightMm:
      'Tape from the middle of the vehicle to the outer joint, wheels straight, on its tyres',
    dropMm: 'Rule from the height of the inner joint to the outer, on its tyres',
    plungeMm: 'Push and pull the inner joint to both stops; half of what it moves',
    mostDeg: 'Maker’s sheet of the joint',
  },
})
