import { revsPerKm } from '../mechanics/tyre.ts'
import { whereNamed } from './always.ts'
import { BRIDGE, WORK } from './code.ts'
import type { Joint } from './joint.ts'
import { formula, measure } from './judging/declaration.ts'
import { aside, b, either } from './judging/read.ts'
import { tyreRadius } from './tyre-radius.ts'
import type { Outcome } from './verdict.ts'

const gear: Outcome = {
  code: WORK,
  words: 'It reads wrong',
  task: {
    id: 'speed-gear',
    words:
      'Another driven gear or ratio box, or set the pulses; prove it over a measured kilometre',
    hours: 1.5,
    skills: ['mechanic'],
    reversible: true,
  },
}
const drive = b.speedDrive
const reader = b.speedReader
const kinds = { drive: aside(drive.type), reader: aside(reader.type) }
const given = {
  perTurn: drive.perTurn,
  ratio: either(b.ratios.finalDrive, b.axle.ratio),
  radiusMm: tyreRadius,
}
const perKm = (x: {
  readonly perTurn: number
  readonly ratio: number
  readonly radiusMm: number
}): number => revsPerKm(2 * x.radiusMm) * x.ratio * x.perTurn

/** Joint 21: speedometer. Turns of the output for a kilometre = tyre turns × axle ratio; times what the drive gives a turn. No damage limits. */
export const speedometer: Joint = {
  id: 'speedometer',
  number: 21,
  short: 'Speed',
  title: 'Speedometer drive',
  place: 'vehicle',
  meets: 'whole',
  strip: 'output',
  drawing: null,
  decides:
    'Cable or pulses, and turns or pulses for a kilometre by loaded tyre, axle ratio and drive gears against what the speedometer wants.',
  applies: whereNamed(reader),
  limits: [
    {
      id: 'speed-kind',
      label: 'Speed is told the way it is read',
      unit: '',
      holds: formula({ drive: drive.type, reader: reader.type }, (x) => x.drive === x.reader),
      otherwise: {
        code: BRIDGE,
        words: 'Told another way: a sender on the cable, a cable drive, or a converter',
        pieces: ['speed-converter'],
      },
    },
    {
      id: 'speed-reads',
      label: 'Speedometer errs by',
      unit: '',
      when: formula(kinds, (x) => x.drive === x.reader),
      measure: measure({ ...given, wanted: reader.perKm }, (x) => perKm(x) / x.wanted - 1, {
        perTurn: 1,
        ratio: 1,
        radiusMm: -1,
        wanted: -1,
      }),
      window: ['-speedShare', 'speedShare'],
      below: gear,
      above: gear,
    },
  ],
  figures: [
    {
      label: 'Given for a kilometre',
      unit: '',
      of: formula(given, perKm),
      when: formula(kinds, (x) => x.drive === x.reader),
    },
  ],
  cures: { 'speed-converter': 'elsewhere' },
}
