import type { NumberClaimTable } from '../../../contract/number-inputs.ts'
import { groupBy } from '../../../core/group.ts'
import type { Grade } from '../../../core/quantity/grade.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { keyOf, rowsNaming, saidOfNumbers } from '../numbers/numbers-of-part.ts'
import { shopNumbers } from '../numbers/shop-numbers.ts'
import { usedIn } from './used-in.ts'

/** So many of each sort are told. */
const MOST = 100

interface ClaimTold {
  readonly table: NumberClaimTable
  readonly id: string
  readonly version: number
  readonly words: string
  readonly grade: Grade
  readonly source: string | null
  readonly saidBy: string | null
}

/** Claims on numbers that cannot all be so: a catalogue number on two parts, a ring of supersessions, what fits and does not. */
export async function numberConflicts(store: Store) {
  const issuers = new Map((await store.list('issuer')).map((row) => [row.id, row.name]))
  const found = [
    ...(await onTwoParts(store, issuers)),
    ...(await rings(store)),
    ...(await denied(store, issuers)),
  ]
  const bearing = await rowsNaming(
    store,
    'partNumber',
    found.flatMap(({ keys }) => keys),
  )
  const ofKey = groupBy(
    bearing.filter((row) => row.struckDay === null),
    keyOf,
  )
  const partsOf = (one: Found): string[] => [
    ...new Set(one.keys.flatMap((key) => (ofKey.get(keyOf(key)) ?? []).map((row) => row.partId))),
  ]
  const all = [...new Set(found.flatMap(partsOf))]
  const [parts, uses] = await Promise.all([store.listIn('part', 'id', all), usedIn(store, all)])
  const nameOf = new Map(parts.map((row) => [row.id, row.name]))
  return {
    items: found.map((one) => {
      const own = partsOf(one)
      return {
        kind: one.kind,
        words: one.words,
        claims: one.claims,
        parts: own.map((id) => ({ id, name: nameOf.get(id) ?? id })),
        hangs: [
          ...new Map(
            own.flatMap((id) => (uses.get(id) ?? []).map((use) => [use.build, use] as const)),
          ).values(),
        ],
      }
    }),
  }
}

interface Found {
  readonly kind: 'two parts' | 'ring' | 'denied'
  readonly words: string
  readonly keys: readonly { readonly issuerId: string; readonly normalised: string }[]
  readonly claims: readonly ClaimTold[]
}

const told = (
  table: NumberClaimTable,
  row: RowOf<'partNumber'> | RowOf<'supersession'> | RowOf<'application'>,
  words: string,
): ClaimTold => ({
  table,
  id: row.id,
  version: row.version,
  words,
  grade: row.grade,
  source: row.source,
  saidBy: row.saidBy,
})

async function onTwoParts(store: Store, issuers: ReadonlyMap<string, string>): Promise<Found[]> {
  const again = (await store
    .knex('partNumber')
    .where({ again: 1, mark: 'catalogue' })
    .whereNull('struckDay')
    .select('issuerId', 'normalised')
    .distinct()
    .orderBy(['issuerId', 'normalised'])
    .limit(MOST)) as { issuerId: string; normalised: string }[]
  const rows = (await rowsNaming(store, 'partNumber', again)).filter(
    (row) => row.mark === 'catalogue' && row.struckDay === null,
  )
  const parts = new Map(
    (
      await store.listIn(
        'part',
        'id',
        rows.map((row) => row.partId),
      )
    ).map((row) => [row.id, row.name]),
  )
  return [...groupBy(rows, keyOf).values()].flatMap((own): Found[] => {
    if (new Set(own.map(({ partId }) => partId)).size < 2) return []
    const [first] = own
    return [
      {
        kind: 'two parts',
        words: `${issuers.get(first!.issuerId)} ${first!.number} is the number of ${new Set(own.map(({ partId }) => partId)).size} parts: no way through other numbers of theirs is planned until one is struck out.`,
        keys: [first!],
        claims: own.map((row) =>
          told('partNumber', row, `${row.number} is ${parts.get(row.partId) ?? row.partId}`),
        ),
      },
    ]
  })
}

/** Rings of supersessions: a number that comes to replace itself. */
async function rings(store: Store): Promise<Found[]> {
  const index = await shopNumbers(store)
  const onRing = [
    ...new Set(
      index.nodes.flatMap(({ onward }) =>
        onward.filter((row) => row.isOnRing).map((row) => row.id),
      ),
    ),
  ].slice(0, MOST)
  if (onRing.length === 0) return []
  const [rows, numbers] = await Promise.all([
    store.listIn('supersession', 'id', onRing),
    store.listIn('supersessionNumber', 'supersessionId', onRing),
  ])
  const ofRow = groupBy(numbers, (one) => one.supersessionId)
  const rowsOfKey = groupBy(numbers, keyOf)
  const left = new Set(rows.map(({ id }) => id))
  const found: Found[] = []
  for (const row of rows) {
    if (!left.delete(row.id)) continue
    const ring = [row.id]
    for (let i = 0; i < ring.length; i++)
      for (const number of ofRow.get(ring[i]!) ?? [])
        for (const { supersessionId } of rowsOfKey.get(keyOf(number)) ?? [])
          if (left.delete(supersessionId)) ring.push(supersessionId)
    const own = rows.filter(({ id }) => ring.includes(id))
    found.push({
      kind: 'ring',
      words: `${own.length} supersessions go round in a circle: no number of it is the last.`,
      keys: ring.flatMap((id) => ofRow.get(id) ?? []),
      claims: own.map((one) => told('supersession', one, replaced(ofRow.get(one.id) ?? []))),
    })
  }
  return found
}

function replaced(numbers: readonly RowOf<'supersessionNumber'>[]): string {
  const side = (which: string): string =>
    numbers.flatMap((one) => (one.side === which ? one.number : [])).join(' and ')
  return `${side('old')} replaced by ${side('new')}`
}

/** Numbers that one says fit a family, and another says do not. */
async function denied(store: Store, issuers: ReadonlyMap<string, string>): Promise<Found[]> {
  const denials = store.sound(
    'application',
    await store
      .knex('application')
      .where({ fits: 'no' })
      .whereNull('struckDay')
      .orderBy('id')
      .limit(MOST),
  )
  const { applications } = await saidOfNumbers(store, denials)
  const claimed = groupBy(
    applications.filter((row) => row.fits === 'yes' && row.struckDay === null),
    keyOf,
  )
  return denials.flatMap((no): Found[] => {
    const against = (claimed.get(keyOf(no)) ?? []).filter((yes) => isOfOneFamily(no, yes))
    if (against.length === 0) return []
    const number = `${issuers.get(no.issuerId)} ${no.number}`
    return [
      {
        kind: 'denied',
        words: `${number} is said to fit ${familiesOf(no).join(', ')}, and said not to.`,
        keys: [no],
        claims: [no, ...against].map((row) =>
          told(
            'application',
            row,
            `${number} ${row.fits === 'yes' ? 'fits' : 'does not fit'} ${familiesOf(row).join(', ')}`,
          ),
        ),
      },
    ]
  })
}

const familiesOf = ({ scope }: RowOf<'application'>): string[] =>
  Object.values(scope?.targets ?? {}).flatMap((target) => (target ? target.family : []))

const isOfOneFamily = (one: RowOf<'application'>, other: RowOf<'application'>): boolean =>
  familiesOf(one).some((family) =>
    familiesOf(other).some((same) => same.toLowerCase() === family.toLowerCase()),
  )
