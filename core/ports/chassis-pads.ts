import { flag, reading, span, thread } from './field.ts'
import { definePort } from './port.ts'

/** The vehicle's engine mounts. Their middle, at ride height on its tyres, is x = 0 of the vehicle's frame. */
export const chassisPads = definePort({
  kind: 'chassis-pads',
  title: 'Engine mounts of the chassis',
  end: 'gearbox',
  fields: {
    crankAboveMm: span('Crank axis above the mounts', { methods: ['tape-shaft', 'rule'] }),
    spreadMm: span('Between the mounts, across', { methods: ['tape-shaft', 'rule'] }),
    angleDeg: reading('Mounts lean from level', '°', { methods: ['level', 'phone'], minutes: 5 }),
    thread: thread('Stud or bolt thread'),
    captive: flag('One mount captive, so that a torn rubber cannot let go'),
  },
  how: {
    crankAboveMm: 'Straight edge across the mounts, up to the middle of the crank',
    spreadMm: 'Between the mounts, stud to stud',
    angleDeg: 'Level on the face of the mount',
    thread: 'Thread gauge on stud or bolt',
    captive: 'Can the engine lift off with its rubber torn through, or is it held?',
  },
})
