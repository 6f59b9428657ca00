import { BRIDGE, WORK } from './code.ts'
import type { Joint } from './joint.ts'
import { type Formula, formula } from './judging/declaration.ts'
import { a, aside, b } from './judging/read.ts'

const sensor = a.crankSensor
const readsAt = { readsAt: aside(sensor.readsAt) }
const isOnWheel = (at: string | null): boolean => at === 'wheel' || at === 'wheel, from the bell'
const onWheel: Formula<boolean> = formula(readsAt, (x) => isOnWheel(x.readsAt))
const elsewhere: Formula<boolean> = formula(readsAt, (x) => !isOnWheel(x.readsAt))
const teeth = { sensor: sensor.teeth, wheel: b.trigger.teeth }
const TEETH = {
  id: 'trigger-teeth',
  label: 'Wheel has the teeth the sensor counts',
  unit: '',
} as const

/** Joint 11: where the crank sensor reads, and whether that survives this wheel and bell. No damage limits. */
export const crankSensor: Joint = {
  id: 'crank-sensor',
  number: 11,
  short: 'Sensor',
  title: 'Crank sensor',
  place: 'coupling',
  meets: 'whole',
  strip: 'starter',
  drawing: null,
  decides:
    'Where it reads: at nose or block it stays; on the wheel the teeth must be there; in the bell its seat must be too.',
  applies: formula(readsAt, (x) => x.readsAt !== 'none'),
  limits: [
    { ...TEETH, when: elsewhere, names: [sensor.readsAt], holds: formula({}, () => true) },
    {
      ...TEETH,
      when: onWheel,
      names: [sensor.readsAt],
      holds: formula(teeth, (x) => x.wheel === x.sensor),
      otherwise: {
        code: BRIDGE,
        words: formula(
          teeth,
          (x) => `A wheel with ${x.sensor} trigger teeth, or a trigger ring at the crank nose`,
        ),
        pieces: ['flywheel', 'flexplate', 'trigger-ring'],
      },
    },
    {
      id: 'sensor-seat',
      label: 'Bell holds the sensor',
      unit: '',
      when: formula(readsAt, (x) => x.readsAt === 'wheel, from the bell'),
      names: [sensor.readsAt],
      holds: formula({ drilled: b.sensorSeat.drilled }, ({ drilled }) => drilled === true),
      otherwise: {
        code: WORK,
        words: 'The bell has no seat for the crank sensor: the engine does not run without it',
        task: {
          id: 'sensor-bracket',
          words: 'Drill the bell for the sensor, or bracket it to the block, and set its gap',
          hours: 3,
          skills: ['machine'],
          reversible: false,
          caution:
            'Last check before the bell is drilled: sensor over the teeth, wheel turned by hand, plugs out.',
        },
      },
    },
  ],
  cures: { flywheel: 'flange', flexplate: 'flange', 'trigger-ring': 'elsewhere' },
}
