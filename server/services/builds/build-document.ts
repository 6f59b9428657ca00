import { contradictionIn } from '../../../core/ports/contradictions.ts'
import { compilePart, fieldOf } from '../../../core/ports/index.ts'
import { brokenRule } from '../../database/sqlite/constraint.ts'
import type { Row, RowOf, Store } from '../../database/store.ts'
import { shapeOf, TABLE_NAMES, type TableName } from '../../database/tables.ts'
import { type DocumentRows, readBuildDocument } from '../../documents/build-json.ts'
import { ConflictError, UnprocessableError } from '../../errors.ts'
import { rebuildPortValues } from '../catalogue/one-part.ts'
import { keyOf, type NumberKey, saidOfNumbers } from '../numbers/numbers-of-part.ts'
import { toCoreParts } from '../shop/core-parts.ts'

/** A build and all it refers to, as one JSON document: rows by table, by id, without versions or history. */
export interface BuildDocument {
  readonly format: 'junket-build'
  readonly version: 3
  readonly tables: Partial<Record<TableName, readonly Record<string, unknown>[]>>
}

/** Ids inside text columns that a foreign key cannot see: what a plan took, and a lock names, may be gone by now. */
function looseRefs(table: TableName, row: Row): [TableName, string][] {
  const refs: [TableName, string][] = []
  const named = [row.candidate, row.bundle].filter(
    (value): value is string => typeof value === 'string',
  )
  if (table === 'planLine' || table === 'sourcingLock')
    for (const name of named) {
      const offer = /^offer:([^@]+)@/.exec(name)
      const bundle = /^(kit|donor):(.+)$/.exec(name)
      if (offer) refs.push(['offer', offer[1]!])
      if (bundle) refs.push([bundle[1] as 'kit' | 'donor', bundle[2]!])
    }
  return refs
}

/** Exports one build: its own rows and, whole, every row they refer to, directly or through others. Deterministic. */
export async function exportBuild(store: Store, buildId: string): Promise<BuildDocument> {
  const build = await store.get('build', buildId)
  const found = new Map<TableName, Map<string, Row>>(TABLE_NAMES.map((table) => [table, new Map()]))
  const queue: [TableName, Row][] = [['build', build]]
  const reach = async (table: TableName, id: unknown): Promise<void> => {
    if (typeof id !== 'string' || found.get(table)!.has(id)) return
    const row = await store.find(table, id)
    if (row) queue.push([table, row])
  }
  // Suppliers' offers of the parts reached, and the rates that price them, are what a plan is made from.
  const follow = async (): Promise<void> => {
    for (let next = queue.shift(); next; next = queue.shift()) await take(next)
  }
  const take = async ([table, row]: [TableName, Row]): Promise<void> => {
    if (found.get(table)!.has(row.id)) return
    // Other builds' specimens are theirs: their claims stay behind.
    if (
      table === 'claim' &&
      row.specimenId &&
      (await store.find('specimen', String(row.specimenId)))?.buildId !== buildId
    )
      return
    found.get(table)!.set(row.id, row)
    const shape = shapeOf(table)
    for (const [column, target] of Object.entries(shape.refs ?? {}))
      await reach(target, row[column])
    for (const [owned, column] of shape.owns ?? [])
      for (const one of await store.list(owned, { [column]: row.id })) queue.push([owned, one])
    for (const [target, id] of looseRefs(table, row)) await reach(target, id)
  }
  await follow()
  // What is said of its numbers, and of the numbers those lead to.
  const asked = new Set<string>()
  for (;;) {
    const keys = numbersIn(found).filter((one) => !asked.has(keyOf(one)))
    if (keys.length === 0) break
    for (const one of keys) asked.add(keyOf(one))
    const said = await saidOfNumbers(store, keys)
    for (const row of said.supersessions) queue.push(['supersession', row])
    for (const row of said.interchanges) queue.push(['interchange', row])
    for (const row of said.applications) queue.push(['application', row])
    await follow()
  }
  const offers = found.get('offer')!
  const currencies = new Set(
    [
      ...offers.values(),
      ...found.get('kit')!.values(),
      ...found.get('donor')!.values(),
      ...found.get('supplier')!.values(),
    ].map((row) => String(row.currency)),
  )
  for (const rate of await store.list('rate'))
    if (currencies.has(String(rate.fromCurrency)) || currencies.has(String(rate.toCurrency)))
      found.get('rate')!.set(rate.id, rate)
  const edited = await store.find('setting', 'tolerances')
  if (edited) found.get('setting')!.set(edited.id, edited)

  const tables: Partial<Record<TableName, Record<string, unknown>[]>> = {}
  for (const table of TABLE_NAMES) {
    const rows = [...found.get(table)!.values()].sort((p, q) => (p.id < q.id ? -1 : 1)).map(plain)
    if (rows.length > 0) tables[table] = rows
  }
  return { format: 'junket-build', version: 3, tables }
}

