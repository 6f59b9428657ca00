import { exact, length, word } from './field.ts'
import { definePort } from './port.ts'

/** What moves the release bearing: a fork with its slave, or a slave round the shaft. */
export const releaseGear = definePort({
  kind: 'release-gear',
  title: 'Release fork and slave',
  end: 'gearbox',
  fields: {
    type: word('Released by', ['fork', 'concentric slave']),
    slaveMm: length('Slave bore, outer', { methods: ['caliper'], minutes: 5 }),
    innerMm: length('Slave bore, inner, 0 on a fork', { methods: ['caliper'], minutes: 5 }),
    strokeMm: length('Stroke the slave has', { methods: ['caliper', 'rule'] }),
    forkRatio: exact('Fork ratio, 1 without a fork', '', { methods: ['rule'] }),
  },
  how: {
    type: 'Fork with a slave outside, or a slave round the shaft',
    slaveMm: 'Cast on it; or caliper on the piston',
    innerMm: 'Round the shaft only: caliper on the inner tube',
    strokeMm: 'How far the piston may go: maker’s sheet, or between its stops',
    forkRatio: 'Pivot to slave, divided by pivot to bearing',
  },
})
