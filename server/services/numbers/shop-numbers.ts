import { groupBy } from '../../../core/group.ts'
import type {
  ApplicationClaim,
  InterchangeClaim,
  NumberClaim,
  SupersessionClaim,
} from '../../../core/identity/claims.ts'
import { NumberIndex } from '../../../core/identity/number-index.ts'
import { ruleOf } from '../../../core/identity/number-rule.ts'
import { onChange } from '../../database/changes.ts'
import type { RowOf, Store } from '../../database/store.ts'
import type { TableName } from '../../database/tables.ts'

const TABLES: readonly TableName[] = [
  'issuer',
  'partNumber',
  'supersession',
  'supersessionNumber',
  'interchange',
  'interchangeNumber',
  'application',
  'generation',
]

const shops = new WeakMap<object, { index: Promise<NumberIndex> | null; epoch: number }>()

/** Every number of the shop, by the names of issuers, put together once until one of them changes. */
export function shopNumbers(store: Store): Promise<NumberIndex> {
  if (store.inTransaction) return readShop(store)
  let held = shops.get(store.root)
  if (!held) {
    const fresh = { index: null as Promise<NumberIndex> | null, epoch: store.epoch }
    shops.set(store.root, (held = fresh))
    onChange(store.root, ({ tables }) => {
      if (tables.some((table) => TABLES.includes(table as TableName))) fresh.index = null
    })
  }
  if (!held.index || held.epoch !== store.epoch) {
    const index = readShop(store)
    held.index = index
    held.epoch = store.epoch
    const kept = held
    index.catch(() => {
      if (kept.index === index) kept.index = null
    })
  }
  return held.index
}

async function readShop(store: Store): Promise<NumberIndex> {
  const [issuers, numbers, supersessions, ofSupersessions, groups, members, applications, breaks] =
    await Promise.all([
      store.read('issuer'),
      store.read('partNumber'),
      store.read('supersession'),
      store.read('supersessionNumber'),
      store.read('interchange'),
      store.read('interchangeNumber'),
      store.read('application'),
      store.read('generation'),
    ])
  const nameOf = new Map(issuers.map(({ id, name }) => [id, name]))
  const named = ({ issuerId, number }: { issuerId: string; number: string }) => ({
    issuer: nameOf.get(issuerId) ?? issuerId,
    number,
  })
  return new NumberIndex({
    issuers: issuers.map((row) => ({ id: row.name, rule: ruleOf(row) })),
    numbers: numbers
      .filter(stands)
      .map(
        (row): NumberClaim => ({ ...saidOf(row), ...named(row), part: row.partId, mark: row.mark }),
      ),
    supersessions: supersessionsOf(supersessions, ofSupersessions, named),
    interchange: interchangeOf(groups, members, named),
    applications: applications
      .filter(stands)
      .map((row): ApplicationClaim => ({ ...saidOf(row), ...named(row), fits: row.fits })),
    generations: breaks.map((row) => ({
      target: row.target,
      family: row.family,
      id: row.generation,
      from: row.from ?? undefined,
      to: row.to ?? undefined,
      conditions: row.conditions ?? undefined,
    })),
  })
}

type Named = (row: { issuerId: string; number: string }) => { issuer: string; number: string }

const stands = ({ struckDay }: { readonly struckDay: string | null }): boolean => struckDay === null

const saidOf = ({ id, grade, source, scope }: RowOf<'application' | 'partNumber'>) => ({
  id,
  grade,
  source: source ?? undefined,
  where: scope ?? undefined,
})

/** Supersessions as claims; one whose numbers are not all there says nothing. */
function supersessionsOf(
  rows: readonly RowOf<'supersession'>[],
  numbers: readonly RowOf<'supersessionNumber'>[],
  named: Named,
): SupersessionClaim[] {
  const ofEach = groupBy(numbers, (one) => one.supersessionId)
  return rows.filter(stands).flatMap((row): SupersessionClaim[] => {
    const side = (which: 'old' | 'new') =>
      (ofEach.get(row.id) ?? []).flatMap((one) =>
        one.side === which ? [{ ...named(one), quantity: one.quantity }] : [],
      )
    const [old, next] = [side('old'), side('new')]
    if (old.length === 0 || next.length === 0 || (old.length > 1 && next.length > 1)) return []
    return [
      {
        id: row.id,
        grade: row.grade,
        source: row.source ?? undefined,
        where: row.scope ?? undefined,
        old,
        new: next,
        back: row.back,
        since: row.since ?? undefined,
        until: row.until ?? undefined,
      },
    ]
  })
}

function interchangeOf(
  rows: readonly RowOf<'interchange'>[],
  members: readonly RowOf<'interchangeNumber'>[],
  named: Named,
): InterchangeClaim[] {
  const ofEach = groupBy(members, (one) => one.interchangeId)
  return rows.filter(stands).map((row) => ({
    id: row.id,
    grade: row.grade,
    source: row.source ?? undefined,
    where: row.scope ?? undefined,
    serves: row.serves,
    members: (ofEach.get(row.id) ?? []).map((one) => ({
      ...named(one),
      way: one.way,
      where: one.scope ?? undefined,
    })),
  }))
}
