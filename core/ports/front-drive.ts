import { word } from './field.ts'
import { definePort } from './port.ts'

const SENSES = ['with the crank', 'against the crank'] as const
const BELT_SIDES = ['ribs', 'back'] as const

/** Belt-driven things at the front of the engine: what each was made for, and what drives it. Ribs turn a pulley with the crank, the back of the belt against it. */
export const frontDrive = definePort({
  kind: 'front-drive',
  title: 'Pump, fan and alternator',
  end: 'engine',
  fields: {
    pumpWants: word('Water pump made to turn', SENSES),
    pumpBelt: word('Water pump driven by', BELT_SIDES),
    fanWants: word('Fan made to turn', [...SENSES, 'electric']),
    fanBelt: word('Fan driven by', [...BELT_SIDES, 'motor']),
    alternatorWants: word('Alternator made to turn', [...SENSES, 'either']),
    alternatorBelt: word('Alternator driven by', BELT_SIDES),
  },
  how: {
    pumpWants: 'Arrow on the pump, or the way its vanes lean',
    pumpBelt: 'Inside of the belt drives it, or its back?',
    fanWants: 'The way its blades must turn to blow at the engine',
    fanBelt: 'Inside of the belt drives it, or its back?',
    alternatorWants: 'The way its fan blades lean',
    alternatorBelt: 'Inside of the belt drives it, or its back?',
  },
})
