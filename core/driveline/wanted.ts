import type { JointContext } from '../joints/joint.ts'
import { lineLength, lineOf } from '../joints/shaft-line.ts'
import type { Side } from '../joints/side.ts'
import type { ShaftWanted } from './shaft-search.ts'

/** A shaft a train wants; what is missing where it cannot be said yet. */
export interface NamedShaft {
  readonly name: string
  /** Kind of need it is bought under. */
  readonly kind: 'propshaft' | 'drive-shaft'
  readonly wanted: ShaftWanted | null
  readonly unknown: string | null
}

/** The shafts of a train: both drive shafts of a transaxle, else its propshaft, with ends and length at ride height. */
export function shaftsWanted(a: Side, b: Side, ctx: JointContext): NamedShaft[] {
  if (b.ratios.finalDrive.claim !== null) {
    const { sideOutputs: box, driveShafts: shafts } = b
    const shaft = (name: string, acrossMm: number): NamedShaft =>
      named(
        name,
        'drive-shaft',
        {
          inner: box.family.v ?? '',
          outer: splines(shafts.hubSplines.v),
          lengthMm: Math.hypot(acrossMm, shafts.dropMm.v),
          withinMm: orZero(shafts.plungeMm.v),
        },
        'Measure the joint centres of transaxle and hubs first.',
      )
    return [
      shaft('Left drive shaft', shafts.hubLeftMm.v - box.leftMm.v),
      shaft('Right drive shaft', shafts.hubRightMm.v - box.rightMm.v),
    ]
  }
  const { output, propshaft, pinion } = b
  const inner =
    output.type.v === 'slip'
      ? splines(output.splines.v)
      : output.type.v === 'flange' && output.circleMm.claim
        ? `flange ${output.circleMm.v}`
        : ''
  const wanted = {
    inner,
    outer: pinion.flange.v ?? '',
    lengthMm: lineLength(lineOf(a, b, ctx)),
    withinMm: orZero((propshaft.slipMm.v - pinion.travelMm.v) / 2),
  }
  return [
    named(
      'Propshaft',
      'propshaft',
      wanted,
      'Measure output, mounts and axle input first, and say which flange the axle has.',
    ),
  ]
}

function named(
  name: string,
  kind: NamedShaft['kind'],
  wanted: ShaftWanted,
  missing: string,
): NamedShaft {
  const isKnown = Number.isFinite(wanted.lengthMm) && wanted.inner !== '' && wanted.outer !== ''
  return { name, kind, wanted: isKnown ? wanted : null, unknown: isKnown ? null : missing }
}

const splines = (count: number): string =>
  Number.isFinite(count) && count > 0 ? `${count} splines` : ''
const orZero = (value: number): number => (Number.isFinite(value) ? Math.max(0, value) : 0)
