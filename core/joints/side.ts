import { type AnyPort, type Compiled, isOf, PORT_KINDS, type PortKindName } from '../ports/index.ts'

import { faceOrUnsaid, withoutUnsaid } from './unsaid-face.ts'

/** A port kind's place on a side: its name in one word, `crank-flange` → `crankFlange`. */
export type SlotOf<K extends string> = K extends `${infer Head}-${infer Rest}`
  ? `${Head}${Capitalize<SlotOf<Rest>>}`
  : K

type Single = Exclude<PortKindName, 'ratings'>
export type Slot = SlotOf<Single>

/** All ports at one end of a joint, one slot per kind as they are registered; a kind nobody named is its stand-in with every field unknown. Ratings gather. */
export type Side = { [K in Single as SlotOf<K>]: Compiled<K> } & {
  ratings: readonly Compiled<'ratings'>[]
}

/** The place a port kind takes on a side. */
const slotOf = (kind: Single): Slot =>
  kind.replace(/-./g, (dash) => dash.charAt(1).toUpperCase()) as Slot

/** Every port kind with its slot. */
export const SLOTS = Object.fromEntries(
  (Object.keys(PORT_KINDS) as PortKindName[])
    .filter((kind) => kind !== 'ratings')
    .map((kind) => [kind, slotOf(kind as Single)]),
) as Readonly<Record<Single, Slot>>

const EMPTY = {
  ...Object.fromEntries(
    Object.entries(SLOTS).map(([kind, slot]) => [slot, PORT_KINDS[kind as Single].missing]),
  ),
  ratings: [],
} as unknown as Side

/** A side on which nothing is named yet. A copy each time, so that every side has one shape. */
export const emptySide = (): Side => ({ ...EMPTY })

/** A side's ports by their slots, to be set: which kind stands where, the index of kinds sees to. */
export const slotsOf = (side: Side): Record<string, AnyPort> =>
  side as unknown as Record<string, AnyPort>

/** Puts ports on a side, the first of each kind; ratings gather. */
export function sideOf(ports: readonly AnyPort[]): Side {
  const side = emptySide()
  const slots = slotsOf(side)
  for (const port of ports) {
    if (isOf(port, 'ratings')) side.ratings = [...side.ratings, port]
    else if (port.kind !== 'ratings' && !slots[SLOTS[port.kind]]!.present)
      slots[SLOTS[port.kind]] = port
  }
  return side
}

/**
 * Orders two lists of ports into the engine side and the gearbox side: what looks rearward is a, forward b,
 * the rest goes to the end that carries its kind. So a joint reads the same whichever way it was asked.
 */
export function arrange(one: readonly AnyPort[], other: readonly AnyPort[]): { a: Side; b: Side } {
  const all = [...one, ...other].sort((p, q) => (p.id < q.id ? -1 : p.id > q.id ? 1 : 0))
  const isEngineSide = (port: AnyPort): boolean =>
    port.looks === null ? PORT_KINDS[port.kind].end === 'engine' : port.looks === 'rearward'
  const said = withoutUnsaid(all)
  const a = sideOf(said.filter(isEngineSide))
  const b = sideOf(said.filter((port) => !isEngineSide(port)))
  if (said !== all)
    for (const side of [a, b])
      side.face = faceOrUnsaid(all, side.face.present ? side.face : undefined)
  return { a, b }
}
