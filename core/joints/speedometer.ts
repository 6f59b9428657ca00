import { loadedRadius, revsPerKm } from '../mechanics/tyre.ts'
import { isNamed } from './chassis.ts'
import type { Joint } from './joint.ts'
import { BRIDGE, type Limit, type Outcome, WORK } from './verdict.ts'

const KIND: Limit = { id: 'speed-kind', label: 'Speed is told the way it is read', unit: '' }
const converter: Outcome = { code: BRIDGE, words: 'Told another way: a sender on the cable, a cable drive, or a converter', pieces: ['speed-converter'] }
const gear: Outcome = {
  code: WORK,
  words: 'It reads wrong',
  task: { id: 'speed-gear', words: 'Another driven gear or ratio box, or set the pulses; prove it over a measured kilometre', hours: 1.5, skills: ['mechanic'], reversible: true },
}
const READS: Limit = { id: 'speed-reads', label: 'Speedometer errs by', unit: '', below: gear, above: gear }

/** Joint 21: speedometer. Turns of the output for a kilometre = tyre turns × axle ratio; times what the drive gives a turn. No damage limits. */
export const speedometer: Joint = {
  id: 'speedometer',
  number: 21,
  short: 'Speed',
  title: 'Speedometer drive',
  place: 'vehicle',
  decides: 'Cable or pulses, and turns or pulses for a kilometre by loaded tyre, axle ratio and drive gears against what the speedometer wants.',
  sometimes: ['speed-drive.perTurn', 'speed-reader.perKm', 'axle.ratio', 'tyre.marking', 'ratios.finalDrive'],
  applies: (_a, b) => isNamed(b.speedReader),
  check(_a, b, { tolerances }, sheet) {
    const { speedDrive: drive, speedReader: reader } = b
    sheet.uses(drive.type)
    sheet.uses(reader.type)
    const alike = drive.type.v === reader.type.v
    sheet.require(KIND, alike, converter)
    if (!alike) return
    const ratio = b.ratios.finalDrive.claim !== null ? b.ratios.finalDrive : b.axle.ratio
    sheet.uses(drive.perTurn)
    sheet.uses(ratio)
    sheet.uses(b.tyre.marking)
    sheet.uses(reader.perKm)
    const turns = revsPerKm(2 * loadedRadius(b.tyre.marking.v, tolerances.rollingFactor)) * ratio.v
    sheet.value((turns * drive.perTurn.v) / reader.perKm.v - 1, 0)
    if (sheet.allKnown) sheet.show('Given for a kilometre', turns * drive.perTurn.v, '')
    sheet.within(READS, -tolerances.speedShare, tolerances.speedShare)
  },
}
