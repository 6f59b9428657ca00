import type { StripPlace } from '../../../core/joints/joint.ts'
import type { Mark } from './mark.ts'

/** Where each place of the strip is, mm. */
export type Places = Readonly<Record<StripPlace, readonly [x: number, y: number]>>

/** A train as one view draws it. */
export interface Drawn {
  readonly marks: readonly Mark[]
  readonly places: Places
}
