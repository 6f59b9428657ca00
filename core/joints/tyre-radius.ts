import { loadedRadius } from '../mechanics/tyre.ts'
import { computed } from './judging/declaration.ts'
import { b, either, type Read } from './judging/read.ts'

/** Loaded radius of the driven tyre, mm: as measured, else by its marking, with what that leaves open. */
export const tyreRadius: Read<number> = either(
  b.tyre.loadedMm,
  computed(
    { marking: b.tyre.marking },
    ({ marking }, { tolerances }) => loadedRadius(marking, tolerances.rollingFactor).mm,
    {},
    ({ marking }, { tolerances }) => loadedRadius(marking, tolerances.rollingFactor).ends,
  ),
)
