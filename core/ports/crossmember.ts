import { flag, span, thread } from './field.ts'
import { definePort } from './port.ts'

/** The vehicle's gearbox crossmember: from midway between the engine mounts, + rearward; its seat below their plane. */
export const crossmember = definePort({
  kind: 'crossmember',
  title: 'Gearbox crossmember',
  end: 'gearbox',
  fields: {
    alongMm: span('Middle of its mount, behind the engine mounts', {
      methods: ['tape-shaft', 'tape-bay'],
    }),
    belowMm: span('Its seat, below the plane of the engine mounts', {
      methods: ['tape-shaft', 'tape-bay'],
    }),
    spacingMm: span('Between the bolts', { methods: ['rule', 'tape-shaft'] }),
    slotMm: span('It can be slid either way by', { methods: ['rule', 'tape-shaft'] }),
    thread: thread('Bolt thread'),
    mayMove: flag('It unbolts and may be moved along'),
  },
  how: {
    alongMm: 'Plumb from between the engine mounts, tape to the middle of the gearbox mount',
    belowMm: 'String at the height of the engine mounts, down to the seat',
    spacingMm: 'Between the bolts of the gearbox mount',
    slotMm: 'Bolts loose: push it to both ends and take half of what it moves',
    thread: 'Thread gauge',
    mayMove: 'Is it bolted to the rails, and is there rail where it would go?',
  },
})
