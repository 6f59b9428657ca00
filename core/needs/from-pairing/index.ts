import { bridges } from './bridges.ts'
import { clashes } from './clashes.ts'
import { coupling } from './coupling.ts'
import { hardware } from './hardware.ts'
import { jointWork } from './joint-work.ts'
import type { Rule } from './rule.ts'
import { sizes } from './sizes.ts'
import { train } from './train.ts'

/** What a chosen pairing says of the list: which parts are wanted, how many, of which thread, and each joint's work. */
export const FROM_PAIRING: readonly Rule[] = [
  train,
  coupling,
  bridges,
  jointWork,
  clashes,
  hardware,
  sizes,
]

/** Those that raise a line where none stands; the others only say more of lines that do. */
export const RAISES: ReadonlySet<Rule> = new Set([bridges, jointWork, clashes])
