import { pistonArea, releaseTravel, slaveStroke } from '../mechanics/clutch.ts'
import { isNamed } from './chassis.ts'
import type { Joint } from './joint.ts'
import { BRIDGE, type Limit, type Outcome, WORK } from './verdict.ts'

const cylinders = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['clutch-hydraulics'] })
const stop: Outcome = {
  code: WORK,
  words: 'The fingers would be pushed too far: a pedal stop holds them',
  task: { id: 'pedal-stop', words: 'Set a pedal stop at the travel the cover stands', hours: 0.5, skills: ['mechanic'], reversible: true },
}
const TRAVEL: Limit = {
  id: 'release-travel',
  label: 'Bearing travel beyond its rest gap',
  unit: 'mm',
  below: cylinders('The clutch does not free: a larger master, a smaller slave, or another fork'),
  above: stop,
}
const MASTER: Limit = { id: 'master-stroke', label: 'Master stroke left', unit: 'mm', below: cylinders('The master bottoms before the pedal does') }
const SLAVE: Limit = { id: 'slave-wear', label: 'Slave stroke left for wear', unit: 'mm', below: cylinders('The slave runs out of stroke as the clutch wears') }

/**
 * Joint 7: pedal to release bearing. x = pedal ÷ pedal ratio · A_master/A_slave ÷ fork ratio · what is not lost; a slave
 * round the shaft has an annulus. The gap at rest is decided in depth; here its greatest value is taken off.
 */
export const release: Joint = {
  id: 'release',
  number: 7,
  short: 'Release',
  title: 'Pedal to release bearing',
  place: 'vehicle',
  decides: 'Travel that arrives at the fingers against what frees the disc, the strokes of master and slave, and what is left for wear.',
  applies: (_a, b) => b.ratios.type.v !== 'automatic' && isNamed(b.clutchPedal),
  check(_a, b, { tolerances }, sheet) {
    const { clutchPedal: pedal, releaseGear: gear, coverFingers: fingers, releaseBearing: bearing } = b
    const used = (): void => {
      for (const field of [pedal.travelMm, pedal.ratio, pedal.masterMm, gear.slaveMm, gear.innerMm] as const) sheet.uses(field)
    }
    const area = pistonArea(pedal.masterMm.v) / pistonArea(gear.slaveMm.v, gear.innerMm.v)
    const travel = releaseTravel(pedal.travelMm.v, pedal.ratio.v, area, gear.forkRatio.v, tolerances.releaseLoss)
    // Relative errors of a product, added as bounds; areas enter squared.
    const share = pedal.travelMm.pm / pedal.travelMm.v + (2 * pedal.masterMm.pm) / pedal.masterMm.v + (2 * gear.slaveMm.pm) / gear.slaveMm.v
    used()
    sheet.uses(gear.type)
    sheet.uses(gear.forkRatio)
    sheet.value(travel, travel * share)
    sheet.term(-1, bearing.gapHighMm)
    sheet.uses(fingers.travelLowMm)
    sheet.uses(fingers.travelHighMm)
    sheet.within(TRAVEL, fingers.travelLowMm.v, fingers.travelHighMm.v)

    sheet.term(1, pedal.strokeMm)
    sheet.uses(pedal.travelMm)
    sheet.uses(pedal.ratio)
    sheet.value(-pedal.travelMm.v / pedal.ratio.v, pedal.travelMm.pm / pedal.ratio.v)
    sheet.within(MASTER, 0, Infinity)

    sheet.term(1, gear.strokeMm)
    used()
    const stroke = slaveStroke(pedal.travelMm.v / pedal.ratio.v, pedal.masterMm.v, gear.slaveMm.v, gear.innerMm.v)
    sheet.value(-stroke, stroke * share)
    sheet.within(SLAVE, tolerances.wearReserveMm, Infinity)
    if (gear.type.v === 'concentric slave') sheet.caution('A slave round the shaft is reached only with the gearbox out: renew it while it is, and pressure-test before mating.')
  },
}