/** Every number that rows found name, by what it comes to. */
const numbersIn = (found: ReadonlyMap<TableName, ReadonlyMap<string, Row>>): NumberKey[] =>
  (['partNumber', 'supersessionNumber', 'interchangeNumber', 'application', 'offer'] as const)
    .flatMap((table) => [...found.get(table)!.values()])
    .flatMap(({ issuerId, normalised }) =>
      typeof issuerId === 'string' && typeof normalised === 'string'
        ? { issuerId, normalised }
        : [],
    )

/** A row without its version, empty columns left out, keys in order. */
function plain(row: Record<string, unknown>): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(row)
      .filter(([key, value]) => key !== 'version' && value !== null && value !== undefined)
      .sort(([p], [q]) => (p < q ? -1 : 1)),
  )
}

/**
 * Reads the rows of a document in one transaction: absent rows are added; if any id exists with other content, or names
 * what is in neither, nothing is read.
 *
 * @param batches rows held against the contract, in an order in which they can be inserted
 * @throws UnprocessableError · ConflictError naming each row by table, id and field
 */
export async function importBuild(
  store: Store,
  batches: AsyncIterable<DocumentRows> | Iterable<DocumentRows>,
): Promise<{ builds: string[]; added: number }> {
  const tables = new Map<TableName, Record<string, unknown>[]>(
    TABLE_NAMES.map((table) => [table, []]),
  )
  for await (const { table, rows } of batches) tables.get(table)!.push(...rows)
  return store.transaction(async (tx) => {
    const differing: { path: string; message: string }[] = []
    const absent: [TableName, Record<string, unknown>[]][] = []
    for (const [table, rows] of tables) {
      const held = await heldRows(
        tx,
        table,
        rows.map((row) => String(row.id)),
      )
      absent.push([table, rows.filter((row) => !held.has(String(row.id)))])
      for (const row of rows) {
        const other = held.get(String(row.id))
        if (other && JSON.stringify(plain(other)) !== JSON.stringify(plain(row)))
          differing.push({
            path: `${table}/${row.id}`,
            message: `${table} ${row.name ?? row.id} is here with other content`,
          })
      }
    }
    if (differing.length > 0)
      throw new ConflictError(
        'Some of it is here already with other content: nothing was read. Read it into an empty copy, or make both alike first.',
        { errors: differing },
      )
    const loose = await looseEnds(tx, tables)
    if (loose.length > 0)
      throw new UnprocessableError(
        `The document does not hold together: nothing was read. First: ${loose[0]!.path}: ${loose[0]!.message}`,
        loose,
      )
    for (const [table, rows] of absent) await insertAll(tx, table, rows)
    for (const part of new Set(tables.get('port')!.map((port) => String(port.partId))))
      await rebuildPortValues(tx, part)
    return {
      builds: tables.get('build')!.map((row) => String(row.id)),
      added: absent.reduce((sum, [, rows]) => sum + rows.length, 0),
    }
  })
}

/** The same from a document that is in memory: the demo's, an export's. @throws FileFault as well */
export const importDocument = (
  store: Store,
  document: unknown,
): Promise<{ builds: string[]; added: number }> => importBuild(store, readBuildDocument(document))

const heldRows = async (
  store: Store,
  table: TableName,
  ids: readonly string[],
): Promise<Map<string, Row>> =>
  new Map((await store.listIn(table, 'id', ids)).map((row) => [row.id, row]))

