import { exact, length, numbers, thread } from './field.ts'
import { definePort } from './port.ts'

/** A torque converter. Lengths from its pads, + rearward (a nose ahead of the pads is negative). */
export const converter = definePort({
  kind: 'converter',
  title: 'Converter',
  end: 'gearbox',
  looks: 'forward',
  fields: {
    padAngles: numbers('Pad angles', '°'),
    padCircleMm: length('Pad circle', { methods: ['caliper', 'rule'] }),
    padThread: thread('Pad thread'),
    padDepthMm: length('Thread depth in the pads'),
    noseMm: length('Nose Ø', { methods: ['micrometer', 'caliper'] }),
    noseTipMm: length('Nose tip from the pads'),
    hubMm: length('Pump hub Ø', { methods: ['micrometer', 'caliper'] }),
    turbineSplines: exact('Turbine splines', '', { minutes: 5 }),
    statorSplines: exact('Stator splines', '', { minutes: 5 }),
    stallRpm: exact('Stall speed', 'rpm'),
  },
  how: {
    padAngles:
      'Protractor or rubbing, from the right-hand side, counter-clockwise; say which way you looked',
    padCircleMm: 'Edge to edge of two opposite holes, plus one hole Ø',
    padThread: 'Thread gauge in the pad, or its bolt',
    padDepthMm: 'Depth rod to the bottom of the thread: too long a bolt dents the converter',
    noseMm: 'Micrometer on the pilot nose',
    noseTipMm: 'Bar across the pads, caliper to the tip of the nose',
    hubMm: 'Micrometer on the hub that runs in the pump',
    turbineSplines: 'Count, with a light down the hub',
    statorSplines: 'Count the outer ones down the hub',
    stallRpm: 'Maker’s or rebuilder’s sheet, with the engine it was rated behind',
  },
})
