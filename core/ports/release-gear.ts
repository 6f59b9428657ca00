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
})
