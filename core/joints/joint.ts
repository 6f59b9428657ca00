import type { JointHardware } from '../fasteners/bolt-set.ts'
import type { CompiledPart } from '../ports/index.ts'
import type { Caution, Figure, Formula, Limit } from './judging/declaration.ts'
import type { Side } from './side.ts'
import type { Tolerances } from './tolerances.ts'

export type Use = 'road' | 'delivery' | 'towing' | 'trail' | 'track'
export type PlacementSchool = 'keep' | 'set-back'

/** What every check may read beside its two sides. */
export interface JointContext {
  /** Plates and spacers between engine and transmission, in order of power flow. */
  readonly stack: readonly CompiledPart[]
  readonly tolerances: Tolerances
  readonly use?: Use | undefined
  readonly placement?: PlacementSchool | undefined
}

/** Where a joint stands on the drawn train. */
export const STRIP_PLACES = [
  'front',
  'engine mounts',
  'sump',
  'face',
  'flange',
  'pilot',
  'release',
  'starter',
  'gearbox',
  'gearbox mount',
  'lever',
  'transfer case',
  'output',
  'side outputs',
] as const
export type StripPlace = (typeof STRIP_PLACES)[number]
/** What is drawn of it beside its limits: the stacks of lengths, hole patterns, the line of torque, shafts off the shelf. */
export type DrawingId = 'stacks' | 'holes' | 'torque line' | 'shafts'

/** Where the piece that cures a joint goes. */
export type CurePlace = 'face' | 'flange' | 'pilot' | 'instead' | 'elsewhere'

/** One kind of joint, declared: what it decides, and everything that is asked, judged, drawn and bought of it. */
export interface Joint {
  readonly id: string
  readonly number: number
  /** Column head. */
  readonly short: string
  readonly title: string
  /** Where the train is put together, which a set of pieces may close, or where it is put into the vehicle. */
  readonly place: 'coupling' | 'vehicle'
  /** Where it meets: at every pair of faces or flanges of the stack, at the case, or once. */
  readonly meets: 'faces' | 'flanges' | 'case' | 'whole'
  /** What decides it and how, in a sentence. */
  readonly decides: string
  /** Looks only at how the train is put together and at what is known: an unknown value is as it stands. */
  readonly applies: Formula<boolean>
  readonly limits: readonly Limit[]
  readonly figures?: readonly Figure[]
  readonly cautions?: readonly Caution[]
  /** Pieces that cure it, with the place each goes. */
  readonly cures: Readonly<Record<string, CurePlace>>
  /** The bolts and located fits of the joint. */
  readonly hardware?: (a: Side, b: Side, plateMm: number) => JointHardware
  /** Where it stands on the drawn train; null where it is not drawn there. */
  readonly strip: StripPlace
  readonly drawing: DrawingId | null
}
