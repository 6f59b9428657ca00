import { groupBy } from '../../../core/group.ts'
import { suggestKind } from '../../../core/needs/suggest-kind.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { keyOf, type NumberKey, saidOfNumbers } from './numbers-of-part.ts'

/** What a new part probably is: its kind, what it hangs on, and what tells so. */
export interface Placement {
  readonly kind: string
  readonly family: string | null
  readonly because: string
}

const isStanding = ({ struckDay }: { readonly struckDay?: string | null }): boolean =>
  struckDay == null

/**
 * What numbers tell of the parts that bear them: a number that replaces one of a known part, that it replaces, or that serves
 * in its place, is of that kind, and hangs on the same family. Numbers whose neighbours differ tell nothing of it.
 * @returns by number key
 */
export async function placedByNumbers(
  store: Store,
  keys: readonly NumberKey[],
): Promise<ReadonlyMap<string, Placement>> {
  const said = await saidOfNumbers(store, keys)
  const groups = [
    ...groupsOf(said.supersessions, said.supersessionNumbers, (row) => row.supersessionId),
    ...groupsOf(
      said.interchanges.filter(({ serves }) => serves === 'yes'),
      said.members,
      (row) => row.interchangeId,
    ),
  ]
  const wanted = new Set(keys.map(keyOf))
  const bearers = await bearersOf(store, groups.flat())
  const neighbours = new Map<string, { part: RowOf<'part'>; number: string }[]>()
  for (const group of groups)
    for (const own of group) {
      if (!wanted.has(keyOf(own))) continue
      const others = group.filter((one) => keyOf(one) !== keyOf(own))
      neighbours.set(keyOf(own), [
        ...(neighbours.get(keyOf(own)) ?? []),
        ...others.flatMap((one) =>
          (bearers.get(keyOf(one)) ?? []).map((part) => ({ part, number: one.number })),
        ),
      ])
    }
  const placed = new Map<string, Placement>()
  for (const [key, near] of neighbours) {
    const kinds = new Set(near.map(({ part }) => part.kind))
    const [first] = near
    if (!first || kinds.size !== 1) continue
    const families = new Set(near.map(({ part }) => part.family))
    placed.set(key, {
      kind: first.part.kind,
      family: families.size === 1 ? first.part.family : null,
      because: `by ${first.number} of ${first.part.name}`,
    })
  }
  return placed
}

interface Numbered extends NumberKey {
  readonly number: string
}

function groupsOf<N extends Numbered>(
  rows: readonly { readonly id: string; readonly struckDay?: string | null }[],
  numbers: readonly N[],
  owner: (number: N) => string,
): N[][] {
  const standing = new Set(rows.filter(isStanding).map(({ id }) => id))
  return [
    ...groupBy(
      numbers.filter((one) => standing.has(owner(one))),
      owner,
    ).values(),
  ]
}

/** Parts that have a kind, by the catalogue numbers they bear. */
async function bearersOf(
  store: Store,
  numbers: readonly NumberKey[],
): Promise<ReadonlyMap<string, RowOf<'part'>[]>> {
  const rows: RowOf<'partNumber'>[] = []
  for (const [issuerId, own] of groupBy(numbers, (one) => one.issuerId))
    rows.push(
      ...(await store.readIn(
        'partNumber',
        'normalised',
        [...new Set(own.map(({ normalised }) => normalised))],
        { issuerId, mark: 'catalogue' },
      )),
    )
  const standing = rows.filter(isStanding)
  const parts = new Map(
    (await store.readIn('part', 'id', [...new Set(standing.map(({ partId }) => partId))])).map(
      (part) => [part.id, part],
    ),
  )
  const sorted = (row: RowOf<'partNumber'>): RowOf<'part'>[] => {
    const part = parts.get(row.partId)
    return part && part.kind !== 'unsorted' ? [part] : []
  }
  return new Map([...groupBy(standing, keyOf)].map(([key, own]) => [key, own.flatMap(sorted)]))
}

/** What parts without a kind probably are: by their numbers, else by their words. @returns by part */
export async function placements(
  store: Store,
  parts: readonly RowOf<'part'>[],
): Promise<ReadonlyMap<string, Placement>> {
  const unsorted = parts.filter(({ kind }) => kind === 'unsorted')
  if (unsorted.length === 0) return new Map()
  const numbers = await store.listIn(
    'partNumber',
    'partId',
    unsorted.map(({ id }) => id),
  )
  const byNumber = await placedByNumbers(store, numbers.filter(isStanding))
  const ofPart = groupBy(numbers, ({ partId }) => partId)
  return new Map(
    unsorted.flatMap(({ id, name, family }): [string, Placement][] => {
      const own = (ofPart.get(id) ?? []).flatMap((one) => byNumber.get(keyOf(one)) ?? [])
      if (own[0] && own.every(({ kind }) => kind === own[0]!.kind)) return [[id, own[0]]]
      const kind = suggestKind(name)
      return kind === null ? [] : [[id, { kind, family, because: 'by its words' }]]
    }),
  )
}
