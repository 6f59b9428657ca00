import type { CompiledPart } from '../ports/index.ts'
import type { Sheet } from './sheet.ts'
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

/** One kind of joint: when it applies, and its check, written once for both sheets. */
export interface Joint {
  readonly id: string
  readonly number: number
  /** Column head. */
  readonly short: string
  readonly title: string
  /** Where the train is put together, which a set of pieces may close, or where it is put into the vehicle. */
  readonly place: 'coupling' | 'vehicle'
  /** What decides it and how, in a sentence. */
  readonly decides: string
  /** Fields read only where another value makes them matter, as `port.field`. */
  readonly sometimes?: readonly string[]
  readonly applies: (a: Side, b: Side, ctx: JointContext) => boolean
  readonly check: (a: Side, b: Side, ctx: JointContext, sheet: Sheet) => void
}
