import { span, word } from './field.ts'
import { definePort } from './port.ts'

/** Overall sizes for the drawing, mm. On a vehicle the places are from the radiator, + rearward. */
export const outline = definePort({
  kind: 'outline',
  title: 'Outline',
  end: 'engine',
  fields: {
    layout: word('Layout', ['lengthwise', 'crosswise', 'mid']),
    lengthMm: span('Length along the train'),
    heightMm: span('Height'),
    widthMm: span('Width'),
    bellMm: span('Bell length'),
    blockFaceMm: span('Block face behind radiator'),
    frontAxleMm: span('Front axle behind radiator'),
    firewallMm: span('Firewall behind radiator'),
    rearAxleMm: span('Rear axle behind radiator'),
  },
  how: {
    layout: 'Which way the crank lies, and where the engine stands',
    lengthMm: 'Tape over all, along the crank',
    heightMm: 'Lowest to highest place',
    widthMm: 'Widest place, across',
    bellMm: 'Block face to the rear face of the bell',
    blockFaceMm: 'Radiator core to the face of the block, along the crank',
    frontAxleMm: 'Radiator core to the middle of the front axle, plumb',
    firewallMm: 'Radiator core to the firewall at crank height',
    rearAxleMm: 'Radiator core to the middle of the rear axle, on its tyres',
  },
})
