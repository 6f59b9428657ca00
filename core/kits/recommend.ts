import type { Standing } from '../sourcing/standing.ts'
import { standingRefusal } from '../sourcing/standing.ts'
import type { LeastWall } from './plate-walls.ts'

/** What kits for one pairing are weighed by. */
export interface KitFigures {
  readonly id: string
  readonly name: string
  readonly standing: Standing | null
  /** Joints between engine and gearbox by code, with the kit in. */
  readonly clashes: number
  readonly bridges: number
  readonly unmeasured: number
  readonly wall: LeastWall | null
  /** How many say that it held, and that it failed. */
  readonly held: number
  readonly failed: number
  /** Pieces that wear and nobody says how they are had again. */
  readonly lost: number
  /** What the build comes to with it, hours included; null where it cannot be planned. */
  readonly totalMinor: number | null
}

export interface Recommendation {
  readonly kitId: string | null
  /** Why this one, and what speaks against each other. */
  readonly because: readonly string[]
}

/** From so many who say so, against those who say it held, a kit is known to fail (common practice, no published source). */
const KNOWN_FAILURES = 3

const isKnownToFail = ({ failed, held }: KitFigures): boolean =>
  failed >= KNOWN_FAILURES && failed > held
const isThin = ({ wall }: KitFigures): boolean =>
  wall !== null && wall.wallMm < wall.wantedMm - 1e-9
const plural = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`

/** What weighs before money, gravest first: less is better. */
const WEIGHTS: readonly {
  readonly of: (kit: KitFigures) => number
  readonly says: (kit: KitFigures) => string
}[] = [
  {
    of: (kit) => (standingRefusal(kit.standing) === null ? 0 : 1),
    says: (kit) => standingRefusal(kit.standing)?.split(/[:.]/)[0] ?? '',
  },
  { of: (kit) => kit.clashes, says: (kit) => `${plural(kit.clashes, 'joint')} cannot go together` },
  {
    of: (kit) => (isThin(kit) ? 1 : 0),
    says: ({ wall }) =>
      `${wall?.between} leave ${wall?.wallMm.toFixed(1)} mm of metal, wanted ${wall?.wantedMm.toFixed(1)}`,
  },
  {
    of: (kit) => (isKnownToFail(kit) ? 1 : 0),
    says: (kit) => `${kit.failed} say that it failed, ${kit.held} that it held`,
  },
  {
    of: (kit) => kit.bridges,
    says: (kit) => `${plural(kit.bridges, 'joint')} left for another piece`,
  },
  { of: (kit) => (kit.totalMinor === null ? 1 : 0), says: () => 'it cannot be planned' },
  { of: (kit) => kit.unmeasured, says: (kit) => `${plural(kit.unmeasured, 'joint')} unmeasured` },
]
/** Totals this near are equal: what is left of the kits decides (common practice, no published source). */
const EQUAL_SHARE = 0.01

/**
 * Which of some kits to take for a pairing, and why: first what could hurt or not go together, then what is still open, then
 * what the build comes to with its hours; of near equals the one whose wear parts are had again. A reckoning to argue with, no
 * approval.
 * @param money prints an amount of minor units
 */
export function recommendKit(
  kits: readonly KitFigures[],
  money: (minor: number) => string,
): Recommendation {
  const ordered = [...kits].sort((p, q) => decide(p, q).order || (p.id < q.id ? -1 : 1))
  const [best] = ordered
  if (!best) return { kitId: null, because: [] }
  if (best.clashes > 0 || standingRefusal(best.standing) !== null)
    return {
      kitId: null,
      because: kits.map(
        (kit) => `${kit.name}: ${kit.clashes > 0 ? WEIGHTS[1]!.says(kit) : WEIGHTS[0]!.says(kit)}`,
      ),
    }
  return {
    kitId: best.id,
    because: ordered.slice(1).map((kit) => against(best, kit, money)),
  }
}

/** Which of two comes first, and by what. */
function decide(p: KitFigures, q: KitFigures): { order: number; by: number | 'money' | 'again' } {
  for (const [at, { of }] of WEIGHTS.entries())
    if (of(p) !== of(q)) return { order: of(p) - of(q), by: at }
  const [one, other] = [p.totalMinor ?? 0, q.totalMinor ?? 0]
  if (Math.abs(one - other) <= EQUAL_SHARE * Math.max(one, other) && p.lost !== q.lost)
    return { order: p.lost - q.lost, by: 'again' }
  return { order: one - other, by: 'money' }
}

function against(best: KitFigures, kit: KitFigures, money: (minor: number) => string): string {
  const { by } = decide(best, kit)
  const gap =
    best.totalMinor === null || kit.totalMinor === null ? null : kit.totalMinor - best.totalMinor
  const cheaper = gap !== null && gap < 0 ? `, though it comes to ${money(-gap)} less` : ''
  if (by === 'money')
    return gap === 0
      ? `${kit.name} comes to the same: either will do`
      : `${kit.name} comes to ${money(Math.abs(gap ?? 0))} more`
  if (by === 'again')
    return `${kit.name}: of ${plural(kit.lost, 'wear part')} nobody says how it is had again${cheaper}`
  return `${kit.name}: ${WEIGHTS[by]!.says(kit)}${cheaper}`
}
