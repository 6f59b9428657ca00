import { word } from './field.ts'
import { definePort } from './port.ts'

/** Where the vehicle leaves room for a starter. */
export const starterRoom = definePort({
  kind: 'starter-room',
  title: 'Room for a starter',
  end: 'gearbox',
  fields: {
    side: word('Free side, seen from the gearbox', ['both', 'left', 'right', 'neither']),
  },
  how: {
    side: 'Standing behind the engine in the bay: on which side is there room, clear of steering and exhaust?',
  },
})
