import { exact, length, span, stated, word } from './field.ts'
import { definePort } from './port.ts'

/** The propshaft at hand. Length from joint centre to joint centre with the slip at its middle. */
export const propshaft = definePort({
  kind: 'propshaft',
  title: 'Propshaft',
  end: 'gearbox',
  fields: {
    type: word('Front end is a', ['slip', 'flange']),
    splines: exact('Splines, 0 on a flange', '', { minutes: 3 }),
    majorMm: length('Bore of the splines, 0 on a flange', { methods: ['caliper'], minutes: 5 }),
    circleMm: length('Front bolt circle, 0 on a slip yoke', { methods: ['caliper'], minutes: 5 }),
    lengthMm: span('Between joint centres, slip at its middle', { methods: ['tape-shaft'] }),
    slipMm: span('Slip it has in all', { methods: ['rule'] }),
    tubeMm: length('Tube Ø', { methods: ['caliper'], minutes: 5 }),
    wallMm: length('Tube wall', { methods: ['caliper'], minutes: 5 }),
    yokeDeg: stated('Angle its joints allow', '°'),
  },
  how: {
    type: 'Slides on splines or bolts to a flange in front',
    splines: 'Count them',
    majorMm: 'Inside caliper across two opposite grooves',
    circleMm: 'Edge to edge of two opposite holes, plus one hole Ø',
    lengthMm: 'Joint centre to joint centre, slip at its middle',
    slipMm: 'Pull it out and push it home; rule what it moved',
    tubeMm: 'Caliper across the tube',
    wallMm: 'At a cut end; else the maker’s figure',
    yokeDeg: 'Fold the joint by hand till it touches, a level on both arms; less a degree',
  },
})
