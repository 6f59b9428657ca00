import { flag } from './field.ts'
import { definePort } from './port.ts'

/** The seat of a crank sensor in the bell. */
export const sensorSeat = definePort({
  kind: 'sensor-seat',
  title: 'Sensor seat in the bell',
  end: 'gearbox',
  fields: {
    drilled: flag('A crank sensor has its seat in the bell'),
  },
  how: {
    drilled: 'Is there a drilled and tapped place for the sensor in this bell?',
  },
})
