import type { Answer } from '../../../../contract/asked.ts'
import { FACT_ROWS, type FactKey, isFactKey } from '../../../../core/facts/index.ts'
import { type Three, threeTyped } from '../../../../core/money/three.ts'
import type { Condition } from '../../../../core/needs/condition.ts'
import type { Recipe } from '../../../../core/needs/recipe.ts'

/** A recipe as it is kept. */
export type RecipeRow = Answer<'GET /recipes'>['items'][number]

/** One question of a recipe, with the answer it waits for. */
export interface Leaf {
  readonly key: FactKey
  readonly value: string
  readonly isNot: boolean
}
type Join = 'all' | 'any'
/** Questions that hold together, or any of them. */
export interface Group {
  readonly join: Join
  readonly leaves: readonly Leaf[]
}
/** A line that a recipe adds, as it is typed. */
export interface Added {
  readonly words: string
  readonly place: string
  /** Euros and hours: one figure, or the least and the most. */
  readonly eur: string
  readonly hours: string
}
/** A recipe as it is built. */
export interface Draft {
  readonly name: string
  /** Only where this engine, gearbox or vehicle is in the build. */
  readonly ofPart: { readonly id: string; readonly name: string } | null
  readonly isFault: boolean
  readonly join: Join
  readonly groups: readonly Group[]
  readonly lines: readonly Added[]
}

export const BLANK_LEAF: Leaf = { key: 'build.engine', value: 'other', isNot: false }
export const BLANK_LINE: Added = { words: '', place: 'shop', eur: '', hours: '' }
export const BLANK: Draft = {
  name: '',
  ofPart: null,
  isFault: false,
  join: 'all',
  groups: [{ join: 'all', leaves: [BLANK_LEAF] }],
  lines: [BLANK_LINE],
}

const slug = (words: string): string =>
  words
    .trim()
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60)

const together = (join: Join, each: readonly Condition[]): Condition =>
  each.length === 1 ? each[0]! : join === 'all' ? { all: each } : { any: each }

/** A group as a condition; of a group of one its join is kept, so that it is read back the same. */
const ofGroup = ({ join, leaves }: Group): Condition => {
  const each = leaves.map(({ key, value, isNot }): Condition => {
    const is: Condition = { is: key, of: [value] }
    return isNot ? { not: is } : is
  })
  return join === 'all' ? { all: each } : { any: each }
}

/**
 * What is sent: the condition and the lines of a draft.
 *
 * @param held what it was before, whose id it keeps
 * @throws RangeError where a figure cannot be read
 */
export function bodyOf(draft: Draft, held?: Recipe): Recipe {
  const id = held?.id ?? `shop-${slug(draft.name) || 'recipe'}`
  return {
    id,
    when: together(draft.join, draft.groups.map(ofGroup)),
    whenListed: held?.whenListed ?? [],
    ...(draft.ofPart ? { ofPart: draft.ofPart.id } : {}),
    ...(draft.isFault ? { isFault: true } : {}),
    add: draft.lines
      .filter(({ words }) => words.trim() !== '')
      .map(({ words, place, eur, hours }) => {
        const before = held?.add.find((one) => one.words === words.trim())
        return {
          kind: before?.kind ?? `shop:${slug(words)}`,
          words: words.trim(),
          place,
          quantity: before?.quantity ?? 1,
          stage: before?.stage ?? 'final fit',
          sort: before?.sort ?? 'part',
          eur: threeTyped(eur) as [number, number, number],
          hours: threeTyped(hours) as [number, number, number],
        }
      }),
  }
}

/** A recipe as it can be built by hand; null where its condition says more than the pickers can. */
export function draftOf(name: string, body: Recipe, partName: string | null): Draft | null {
  const { when } = body
  if (Array.isArray(when)) return null
  const leaf = (one: Condition): Leaf | null => {
    const [inner, isNot] = 'not' in one ? [one.not, true] : [one, false]
    return 'is' in inner && isFactKey(inner.is) && inner.of.length === 1 && FACT_ROWS[inner.is].asks
      ? { key: inner.is, value: inner.of[0]!, isNot }
      : null
  }
  const group = (one: Condition): Group | null => {
    if (!('all' in one || 'any' in one)) return null
    const [join, parts] = 'all' in one ? (['all', one.all] as const) : (['any', one.any] as const)
    const leaves = parts.map(leaf)
    return leaves.every((each) => each !== null) ? { join, leaves } : null
  }
  const whole = when as Condition
  const only = group(whole)
  const [join, parts] =
    only !== null
      ? (['all', [whole]] as const)
      : 'all' in whole
        ? (['all', whole.all] as const)
        : 'any' in whole
          ? (['any', whole.any] as const)
          : (['all', []] as const)
  const groups = parts.map(group)
  if (groups.length === 0 || groups.some((one) => one === null) || body.whenListed.length > 0)
    return null
  return {
    name,
    ofPart: body.ofPart === undefined ? null : { id: body.ofPart, name: partName ?? body.ofPart },
    isFault: body.isFault === true,
    join,
    groups: groups as Group[],
    lines: body.add.map(({ words, place, eur, hours }) => ({
      words,
      place,
      eur: printThree(eur),
      hours: printThree(hours),
    })),
  }
}

const printThree = ([low, , high]: Three): string =>
  high === 0 ? '' : low === high ? String(low) : `${low}-${high}`
