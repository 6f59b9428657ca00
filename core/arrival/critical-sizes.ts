import { jointNamed } from '../joints/index.ts'
import type { MissingField, Verdict } from '../joints/verdict.ts'

/** One size of a bought part that a joint leans on, and what that joint takes of it. */
export interface CriticalSize extends Omit<MissingField, 'part' | 'partName'> {
  /** Where it may lie with everything else as it is known; null where a limit gives no end, or its sum is not plain. */
  readonly low: number | null
  readonly high: number | null
  /** Titles of the joints that lean on it. */
  readonly joints: readonly string[]
  /** A limit that hurts the drive train when it is missed. */
  readonly damage: boolean
  /** Limits that read it and do not agree as it stands, and by how much. */
  readonly fails: readonly { readonly words: string; readonly by: number }[]
}

const SLACK = 1e-6

/**
 * The sizes of a part that joints lean on: what is measured before it is too late to send it back. Each window is the part of
 * every limit's that is left for this one size, worst joint first.
 * @param verdicts of the train with this part in it
 */
export function criticalSizes(verdicts: readonly Verdict[], partId: string): CriticalSize[] {
  const found = new Map<string, CriticalSize>()
  for (const verdict of verdicts) {
    const title = jointNamed(verdict.joint)?.title ?? verdict.joint
    for (const field of verdict.fields) {
      if (field.part !== partId) continue
      const key = `${field.port}.${field.field}`
      const before = found.get(key)
      const read = windowsOf(verdict, field)
      const { part: _, partName: __, ...rest } = field
      found.set(key, {
        ...rest,
        low: most(before?.low ?? null, read.low),
        high: least(before?.high ?? null, read.high),
        joints: [...(before?.joints ?? []), title],
        damage: (before?.damage ?? false) || read.damage,
        fails: [...(before?.fails ?? []), ...read.fails],
      })
    }
  }
  return [...found.values()].sort(
    (p, q) =>
      q.fails.length - p.fails.length ||
      Number(q.damage) - Number(p.damage) ||
      q.joints.length - p.joints.length ||
      (p.label < q.label ? -1 : p.label > q.label ? 1 : 0),
  )
}

const most = (p: number | null, q: number | null): number | null =>
  p === null ? q : q === null ? p : Math.max(p, q)
const least = (p: number | null, q: number | null): number | null =>
  p === null ? q : q === null ? p : Math.min(p, q)

/** What the limits of a joint leave for a size that stands in their sums. */
function windowsOf(
  { limits }: Verdict,
  { port, field }: Pick<MissingField, 'port' | 'field'>,
): Pick<CriticalSize, 'low' | 'high' | 'damage' | 'fails'> {
  let low: number | null = null
  let high: number | null = null
  let damage = false
  const fails: CriticalSize['fails'][number][] = []
  for (const limit of limits) {
    const own = limit.terms.filter((term) => term.port === port && term.field === field)
    if (own.length === 0) continue
    damage ||= limit.damage
    if (limit.margin !== null && limit.margin < -SLACK) {
      // What fails leaves no room for anything: it is told, and narrows nothing.
      fails.push({ words: `${limit.label}: ${limit.words}`, by: -limit.margin })
      continue
    }
    const [term] = own
    const sum = limit.terms.reduce((all, one) => all + one.sign * (one.value ?? Number.NaN), 0)
    // A sum that is more than its terms says nothing plain of one of them.
    if (own.length > 1 || term!.value === null || !(Math.abs(sum - (limit.value ?? NaN)) <= SLACK))
      continue
    const below = limit.low === null ? null : limit.low - limit.value!
    const above = limit.high === null ? null : limit.high - limit.value!
    const [down, up] = term!.sign === 1 ? [below, above] : [minus(above), minus(below)]
    low = most(low, down === null ? null : term!.value + down)
    high = least(high, up === null ? null : term!.value + up)
  }
  return { low, high, damage, fails }
}
const minus = (value: number | null): number | null => (value === null ? null : -value)
