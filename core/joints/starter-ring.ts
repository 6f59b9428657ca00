import { moduleOf, pitchCentres, starterTurns, type Turns } from '../mechanics/gear.ts'
import { isNamed } from './chassis.ts'
import type { Joint } from './joint.ts'
import { BRIDGE, CLASH, type Limit, type Outcome } from './verdict.ts'

const starter = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['starter'] })
const MODULE: Limit = { id: 'starter-module', label: 'Teeth are of one module', unit: 'mm', below: starter('Finer teeth on the ring'), above: starter('Coarser teeth on the ring') }
const MESH: Limit = {
  id: 'starter-mesh',
  label: 'Starter axis beyond pitch contact',
  unit: 'mm',
  below: { code: BRIDGE, words: 'Pinion and ring bind: another ring or starter', pieces: ['starter', 'flywheel'] },
  above: { code: BRIDGE, words: 'Pinion hardly reaches the ring: another ring or starter', pieces: ['starter', 'flywheel'] },
}
const TURNS: Limit = { id: 'starter-turns', label: 'Starter turns the crank its way', unit: '' }
const SIDE: Limit = { id: 'starter-side', label: 'Room on the side of the starter', unit: '' }
const noRoom: Outcome = { code: BRIDGE, words: 'Something stands where the starter sits: another bell, or a starter of the other side', pieces: ['starter', 'bellhousing'] }
const nowhere: Outcome = { code: CLASH, words: 'The vehicle has room for a starter on neither side' }

/** Joint 9: starter on its ring. Rest gap and overlap are decided in depth. No damage limits. */
export const starterRing: Joint = {
  id: 'starter-ring',
  number: 9,
  short: 'Starter',
  title: 'Starter to ring gear',
  place: 'coupling',
  decides: 'Module of both, axis distance against pitch contact, which way it turns, and whether its side is free.',
  sometimes: ['starter-seat.side', 'starter-room.side'],
  applies: () => true,
  check(a, b, { tolerances }, sheet) {
    const { starter: motor, ring } = b
    const seat = motor.mount.v === 'block' ? a.starterSeat : b.starterSeat
    sheet.uses(ring.teeth)
    sheet.uses(ring.outerMm)
    sheet.value(moduleOf(ring.outerMm.v, ring.teeth.v), ring.outerMm.pm / (ring.teeth.v + 2))
    sheet.term(-1, motor.moduleMm)
    sheet.within(MODULE, -tolerances.moduleMm, tolerances.moduleMm)

    sheet.uses(motor.mount)
    sheet.term(1, seat.axisMm)
    sheet.uses(motor.moduleMm)
    sheet.uses(ring.teeth)
    sheet.uses(motor.teeth)
    sheet.value(-pitchCentres(motor.moduleMm.v, ring.teeth.v, motor.teeth.v), 0)
    sheet.within(MESH, tolerances.meshLowMm, tolerances.meshHighMm)

    const crank = a.engineOutput.turns
    sheet.uses(crank)
    sheet.uses(motor.way)
    sheet.uses(motor.turns)
    const wanted = sheet.allKnown ? starterTurns(crank.v as Turns, motor.way.v as 'rearward' | 'forward') : null
    sheet.require(TURNS, motor.turns.v === wanted, starter(`It must turn ${wanted}, looking at the pinion`))

    if (!isNamed(b.starterRoom)) return
    const free = b.starterRoom.side
    sheet.uses(motor.mount)
    sheet.uses(seat.side)
    sheet.uses(free)
    sheet.require(SIDE, free.v === 'both' || free.v === seat.side.v, free.v === 'neither' ? nowhere : noRoom)
  },
}
