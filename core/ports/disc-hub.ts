import { length } from './field.ts'
import { definePort } from './port.ts'

/** The clutch disc's hub, from the clutch face, + rearward. */
export const discHub = definePort({
  kind: 'disc-hub',
  title: 'Clutch disc hub',
  end: 'gearbox',
  fields: { startMm: length('Hub front from clutch face'), endMm: length('Hub rear from clutch face') },
})
