import { reading, span, word } from './field.ts'
import { definePort } from './port.ts'

/** The input of the driven axle at ride height: from midway between the engine mounts, + rearward; below their plane; right of the middle seen from behind. */
export const pinion = definePort({
  kind: 'pinion',
  title: 'Axle input',
  end: 'gearbox',
  fields: {
    alongMm: span('Joint centre behind the engine mounts', { methods: ['tape-shaft'] }),
    belowMm: span('Joint centre below the plane of the mounts', {
      methods: ['tape-shaft', 'rule'],
    }),
    rightMm: span('Joint centre right of the middle', { methods: ['tape-shaft', 'rule'] }),
    noseUpDeg: reading('Nose of the axle up from level', '°', {
      methods: ['level', 'phone'],
      minutes: 5,
    }),
    flange: word('Flange it has, such as flange 94'),
    travelMm: span('It moves along, bump to droop', {
      methods: ['rule', 'tape-shaft'],
      minutes: 15,
    }),
  },
  how: {
    alongMm: 'Plumb from between the engine mounts to the middle of the axle joint, on its tyres',
    belowMm: 'String at the height of the engine mounts, down to the axle joint',
    rightMm: 'Middle of the vehicle to the axle joint, + to the right seen from behind',
    noseUpDeg: 'Level on the axle flange, on its tyres',
    flange:
      'What the flange is called by its maker; else measure circle and bolts of the shaft that fits it',
    travelMm: 'Mark the slip at bump and at droop, jacked under the frame',
  },
})
