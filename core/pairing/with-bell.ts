import type { Field, FieldAddress } from '../ports/field.ts'
import {
  type AnyPort,
  type CompiledPart,
  fieldOf,
  type PortKindName,
  portOf,
} from '../ports/index.ts'

/** Lengths of a gearbox that are told from the front face of its bell: another bell moves them. */
export const FROM_BELL: Partial<Record<PortKindName, readonly string[]>> = {
  'input-shaft': ['tipMm', 'noseEndMm', 'splineStartMm', 'splineEndMm'],
  pump: ['padMm'],
  'case-shaft': ['faceMm', 'endMm'],
  output: ['alongMm'],
  lever: ['alongMm'],
  'mount-pad': ['alongMm'],
}
/** Whether a field is a length that a bell moves. */
export function isFromBell({ port, field }: FieldAddress): boolean {
  const kind = port.split('/')[1] ?? ''
  return FROM_BELL[kind as PortKindName]?.includes(field) ?? false
}
/** What a bell carries: its own stands in for the gearbox's. */
const CARRIED: ReadonlySet<PortKindName> = new Set(['starter-seat', 'sensor-seat'])

/** The face a case shows behind a separate bell. */
export const CASE_SLOT = 'case'
const isFront = ({ kind, looks, slot }: AnyPort): boolean =>
  kind === 'face' && looks === 'forward' && slot !== CASE_SLOT

const NOBODY = {}
/** By gearbox, own bell and bell: whichever is compiled anew lets go of what was made with it. */
const known = new WeakMap<CompiledPart, WeakMap<object, WeakMap<CompiledPart, CompiledPart>>>()

/**
 * A gearbox as it stands behind a bell: the bell's front face and what it carries are the gearbox's, and behind another bell
 * than its own every length from the bell face moves by the difference of the two, each with its ±. Where its own bell or a
 * length of either is not known, those lengths are not.
 *
 * @param own the bell its lengths were taken with; null where nobody named it
 */
export function withBell(
  gearbox: CompiledPart,
  own: CompiledPart | null,
  bell: CompiledPart,
): CompiledPart {
  let byOwn = known.get(gearbox)
  if (!byOwn) known.set(gearbox, (byOwn = new WeakMap()))
  let byBell = byOwn.get(own ?? NOBODY)
  if (!byBell) byOwn.set(own ?? NOBODY, (byBell = new WeakMap()))
  let found = byBell.get(bell)
  if (!found) byBell.set(bell, (found = behind(gearbox, own, bell)))
  return found
}

function behind(gearbox: CompiledPart, own: CompiledPart | null, bell: CompiledPart): CompiledPart {
  const isOwn = own?.id === bell.id
  // Of its own bell what nobody measured apart is as it was measured on the gearbox.
  const brings = bell.ports.filter(
    (port) => (isFront(port) || CARRIED.has(port.kind)) && (port.present || !isOwn),
  )
  const isBrought = (port: AnyPort): boolean =>
    isFront(port) ? brings.some(isFront) : brings.some(({ kind }) => kind === port.kind)
  const stays = gearbox.ports.filter(
    (port) => !(isFront(port) || CARRIED.has(port.kind)) || (isOwn && !isBrought(port)),
  )
  if (isOwn) return { ...gearbox, ports: [...brings, ...stays] }
  const [old, now] = [portOf(own, 'bell').lengthMm, portOf(bell, 'bell').lengthMm]
  return { ...gearbox, ports: [...brings, ...stays.map((port) => moved(port, old, now))] }
}

function moved(port: AnyPort, old: Field<number>, now: Field<number>): AnyPort {
  const names = FROM_BELL[port.kind]
  if (!names) return port
  const shifted = names.map((name) => {
    const field = fieldOf(port, name) as Field<number>
    const isKnown = field.claim !== null && old.claim !== null && now.claim !== null
    return [
      name,
      {
        ...field,
        v: isKnown ? field.v + now.v - old.v : Number.NaN,
        pm: isKnown ? field.pm + now.pm + old.pm : Infinity,
        grade: isKnown ? Math.min(field.grade, now.grade, old.grade) : -1,
        claim: isKnown ? field.claim : null,
        // What is missing is asked for where it is missing.
        at:
          field.claim === null
            ? field.at
            : (old.claim === null ? old : now.claim === null ? now : field).at,
      },
    ]
  })
  return Object.freeze({ ...port, ...Object.fromEntries(shifted) }) as AnyPort
}
