import { groupBy } from '../../../core/group.ts'
import { withoutRetired } from '../../database/row.ts'
import { type Row, type Store, unpack } from '../../database/store.ts'
import { shapeOf, type TableName } from '../../database/tables.ts'
import { ConflictError, MissingError } from '../../errors.ts'
import { rebuildPortValues } from '../catalogue/one-part.ts'

/** One act on one row: who, when, from what, to what. */
export interface HistoryEntry {
  readonly id: number
  readonly at: string
  readonly who: string
  readonly command: string | null
  readonly entity: TableName
  readonly entityId: string
  readonly act: 'insert' | 'update' | 'remove' | 'restore'
  readonly before: Record<string, unknown> | null
  readonly after: Record<string, unknown> | null
}

/** With what it is about in words, the currency of its amounts, and the names of rows it holds by id. */
type Told = HistoryEntry & {
  name: string | null
  currency: string | null
  names: Readonly<Record<string, string>>
}

type EntryRow = Omit<HistoryEntry, 'before' | 'after'> & { before: unknown; after: unknown }
export const entryOf = (row: EntryRow): HistoryEntry => ({
  ...row,
  before: unpack(row.before) as HistoryEntry['before'],
  after: unpack(row.after) as HistoryEntry['after'],
})

export interface HistoryQuery {
  readonly entity?: string | undefined
  readonly id?: string | undefined
  readonly who?: string | undefined
  /** Entries before this one: the cursor of the page above. */
  readonly before?: number | undefined
  readonly limit?: number | undefined
}

/** The history, newest first, a page at a time: all of it, of one row with what it owns, or of one person. */
export async function listHistory(
  store: Store,
  { entity, id, who, before, limit = 50 }: HistoryQuery,
): Promise<{
  items: Told[]
  next: number | null
}> {
  const query = store
    .knex('history')
    .orderBy('id', 'desc')
    .limit(limit + 1)
  if (entity && id) {
    const rows = await familyOf(store, entity as TableName, id)
    query.where((either) => {
      for (const [table, ids] of rows)
        either.orWhere((one) => one.where({ entity: table }).whereIn('entityId', ids))
    })
  }
  if (entity && !id) query.where({ entity })
  if (who) query.where({ who })
  if (before !== undefined) query.where('id', '<', before)
  const found = (await query).map(entryOf)
  const items = await about(store, found.slice(0, limit))
  return { items, next: found.length > limit ? items.at(-1)!.id : null }
}

/** A row and everything it owns, now or ever: removed children are found by the column that names their owner. */
async function familyOf(
  store: Store,
  table: TableName,
  id: string,
): Promise<Map<TableName, string[]>> {
  const found = new Map<TableName, string[]>([[table, [id]]])
  const visit = async (owner: TableName, ids: readonly string[]): Promise<void> => {
    for (const [owned, column] of shapeOf(owner).owns ?? []) {
      const rows = await store.listIn(owned, column, ids)
      const fresh = rows.map((row) => row.id).filter((one) => !found.get(owned)?.includes(one))
      if (fresh.length === 0) continue
      found.set(owned, [...(found.get(owned) ?? []), ...fresh])
      await visit(owned, fresh)
    }
  }
  await visit(table, [id])
  return found
}

/** What each entry is about, in words, and the currency its amounts are in. */
async function about(store: Store, entries: readonly HistoryEntry[]): Promise<Told[]> {
  const rows = new Map<string, Row>()
  for (const table of new Set(entries.map((entry) => entry.entity)))
    for (const row of await store.listIn(table, 'id', [
      ...new Set(entries.filter((entry) => entry.entity === table).map((entry) => entry.entityId)),
    ]))
      rows.set(`${table}:${row.id}`, row)
  const told = entries.map((entry) => ({
    entry,
    row: {
      ...rows.get(`${entry.entity}:${entry.entityId}`),
      ...entry.before,
      ...entry.after,
    } as Record<string, unknown>,
  }))
  const builds = new Map(
    (
      await store.listIn('build', 'id', [
        ...new Set(told.flatMap(({ row }) => (row.buildId ? [String(row.buildId)] : []))),
      ])
    ).map((row) => [row.id, row]),
  )
  const named = await namesOf(store, entries)
  return told.map(({ entry, row }) => ({
    ...entry,
    names: Object.fromEntries(
      idsIn(entry).flatMap(({ id, table }) => {
        const name = named.get(`${table}:${id}`)
        return name === undefined ? [] : [[id, name]]
      }),
    ),
    name: WORDS[entry.entity]?.(row) ?? (row.name as string | undefined) ?? null,
    currency:
      ((row.currency ?? builds.get(String(row.buildId))?.currency) as string | undefined) ?? null,
  }))
}

