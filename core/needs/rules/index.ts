import type { Rule } from '../rule.ts'
import { bridges } from './bridges.ts'
import { confirmOrDrop } from './confirm-or-drop.ts'
import { coupling } from './coupling.ts'
import { fluids } from './fluids.ts'
import { hardware } from './hardware.ts'
import { jointWork } from './joint-work.ts'
import { mockUp } from './mock-up.ts'
import { mustStillWork } from './must-still-work.ts'
import { papers } from './papers.ts'
import { toConfirm } from './to-confirm.ts'
import { train } from './train.ts'

/** Every rule; order does not matter (property). */
export const RULES: readonly Rule[] = [
  train,
  coupling,
  bridges,
  jointWork,
  hardware,
  fluids,
  toConfirm,
  mockUp,
  mustStillWork,
  papers,
  confirmOrDrop,
]
