import { type CompiledPart, portOf } from '../ports/index.ts'

/** Kinds of the pieces between engine and transmission. */
export const COUPLING_KINDS = [
  'separator',
  'bellhousing',
  'flywheel',
  'flexplate',
  'cover',
  'disc',
  'release-bearing',
  'starter',
  'pilot',
  'converter',
] as const
export type CouplingKind = (typeof COUPLING_KINDS)[number]

/** The pieces of a manual and of an automatic coupling. The separator is used where the engine came with one, a separate bell where the gearbox did; the rest complete it. */
export const COUPLING_SETS = {
  manual: [
    'separator',
    'bellhousing',
    'flywheel',
    'cover',
    'disc',
    'release-bearing',
    'pilot',
    'starter',
  ],
  automatic: ['separator', 'bellhousing', 'flexplate', 'converter', 'starter'],
} as const satisfies Record<'manual' | 'automatic', readonly CouplingKind[]>

export const isCouplingKind = (kind: string): kind is CouplingKind =>
  (COUPLING_KINDS as readonly string[]).includes(kind)

/** Pieces of which there may be none. */
const OPTIONAL: ReadonlySet<string> = new Set(['separator', 'bellhousing'])
/** From the engine by default; the rest comes from the transmission. */
const FROM_ENGINE: ReadonlySet<string> = new Set(['separator', 'flywheel', 'flexplate', 'pilot'])

export interface CouplingSet {
  readonly parts: readonly CompiledPart[]
  /** The bell the gearbox came with, where it is a part of its own. */
  readonly ownBell: CompiledPart | null
  /** Said beside the pairing: two starters, and the like. */
  readonly notes: readonly string[]
}

/**
 * The coupling set of an engine and a transmission: the separator, wheel, block starter and pilot that came with the
 * engine, the rest with the transmission. Choices on the pairing replace by kind; given two starters the bell's is used.
 *
 * @param ofEngine coupling parts that came with the engine, at most one per kind
 * @param ofTransmission coupling parts that came with the transmission
 * @param chosen parts chosen on this pairing or from its kit, replacing by kind
 */
export function couplingSet(
  transmission: CompiledPart,
  ofEngine: readonly CompiledPart[],
  ofTransmission: readonly CompiledPart[],
  chosen: readonly CompiledPart[] = [],
): CouplingSet {
  const automatic = portOf(transmission, 'ratios').type.v === 'automatic'
  const wanted: readonly CouplingKind[] = automatic ? COUPLING_SETS.automatic : COUPLING_SETS.manual
  const notes: string[] = []
  const parts: CompiledPart[] = []
  for (const kind of wanted) {
    const picked = firstOf(chosen, kind)
    const engines = firstOf(ofEngine, kind)
    const transmissions = firstOf(ofTransmission, kind)
    if (kind === 'starter' && !picked && engines && transmissions)
      notes.push(
        `Two starters are known: ${transmissions.name} of the bell is used, not ${engines.name}.`,
      )
    const part =
      picked ??
      (kind === 'bellhousing'
        ? transmissions
        : FROM_ENGINE.has(kind)
          ? (engines ?? transmissions)
          : (transmissions ?? engines))
    if (part) parts.push(part)
    else if (!OPTIONAL.has(kind))
      notes.push(`No ${kind.replace('-', ' ')} is named: its measurements count as not known.`)
  }
  return { parts, ownBell: firstOf(ofTransmission, 'bellhousing') ?? null, notes }
}

function firstOf(parts: readonly CompiledPart[], kind: string): CompiledPart | undefined {
  for (const part of parts) if (part.kind === kind) return part
  return undefined
}
