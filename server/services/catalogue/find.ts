import { FOUND_KINDS } from '../../../contract/answers/catalogue.ts'
import { groupBy } from '../../../core/group.ts'
import { ruleOf } from '../../../core/identity/number-rule.ts'
import type { KnownIssuer, NumberMatch } from '../../../core/identity/number-search.ts'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import { mirrored } from '../../database/mirror.ts'
import type { RowOf, Store } from '../../database/store.ts'
import type { EntryKind } from '../../search/entries.ts'
import { followFor } from '../../search/follow.ts'
import { type FoundNumber, findNumbers } from '../../search/numbers.ts'
import { askedWords, findWords } from '../../search/words.ts'
import { keyOf, rowsNaming } from '../numbers/numbers-of-part.ts'

export interface Found {
  readonly kind: EntryKind | 'number'
  readonly id: string
  readonly words: string
  readonly detail: string
  /** Of a number: how it has to do with what was typed. */
  readonly match: NumberMatch | null
}

/** So many of each kind are told. */
const EACH = 8
/** Whoever looks for something does not wait longer for the index: what it holds is answered, and that it is behind. */
export const PATIENCE_MS = 300

const rules = new WeakMap<readonly RowOf<'issuer'>[], readonly KnownIssuer[]>()
/** Issuers with their rules, made once while none of them changes. */
export async function knownIssuers(store: Store): Promise<readonly KnownIssuer[]> {
  const { list } = await mirrored(store, 'issuer')
  let held = rules.get(list)
  if (!held) {
    held = list.map((row) => ({ id: row.id, name: row.name, rule: ruleOf(row) }))
    rules.set(list, held)
  }
  return held
}

/**
 * Everything found by what was typed: numbers in any spelling, the closest first, then builds, vehicles, engines, gearboxes,
 * parts, kits, donors and suppliers that hold every word, misspelt ones mended.
 */
export async function find(
  store: Store,
  typed: string,
): Promise<{ items: Found[]; mended: { typed: string; as: string }[]; isBehind: boolean }> {
  if (typed.trim() === '') return { items: [], mended: [], isBehind: false }
  const isThere = await followFor(store, PATIENCE_MS)
  const numbers = await foundNumbers(store, typed, EACH)
  const words = await askedWords(store.knex, typed)
  const items: Found[] = [...numbers]
  for (const kind of FOUND_KINDS)
    items.push(...(await named(store, kind, await findWords(store.knex, words, kind, EACH))))
  const mended = [...words.mended].map(([from, as]) => ({ typed: from, as }))
  return { items, mended, isBehind: !isThere }
}

const TABLE_OF = {
  build: 'build',
  vehicle: 'part',
  engine: 'part',
  transmission: 'part',
  part: 'part',
  kit: 'kit',
  donor: 'donor',
  supplier: 'supplier',
} as const
const WORDS: Readonly<Partial<Record<EntryKind, string>>> = {
  build: 'Build',
  kit: 'Kit',
  donor: 'Donor',
  supplier: 'Supplier',
}

async function named(
  store: Store,
  kind: EntryKind,
  hits: readonly { readonly rowId: string }[],
): Promise<Found[]> {
  const rows = new Map(
    (
      await store.listIn(
        TABLE_OF[kind],
        'id',
        hits.map(({ rowId }) => rowId),
      )
    ).map((row) => [row.id, row]),
  )
  return hits.flatMap(({ rowId }): Found[] => {
    const row = rows.get(rowId)
    if (!row) return []
    const detail = WORDS[kind] ?? ('kind' in row ? kindWords(row.kind) : '')
    const place = 'place' in row ? row.place : null
    return [
      {
        kind,
        id: row.id,
        words: row.name,
        detail: [detail, place].filter(Boolean).join(', '),
        match: null,
      },
    ]
  })
}