/** Ids of other rows that an entry holds. */
const idsIn = ({ entity, before, after }: HistoryEntry): { id: string; table: TableName }[] =>
  Object.entries(shapeOf(entity).refs ?? {}).flatMap(([column, table]) =>
    [before?.[column], after?.[column]].flatMap((id) =>
      typeof id === 'string' ? [{ id, table }] : [],
    ),
  )

/** Names of the rows that entries name by id, by table and id. */
async function namesOf(
  store: Store,
  entries: readonly HistoryEntry[],
): Promise<ReadonlyMap<string, string>> {
  const wanted = groupBy(entries.flatMap(idsIn), ({ table }) => table)
  const names = new Map<string, string>()
  for (const [table, held] of wanted)
    for (const row of await store.listIn(table, 'id', [...new Set(held.map(({ id }) => id))])) {
      const name = WORDS[table]?.(row) ?? (row as { name?: unknown }).name
      if (typeof name === 'string') names.set(`${table}:${row.id}`, name)
    }
  return names
}

/** Rows without a name of their own, told by what they say. */
const WORDS: Partial<Record<TableName, (row: Record<string, unknown>) => string>> = {
  decision: (row) => `${row.act} ${String(row.needId).split('/')[0]?.replaceAll('-', ' ')}`,
  ownLine: (row) => String(row.words),
  jointClaim: (row) =>
    [row.question ?? row.joint ?? row.subject, row.says]
      .filter(Boolean)
      .join(': ')
      .replaceAll('-', ' '),
  claim: (row) => String(row.portId).split('/').slice(0, 2).join(' ').replaceAll('-', ' '),
  partNumber: (row) => String(row.number),
  supersessionNumber: (row) => String(row.number),
  interchangeNumber: (row) => String(row.number),
  application: (row) => String(row.number),
  report: (row) => String(row.what),
  arrival: (row) => String(row.needId).split('/')[0]!.replaceAll('-', ' '),
}

/**
 * Undoes everything one command wrote, newest first, by new commands of its own: so an undo can be undone.
 * @throws ConflictError when what it wrote was changed since: nothing is undone
 */
export async function undoCommand(store: Store, command: string): Promise<{ undone: number }> {
  return store.transaction(async (tx) => {
    const entries = (
      (await tx.knex('history').where({ command }).orderBy('id', 'desc')) as EntryRow[]
    ).map(entryOf)
    if (entries.length === 0)
      throw new MissingError(
        'There is nothing to undo: that command wrote nothing, or is of another copy of the data.',
      )
    for (const entry of entries) await undoEntry(tx, entry)
    await mendPortValues(tx, entries)
    return { undone: entries.length }
  })
}

