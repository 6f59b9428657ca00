import type { LinePlace } from '../line.ts'
import { LINE_ROWS } from './index.ts'

const places = new Map<string, LinePlace>()
for (const { kind, part, place } of LINE_ROWS) for (const name of [kind, part]) if (name !== undefined && !places.has(name)) places.set(name, place)

/** The place of a kind of piece; between engine and gearbox where no row names it. */
export const placeOf = (kind: string): LinePlace => places.get(kind) ?? 'coupling'
