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
  'side-outputs': ['alongMm'],
}
/** Of the release bearing, a piece of its own, this is told from the bell face too. */
const BEARING = 'release-bearing'
/** Whether a field is a length that a bell moves, of a gearbox or of its release bearing. */
export function isFromBell({ port, field }: FieldAddress): boolean {
  const kind = port.split('/')[1] ?? ''
  if (kind === BEARING) return field === 'restMm'
  return FROM_BELL[kind as PortKindName]?.includes(field) ?? false
}
/** What a bell carries: its own stands in for the gearbox's. */
const CARRIED: ReadonlySet<PortKindName> = new Set(['starter-seat', 'sensor-seat'])

/** The face a case shows behind a separate bell. */
export const CASE_SLOT = 'case'
const isFront = ({ kind, looks, slot }: AnyPort): boolean =>
  kind === 'face' && looks === 'forward' && slot !== CASE_SLOT

const NOBODY = {}
/** Stands for the own bell where it does not matter. */
const IN_BELL = {}
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
  return kept(gearbox, own ?? NOBODY, bell, () => behind(gearbox, own, bell))
}

/**
 * A release bearing behind another bell than the gearbox's own. Round the shaft it sits on the case, and the bell moves it as
 * it moves the shaft; a fork pivots in the bell, and where it leaves the bearing is measured in that bell.
 */
export function bearingWithBell(
  bearing: CompiledPart,
  gearbox: CompiledPart,
  own: CompiledPart | null,
  bell: CompiledPart,
): CompiledPart {
  if (own?.id === bell.id) return bearing
  const isOnCase = portOf(gearbox, 'release-gear').type.v === 'concentric slave'
  const [old, now] = [portOf(own, 'bell'), portOf(bell, 'bell')]
  return kept(bearing, isOnCase ? (own ?? NOBODY) : IN_BELL, bell, () => ({
    ...bearing,
    ports: bearing.ports.map((port) =>
      port.kind !== BEARING
        ? port
        : isOnCase
          ? shifted(port, ['restMm'], old.lengthMm, now.lengthMm)
          : (Object.freeze({
              ...port,
              ...Object.fromEntries([['restMm', now.restMm]]),
            }) as AnyPort),
    ),
  }))
}

/** What was made of a part with its own bell and another, for as long as they are these. */
function kept(
  part: CompiledPart,
  own: object,
  bell: CompiledPart,
  make: () => CompiledPart,
): CompiledPart {
  let byOwn = known.get(part)
  if (!byOwn) known.set(part, (byOwn = new WeakMap()))
  let byBell = byOwn.get(own)
  if (!byBell) byOwn.set(own, (byBell = new WeakMap()))
  let found = byBell.get(bell)
  if (!found) byBell.set(bell, (found = make()))
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
  return names ? shifted(port, names, old, now) : port
}

/** A port with some of its lengths moved by the difference of two bells; not known where one of them is not. */
function shifted(
  port: AnyPort,
  names: readonly string[],
  old: Field<number>,
  now: Field<number>,
): AnyPort {
  const fields = names.map((name) => {
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
  return Object.freeze({ ...port, ...Object.fromEntries(fields) }) as AnyPort
}
