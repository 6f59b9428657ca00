import type { JointContext } from '../joints/joint.ts'
import type { Side } from '../joints/side.ts'
import { demandAt } from '../joints/torque.ts'

/** One part of the line of torque, from engine to tyre. */
export interface TorqueStep {
  readonly part: string
  /** Torque that arrives there, with the factor of use unless the rating is nominal, capped by grip behind the gearbox; null where a ratio is not known. */
  readonly demandNm: number | null
  readonly isCapped: boolean
  /** What somebody rates it at, there; null where no one does. */
  readonly ratingNm: number | null
}

const REFERENCES = ['engine', 'input shaft', 'output', 'transfer output', 'axle'] as const
const WORDS: Readonly<Record<(typeof REFERENCES)[number], string>> = {
  engine: 'Engine, clutch',
  'input shaft': 'Gearbox input',
  output: 'Gearbox output',
  'transfer output': 'Transfer case, low range',
  axle: 'Axle shafts, tyres',
}

/** Torque part by part with the ratings stated at each place: the same figures joint 10 judges by. */
export function torqueLine(a: Side, b: Side, ctx: JointContext): TorqueStep[] {
  const places = REFERENCES.filter(
    (reference) => reference !== 'transfer output' || b.transfer.part !== '?',
  )
  return places.map((reference) => {
    const at = b.ratings.filter(
      (rating) =>
        rating.reference.v === reference ||
        (reference === 'input shaft' && rating.reference.v === 'turbine'),
    )
    // The rating with least to spare is the one drawn, with the demand it is judged against.
    const [worst] = at
      .flatMap(({ torqueNm, basis }) =>
        torqueNm.claim === null
          ? []
          : [{ ratingNm: torqueNm.v, ...demandAt(a, b, reference, basis.v === 'nominal', ctx) }],
      )
      .sort((p, q) => p.ratingNm - p.demandNm - (q.ratingNm - q.demandNm))
    const { demandNm, isCapped } = worst ?? demandAt(a, b, reference, false, ctx)
    return {
      part: WORDS[reference],
      demandNm: Number.isFinite(demandNm) ? demandNm : null,
      isCapped,
      ratingNm: worst?.ratingNm ?? null,
    }
  })
}
