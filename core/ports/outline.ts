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
})
