import { axleLoads } from '../../../core/mechanics/axle-loads.ts'
import { run } from '../../../core/mechanics/road/acceleration.ts'
import { LEVEL } from '../../../core/mechanics/road/road-car.ts'
import { cruiseRpm, fastestIn } from '../../../core/mechanics/road/steady.ts'
import { couplingSet } from '../../../core/pairing/coupling.ts'
import { roadOfTrain } from '../../../core/pairing/road-of-train.ts'
import type { Train } from '../../../core/pairing/train.ts'
import type { CompiledPart } from '../../../core/ports/index.ts'
import { trainFigure } from '../../../core/train/train-figure.ts'
import { type BuildView, contextOf } from '../builds/build-view.ts'
import { Memory } from '../shop/memory.ts'

/** The vehicle on the road with a train, and as it was with its own engine and gearbox. */
export function roadOf(view: BuildView, train: Train) {
  const own = ownTrain(view, train.recipient)
  const change = massChange(view, train, own)
  const vehicle = massOf(view, train.recipient)
  const after = roadOfTrain(train, { vehicle, change })
  const before = own && roadOfTrain(own, { vehicle, change: 0 })
  return {
    after: 'road' in after ? after.road : null,
    missing: 'missing' in after ? after.missing : [],
    before: before && 'road' in before ? before.road : null,
    beforeName: own ? `${own.engine.name} with ${own.transmission.name}` : null,
  }
}

/** What came with the vehicle: its own engine and gearbox, where the catalogue has both. */
export function ownTrain(view: BuildView, recipient: CompiledPart | null): Train | null {
  if (recipient === null) return null
  const came = view.catalogue.ownedBy(recipient.id)
  const of = (kind: string): CompiledPart | undefined => {
    const row = came.find((one) => one.kind === kind)
    return row && view.catalogue.parts.get(row.id)
  }
  const [engine, transmission] = [of('engine'), of('transmission')]
  return engine && transmission
    ? {
        engine,
        transmission,
        recipient,
        coupling: couplingSet(transmission, [], []).parts,
        inserted: [],
      }
    : null
}

export const massOf = (view: BuildView, part: CompiledPart | null): number | null => {
  const grams = part && view.catalogue.rows.get(part.id)?.massG
  return grams ? grams / 1000 : null
}

/** What the new train weighs more than the old one, kg; null where a mass is not known. */
function massChange(view: BuildView, train: Train, own: Train | null): number | null {
  if (own === null) return null
  const masses = [train.engine, train.transmission, own.engine, own.transmission].map((part) =>
    massOf(view, part),
  )
  const [engine, box, oldEngine, oldBox] = masses
  return masses.some((mass) => mass === null) ? null : engine! + box! - oldEngine! - oldBox!
}

/** One half of a train as a mass on the vehicle; kg is null where nobody said. */
export interface StandingMass {
  readonly partId: string
  readonly kg: number | null
  readonly alongMm: number
}

/** Engine and gearbox of a train, each as if its weight were in its middle (common practice, no published source), and the axles they stand on. */
export function standingMasses(view: BuildView, train: Train) {
  const { face, engine, gearbox, vehicle, isAcross } = trainFigure(train, contextOf(view).placement)
  const at = (part: CompiledPart, alongMm: number): StandingMass => ({
    partId: part.id,
    kg: massOf(view, part),
    alongMm,
  })
  return {
    engine: at(train.engine, isAcross ? face.mm : face.mm - engine.length.mm / 2),
    gearbox: at(train.transmission, isAcross ? face.mm : face.mm + gearbox.length.mm / 2),
    axles: { frontMm: vehicle.frontAxle.mm, rearMm: vehicle.rearAxle.mm },
  }
}

/** What the new train puts on the front axle more than the old one, kg. Null where a mass is not known. */
function frontChange(view: BuildView, train: Train, own: Train | null): number | null {
  if (own === null) return null
  const on = (one: Train): number | null => {
    const { engine, gearbox, axles } = standingMasses(view, one)
    const masses = [engine, gearbox].flatMap(({ kg, alongMm }) =>
      kg === null ? [] : [{ kg, alongMm }],
    )
    return masses.length === 2 && axles.rearMm > axles.frontMm
      ? axleLoads(masses, axles).frontKg
      : null
  }
  const [now, before] = [on(train), on(own)]
  return now === null || before === null ? null : now - before
}

/** The hill and the speed at which pairings are told apart. */
export const HILL = { ...LEVEL, grade: 0.06 }
export const CRUISE_KMH = 80
/** Coarse: a list of hundreds is told apart by tenths of a second. */
export const STEP_S = 0.1

/** The same whatever transfer case stands behind. */
const driven = new Memory<ReturnType<typeof driveRow>>(4000)

/** What tells pairings of a list apart on the road; null where something is not known. */
export function roadRow(view: BuildView, train: Train, own: Train | null) {
  const massChangeKg = massChange(view, train, own)
  const vehicle = massOf(view, train.recipient)
  return {
    massChangeKg,
    frontChangeKg: frontChange(view, train, own),
    ...driven.recall(
      [train.engine, train.transmission, train.recipient],
      `${vehicle} ${massChangeKg}`,
      () => driveRow(train, vehicle, massChangeKg),
    ),
  }
}

function driveRow(train: Train, vehicle: number | null, change: number | null) {
  const told = roadOfTrain(train, { vehicle, change })
  if (!('road' in told)) return { cruiseRpm: null, hillTopKmh: null, toHundredS: null }
  const { car } = told.road
  const { seconds } = run(car, LEVEL, 0, 100, { stepS: STEP_S })
  return {
    cruiseRpm: cruiseRpm(car, CRUISE_KMH),
    hillTopKmh: fastestIn(car, HILL, car.gears.length - 1),
    toHundredS: Number.isFinite(seconds) ? seconds : null,
  }
}