/** Puts the fields one entry changed back to what they were before it, or a removed row back whole. */
export async function restoreEntry(
  store: Store,
  id: number,
): Promise<{ entity: TableName; id: string }> {
  return store.transaction(async (tx) => {
    const found = await tx.knex('history').where({ id }).first()
    if (!found) throw new MissingError('That entry is not in the history.')
    const entry = entryOf(found)
    if (entry.act === 'update') {
      const row = await tx.get(entry.entity, entry.entityId)
      await tx.update(
        entry.entity,
        row.id,
        row.version,
        withoutRetired(entry.entity, entry.before)!,
      )
    } else if (entry.act === 'remove') {
      // What was removed with it comes back with it.
      const together =
        entry.command === null
          ? []
          : (
              (await tx
                .knex('history')
                .where({ command: entry.command, act: 'remove' })
                .orderBy('id', 'desc')) as EntryRow[]
            ).map(entryOf)
      for (const one of together.length > 0 ? together : [entry])
        if (!(await tx.find(one.entity, one.entityId))) await undoEntry(tx, one)
      await mendPortValues(tx, together.length > 0 ? together : [entry])
    } else
      throw new ConflictError(
        'Only a change or a removal can be put back. To take back an addition, remove it.',
      )
    return { entity: entry.entity, id: entry.entityId }
  })
}

async function undoEntry(tx: Store, entry: HistoryEntry): Promise<void> {
  const { entity, entityId, act } = entry
  const [before, after] = [
    withoutRetired(entity, entry.before),
    withoutRetired(entity, entry.after),
  ]
  const row: Row | null = await tx.find(entity, entityId)
  if (act === 'remove') {
    if (row)
      throw new ConflictError(`${before!.name ?? entity} is there again already.`, { theirs: row })
    await tx.knex('trash').where({ entity, entityId }).delete()
    await tx.reinsert(entity, before as Row)
    return
  }
  if (!row)
    throw new ConflictError(
      `${(after?.name as string | undefined) ?? entity} was removed since: put it back first.`,
    )
  const since =
    act === 'update'
      ? Object.keys(after ?? {}).filter((key) => !isSame(row[key], after![key]))
      : await changedSince(tx, entry, row)
  const changed = since.filter((key) => key !== 'version')
  if (changed.length > 0)
    throw new ConflictError(
      `It was changed since (${changed.join(', ')}): undoing would lose that. Look at the history and put back what you want.`,
      {
        theirs: row,
        yours: before,
      },
    )
  if (act === 'update') await tx.update(entity, entityId, row.version, before!)
  else await tx.unmake(entity, row)
}

/** Fields of a row that stand otherwise than when an entry made it: later changes that were themselves taken back do not count. */
async function changedSince(
  tx: Store,
  { id, entity, entityId }: HistoryEntry,
  row: Row,
): Promise<string[]> {
  const later = (
    (await tx
      .knex('history')
      .where({ entity, entityId, act: 'update' })
      .where('id', '>', id)
      .orderBy('id')) as EntryRow[]
  ).map(entryOf)
  const first = new Map<string, unknown>()
  for (const { before } of later)
    for (const [key, value] of Object.entries(before ?? {}))
      if (!first.has(key)) first.set(key, value)
  return [...first].filter(([key, value]) => !isSame(row[key], value)).map(([key]) => key)
}

export const isSame = (a: unknown, b: unknown): boolean =>
  JSON.stringify(a ?? null) === JSON.stringify(b ?? null)

/** The chosen value of each field follows its claims. */
async function mendPortValues(tx: Store, entries: readonly HistoryEntry[]): Promise<void> {
  const parts = new Set<string>()
  for (const { entity, before, after } of entries) {
    const row = { ...before, ...after }
    if (entity === 'port') parts.add(String(row.partId))
    if (entity === 'claim') parts.add(String(row.portId).split('/')[0]!)
  }
  for (const part of parts) if (await tx.find('part', part)) await rebuildPortValues(tx, part)
}

/** What is in the trash, newest first. */
export async function listTrash(
  store: Store,
): Promise<
  { id: string; entity: string; entityId: string; at: string; name: string; rows: number }[]
> {
  const found = (await store.knex('trash').orderBy('at', 'desc').limit(200)) as {
    id: string
    entity: string
    entityId: string
    at: string
    rows: string
  }[]
  return found.map(({ rows, ...head }) => {
    const held = unpack(rows) as [string, Row][]
    const first = held[0]?.[1]
    return {
      ...head,
      name: String(first?.name ?? first?.needId ?? head.entityId),
      rows: held.length,
    }
  })
}
