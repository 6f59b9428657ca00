import type { Joint } from './joint.ts'
import { BRIDGE, type Limit, type Outcome, WORK } from './verdict.ts'

const TEETH: Limit = { id: 'trigger-teeth', label: 'Wheel has the teeth the sensor counts', unit: '' }
const SEAT: Limit = { id: 'sensor-seat', label: 'Bell holds the sensor', unit: '' }
const wheel = (teeth: number): Outcome => ({
  code: BRIDGE,
  words: `A wheel with ${teeth} trigger teeth, or a trigger ring at the crank nose`,
  pieces: ['flywheel', 'flexplate', 'trigger-ring'],
})
const bracket: Outcome = {
  code: WORK,
  words: 'The bell has no seat for the crank sensor: the engine does not run without it',
  task: {
    id: 'sensor-bracket',
    words: 'Drill the bell for the sensor, or bracket it to the block, and set its gap',
    hours: 3,
    skills: ['machine'],
    reversible: false,
    caution: 'Last check before the bell is drilled: sensor over the teeth, wheel turned by hand, plugs out.',
  },
}

/** Joint 11: where the crank sensor reads, and whether that survives this wheel and bell. No damage limits. */
export const crankSensor: Joint = {
  id: 'crank-sensor',
  number: 11,
  short: 'Sensor',
  title: 'Crank sensor',
  place: 'coupling',
  decides: 'Where it reads: at nose or block it stays; on the wheel the teeth must be there; in the bell its seat must be too.',
  sometimes: ['crank-sensor.teeth', 'trigger.teeth', 'sensor-seat.drilled'],
  applies: (a) => a.crankSensor.readsAt.v !== 'none',
  check(a, b, _ctx, sheet) {
    const { readsAt, teeth } = a.crankSensor
    const onWheel = readsAt.v === 'wheel' || readsAt.v === 'wheel, from the bell'
    sheet.uses(readsAt)
    if (onWheel) {
      sheet.uses(teeth)
      sheet.uses(b.trigger.teeth)
    }
    sheet.require(TEETH, !onWheel || b.trigger.teeth.v === teeth.v, wheel(teeth.v))
    if (readsAt.v !== 'wheel, from the bell') return
    sheet.uses(readsAt)
    sheet.uses(b.sensorSeat.drilled)
    sheet.require(SEAT, b.sensorSeat.drilled.v === true, bracket)
  },
}
