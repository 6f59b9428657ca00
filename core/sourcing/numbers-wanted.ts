import type { Wanted } from '../identity/check-number.ts'
import type { Application, Where, WrittenNumber } from '../identity/claims.ts'
import { TARGETS } from '../identity/claims.ts'
import type { Follow } from '../identity/follower.ts'
import type { NumberIndex } from '../identity/number-index.ts'
import { type Need, seeks } from '../needs/need.ts'
import type { Grade } from '../quantity/grade.ts'

/** A number that a part bears, as it was read. */
export interface KnownNumber extends WrittenNumber {
  readonly mark: 'catalogue' | 'stamped' | 'cast'
  readonly grade: Grade
  readonly where?: Where | undefined
}

/** What is asked of the numbers of whatever a need could be met by. */
export interface NumbersWanted {
  /** Any one of these; none: what the application is listed for. */
  readonly want: readonly Wanted[]
  readonly application: Application | undefined
  readonly follow: Follow
  /** Why these: the part they are of, or that somebody gave one. */
  readonly of: string | null
}
const NOTHING: NumbersWanted = { want: [], application: undefined, follow: 'all', of: null }

/** A build as numbers see it. */
export interface NumbersOf {
  /** Parts that came with its engine, transmission, transfer case and vehicle, in this order, the default of each kind first. */
  readonly own: readonly { readonly id: string; readonly kind: string; readonly name: string }[]
  readonly application: Application
  /** Numbers given to lines by hand, by need. */
  readonly given: ReadonlyMap<string, WrittenNumber>
}
export const NO_NUMBERS_OF: NumbersOf = { own: [], application: {}, given: new Map() }

/** Kinds matched to one car by a list of numbers: what is not on it does not work with the rest. */
const LISTED_ONLY: ReadonlySet<string> = new Set(['engine-computer', 'gearbox-computer-and-loom'])

/** The part whose numbers a need wants: the one wanted by name, or what came with engine, gearbox or vehicle; null where there is none. */
export const numberedPart = (
  need: Pick<Need, 'kind' | 'wants'> & { readonly part?: string | undefined },
  { own }: Pick<NumbersOf, 'own'>,
): string | null => need.wants ?? own.find(({ kind }) => kind === seeks(need))?.id ?? null

/**
 * Which numbers a need wants: one given by hand, those of the part it wants or that came with the build, or, where that has
 * none, whatever is listed for the build's engine, gearbox or vehicle among parts of its kind.
 */
export function numbersWanted(
  need: Need,
  build: NumbersOf,
  numbersOf: (part: string) => readonly KnownNumber[],
  kindsListed: ReadonlySet<string>,
): NumbersWanted {
  const application = TARGETS.some((target) => build.application[target])
    ? build.application
    : undefined
  const follow = LISTED_ONLY.has(seeks(need)) ? 'none' : 'all'
  const given = build.given.get(need.id)
  if (given)
    return { want: [{ ...given, grade: 'catalogue' }], application, follow, of: 'given by hand' }
  const part = numberedPart(need, build)
  const want = part === null ? [] : numbersOf(part)
  if (want.length > 0)
    return { want, application, follow, of: build.own.find(({ id }) => id === part)?.name ?? null }
  return application && kindsListed.has(seeks(need))
    ? { want: [], application, follow, of: null }
    : NOTHING
}

/** Kinds of parts that are listed for what a build has. @param kindOf the kind of a part */
export function kindsListed(
  index: NumberIndex,
  application: Application,
  kindOf: (part: string) => string | undefined,
): ReadonlySet<string> {
  const kinds = new Set<string>()
  for (const target of TARGETS) {
    const family = application[target]?.family
    if (family === undefined) continue
    for (const { mention } of index.listedFor(target, family))
      for (const { part } of index.nodes[mention.at]!.parts) {
        const kind = kindOf(part)
        if (kind !== undefined) kinds.add(kind)
      }
  }
  return kinds
}