/** Numbers found, each with the parts that bear it or are sold under it, and what replaced it. */
async function foundNumbers(store: Store, typed: string, most: number): Promise<Found[]> {
  const issuers = await knownIssuers(store)
  const nameOf = new Map(issuers.map(({ id, name }) => [id, name]))
  const hits = await findNumbers(store.knex, typed, issuers, most)
  if (hits.length === 0) return []
  const { borne, replaced } = await ofNumbers(store, hits)
  const parts = new Map(
    (
      await store.listIn('part', 'id', [
        ...new Set([...borne.values()].flat().map(({ partId }) => partId)),
      ])
    ).map((row) => [row.id, row.name]),
  )
  return hits.flatMap((hit): Found[] => {
    const at = keyOf({ issuerId: hit.issuerId, normalised: hit.key })
    const next = replaced.get(at)
    const told = next ? `, replaced by ${next}` : ''
    return (borne.get(at) ?? []).slice(0, EACH).map(({ partId, number }) => ({
      kind: 'number',
      id: partId,
      words: `${nameOf.get(hit.issuerId) ?? ''} ${number}`.trim(),
      detail: `${parts.get(partId) ?? ''}${told}`,
      match: hit.match,
    }))
  })
}

/** Parts of numbers, by number: those that bear it, or, where none does, those sold under it, or that bear what replaced it. */
export async function ofNumbers(
  store: Store,
  hits: readonly FoundNumber[],
): Promise<{
  borne: ReadonlyMap<string, readonly { partId: string; number: string }[]>
  replaced: ReadonlyMap<string, string>
}> {
  const keys = hits.map(({ issuerId, key }) => ({ issuerId, normalised: key }))
  const borne = new Map<string, { partId: string; number: string }[]>(
    [
      ...groupBy(
        (await rowsNaming(store, 'partNumber', keys)).filter((row) => row.struckDay === null),
        keyOf,
      ),
    ].map(([key, rows]) => [key, rows.map(({ partId, number }) => ({ partId, number }))]),
  )
  const said = (await rowsNaming(store, 'supersessionNumber', keys)).filter(
    ({ side }) => side === 'old',
  )
  const standing = new Set(
    (
      await store.listIn('supersession', 'id', [...new Set(said.map((row) => row.supersessionId))])
    ).flatMap(({ id, struckDay }) => (struckDay === null ? id : [])),
  )
  const old = said.filter(({ supersessionId }) => standing.has(supersessionId))
  const next = (await store.listIn('supersessionNumber', 'supersessionId', [...standing])).filter(
    ({ side }) => side === 'new',
  )
  const nextOf = groupBy(next, (row) => row.supersessionId)
  const replaced = new Map(
    [...groupBy(old, keyOf)].map(([key, rows]) => [
      key,
      rows
        .map(({ supersessionId }) =>
          (nextOf.get(supersessionId) ?? []).map(({ number }) => number).join(' and '),
        )
        .join(' or '),
    ]),
  )
  const bare = keys.filter((key) => !borne.has(keyOf(key)))
  if (bare.length === 0) return { borne, replaced }
  for (const { issuerId, normalised } of bare) {
    const offers = (await store
      .knex('offer')
      .where({ issuerId, normalised })
      .distinct('partId', 'number')
      .limit(EACH)) as { partId: string; number: string }[]
    if (offers.length > 0) borne.set(keyOf({ issuerId, normalised }), offers)
  }
  const heirs = (await rowsNaming(store, 'partNumber', next)).filter(
    (row) => row.struckDay === null,
  )
  const heirOf = groupBy(heirs, keyOf)
  for (const row of old) {
    if (borne.has(keyOf(row))) continue
    const own = (nextOf.get(row.supersessionId) ?? []).flatMap((one) =>
      (heirOf.get(keyOf(one)) ?? []).map(({ partId }) => ({ partId, number: row.number })),
    )
    if (own.length > 0) borne.set(keyOf(row), own)
  }
  return { borne, replaced }
}
