import type { MatingFigure } from '../../../core/train/mating-figure.ts'
import type { Mark } from './mark.ts'
import { matingClutch } from './mating-clutch.ts'
import { matingConverter } from './mating-converter.ts'

/** The mating plane in section, mm from the block face rearward and from the shaft axis. */
export const matingPlane = (m: MatingFigure): readonly Mark[] =>
  m.kind === 'converter' ? matingConverter(m) : matingClutch(m)

/** What the section shows of it, mm: from the crankcase wall to behind the bearing, the upper half and a hand under the axis. */
export const MATING_FRAME = { x0: -70, y0: -232, x1: 190, y1: 58 } as const