/** References that lead nowhere, and parts that came with themselves, through whatever others. */
async function looseEnds(
  store: Store,
  tables: ReadonlyMap<TableName, readonly Record<string, unknown>[]>,
): Promise<{ path: string; message: string }[]> {
  const faults: { path: string; message: string }[] = []
  for (const [table, rows] of tables)
    for (const [column, target] of Object.entries(shapeOf(table).refs ?? {})) {
      const own = new Set(tables.get(target)!.map((row) => row.id))
      const wanted = rows.filter((row) => typeof row[column] === 'string' && !own.has(row[column]))
      const held = await heldRows(store, target, [
        ...new Set(wanted.map((row) => String(row[column]))),
      ])
      for (const row of wanted)
        if (!held.has(String(row[column])))
          faults.push({
            path: `${table}/${row.id}/${column}`,
            message: `There is no ${target} "${row[column]}", in the document or here.`,
          })
    }
  const owner = new Map(tables.get('part')!.map((row) => [row.id, row.ownerId]))
  for (const row of tables.get('part')!) {
    const seen = new Set<unknown>([row.id])
    for (
      let above = owner.get(row.id);
      above !== undefined && above !== null;
      above = owner.get(above)
    ) {
      if (seen.has(above)) {
        if (above === row.id)
          faults.push({
            path: `part/${row.id}/ownerId`,
            message: 'The part came with itself, through others.',
          })
        break
      }
      seen.add(above)
    }
  }
  faults.push(...impossible(tables))
  return faults.slice(0, 300)
}

/** Ports of which two figures say what no part can be. */
function impossible(
  tables: ReadonlyMap<TableName, readonly Record<string, unknown>[]>,
): { path: string; message: string }[] {
  const [parts, ports, claims] = [tables.get('part')!, tables.get('port')!, tables.get('claim')!]
  return toCoreParts(
    parts as RowOf<'part'>[],
    ports as RowOf<'port'>[],
    claims as RowOf<'claim'>[],
  ).flatMap((part) =>
    compilePart(part).ports.flatMap((port) => {
      const against = contradictionIn(port.kind, (field) => {
        const one = fieldOf(port, field)
        return one?.claim === null ? undefined : one?.v
      })
      return against
        ? [{ path: `port/${port.id}/${against.fields[0]}`, message: against.words }]
        : []
    }),
  )
}

/** Inserts rows of one table; a rule of the database that one breaks is told of that row. */
async function insertAll(
  store: Store,
  table: TableName,
  rows: readonly Record<string, unknown>[],
): Promise<void> {
  const columns = [...new Set(rows.flatMap((row) => Object.keys(row)))]
  const even = (table === 'part' ? ownersFirst(rows) : rows).map((row) =>
    Object.fromEntries(columns.map((column) => [column, row[column] ?? null])),
  )
  try {
    await store.insertMany(table, even)
  } catch (error) {
    if (!brokenRule(error as Error)) throw error
    // Which of them it was, the batch does not say: one at a time it does.
    for (const row of even) {
      if (await store.knex(table).where({ id: row.id }).first('id')) continue
      try {
        await store.insertMany(table, [row])
      } catch (fault) {
        const broken = brokenRule(fault as Error)
        if (!broken) throw fault
        const path = [table, row.id, broken.field].filter(Boolean).join('/')
        throw new UnprocessableError(
          `The document does not go together with what is here: nothing was read. ${path}: ${broken.message}`,
          [{ path, message: broken.message }],
        )
      }
    }
  }
}

/** Parts after the part they came with. */
function ownersFirst(rows: readonly Record<string, unknown>[]): Record<string, unknown>[] {
  const byId = new Map(rows.map((row) => [row.id, row]))
  const placed = new Set<unknown>()
  const sorted: Record<string, unknown>[] = []
  for (const row of rows) {
    const chain: Record<string, unknown>[] = []
    for (
      let one: Record<string, unknown> | undefined = row;
      one && !placed.has(one.id);
      one = byId.get(one.ownerId)
    ) {
      placed.add(one.id)
      chain.push(one)
    }
    sorted.push(...chain.reverse())
  }
  return sorted
}
