import { jointNamed } from '../joints/index.ts'
import type { Side } from '../joints/side.ts'
import type { JointHardware } from './bolt-set.ts'

/** The bolts and the fits of one joint, from its two sides. A joint that neither bolts nor locates has none. */
export const hardwareOf = (joint: string, a: Side, b: Side, plateMm: number): JointHardware =>
  jointNamed(joint)?.hardware?.(a, b, plateMm) ?? { bolts: [], fits: [] }
