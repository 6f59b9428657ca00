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
})
