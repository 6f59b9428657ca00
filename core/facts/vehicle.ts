import { yesNo } from './fact-row.ts'

/** What the recipient is. */
export const VEHICLE_TRAITS = {
  'vehicle.layout': {
    values: ['lengthwise', 'crosswise', 'mid', 'rear', 'tractor'],
    asks: 'Where is the engine, and which way does it lie?',
    found: 'look',
    when: 'start',
  },
  'vehicle.driven': {
    values: ['two', 'four'],
    asks: 'How many wheels are driven?',
    found: 'look under it',
  },
  'vehicle.axle': {
    values: ['live', 'independent'],
    asks: 'Is the rear axle one beam?',
    found: 'look under it',
  },
  'vehicle.body': {
    values: ['shell', 'rails'],
    asks: 'A shell, or frame rails?',
    found: 'look under it',
  },
  'vehicle.frame': {
    values: ['castings', 'rails', 'none'],
    asks: 'Does the engine block carry the tractor?',
    found: 'look at the clutch case',
  },
  'vehicle.side': {
    values: ['left', 'right', 'middle'],
    asks: 'On which side is the steering column?',
    found: 'look',
    assumed: 'left',
  },
  'vehicle.fuel': {
    values: ['petrol', 'diesel'],
    asks: 'What fuel was it made for?',
    found: 'the filler',
    assumed: 'petrol',
  },
  'vehicle.supply': {
    values: ['low', 'high'],
    asks: 'A pump for a carburettor, or for injection?',
    found: 'the pump, at the engine or in the tank',
  },
  'vehicle.return': yesNo('Does a second pipe go back to the tank?', { found: 'follow the pipes' }),
  'vehicle.tank': {
    values: ['clean', 'dirty'],
    asks: 'Is the tank clean inside?',
    found: 'a torch that is safe by fuel; cut the filter open',
  },
  'vehicle.evap': yesNo('Has it a charcoal canister?', { found: 'under the wing, or at the tank' }),
  'vehicle.throttle': {
    values: ['cable', 'rod', 'wire'],
    asks: 'Does the pedal pull something, or is it plugged in?',
    found: 'behind the pedal',
    assumed: 'cable',
  },
  'vehicle.box': {
    values: ['manual', 'automatic'],
    asks: 'Which gearbox had it?',
    found: 'the pedals',
  },
  'vehicle.clutch': {
    values: ['hydraulic', 'cable', 'rod', 'none'],
    asks: 'What moves the clutch?',
    found: 'under the dash',
  },
  'vehicle.steering': {
    values: ['none', 'hydraulic', 'electric'],
    asks: 'What helps the steering?',
    found: 'a pump on the belt, a motor, or nothing',
  },
  'vehicle.booster': {
    values: ['none', 'vacuum', 'hydraulic', 'electric'],
    asks: 'What helps the brakes?',
    found: 'behind the master cylinder',
    assumed: 'vacuum',
  },
  'vehicle.cooling': {
    values: ['water', 'air'],
    asks: 'Has it a radiator now?',
    found: 'look',
    assumed: 'water',
  },
  'vehicle.cluster': {
    values: ['senders', 'bus'],
    asks: 'Are the gauges fed by single wires, or by a bus?',
    found: 'its plug: many wires or few',
  },
  'vehicle.electronics': {
    values: ['none', 'abs', 'stability'],
    asks: 'Which computers look after its wheels?',
    found: 'lamps at switch-on',
  },
  'vehicle.speedo': {
    values: ['cable', 'pulse', 'bus'],
    asks: 'What drives the speedometer?',
    found: 'behind it',
  },
  'vehicle.volts': {
    values: ['six', 'twelve', 'twentyfour'],
    asks: 'How many volts?',
    found: 'the battery',
    assumed: 'twelve',
  },
  'vehicle.charge': {
    values: ['alternator', 'dynamo'],
    asks: 'What charges its battery?',
    found: 'look',
    assumed: 'alternator',
  },
  'vehicle.air': yesNo('Has it air conditioning?', { found: 'look' }),
  'vehicle.ballast': yesNo('Is there a ballast wire to the coil?', {
    found: 'measure at the coil',
  }),
  'vehicle.bags': yesNo('Has it airbags?', { found: 'wheel and dash' }),
  'vehicle.lock': yesNo('Has it an immobiliser of its own?', { found: 'the key and a lamp' }),
  'vehicle.rust': yesNo('Is there rust where mounts and rails sit?', {
    found: 'a hammer and a light',
  }),
  'vehicle.started': yesNo('Was the swap begun by somebody else?', { found: 'the owner' }),
} as const
