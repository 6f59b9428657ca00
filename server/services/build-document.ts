import type { Row, Store } from '../database/store.ts'
import { shapeOf, TABLE_NAMES, type TableName } from '../database/tables.ts'
import { ConflictError, UnprocessableError } from '../errors.ts'
import { rebuildPortValues } from './parts.ts'

/** A build and all it refers to, as one JSON document: rows by table, by id, without versions or history. */
export interface BuildDocument {
  readonly format: 'junket-build'
  readonly version: 1
  readonly tables: Partial<Record<TableName, readonly Record<string, unknown>[]>>
}

/** Ids inside JSON and text columns that a foreign key cannot see. */
function looseRefs(table: TableName, row: Row): [TableName, string][] {
  const refs: [TableName, string][] = []
  if (table === 'pairing') for (const id of (row.inserted as string[] | null) ?? []) refs.push(['part', id])
  const named = [row.candidate, row.bundle].filter((value): value is string => typeof value === 'string')
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
  for (let next = queue.shift(); next; next = queue.shift()) {
    const [table, row] = next
    if (found.get(table)!.has(row.id)) continue
    // Other builds' specimens are theirs: their claims stay behind.
    if (table === 'claim' && row.specimenId && (await store.find('specimen', String(row.specimenId)))?.buildId !== buildId) continue
    found.get(table)!.set(row.id, row)
    const shape = shapeOf(table)
    for (const [column, target] of Object.entries(shape.refs ?? {})) await reach(target, row[column])
    for (const [owned, column] of shape.owns ?? []) for (const one of await store.list(owned, { [column]: row.id })) queue.push([owned, one])
    for (const [target, id] of looseRefs(table, row)) await reach(target, id)
  }
  const offers = found.get('offer')!
  const currencies = new Set(
    [...offers.values(), ...found.get('kit')!.values(), ...found.get('donor')!.values(), ...found.get('supplier')!.values()].map((row) => String(row.currency)),
  )
  for (const rate of await store.list('rate')) if (currencies.has(String(rate.fromCurrency)) || currencies.has(String(rate.toCurrency))) found.get('rate')!.set(rate.id, rate)
  const edited = await store.find('setting', 'tolerances')
  if (edited) found.get('setting')!.set(edited.id, edited)

  const tables: Partial<Record<TableName, Record<string, unknown>[]>> = {}
  for (const table of TABLE_NAMES) {
    const rows = [...found.get(table)!.values()].sort((p, q) => (p.id < q.id ? -1 : 1)).map(plain)
    if (rows.length > 0) tables[table] = rows
  }
  return { format: 'junket-build', version: 1, tables }
}

/** A row without its version, empty columns left out, keys in order. */
function plain(row: Record<string, unknown>): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(row)
      .filter(([key, value]) => key !== 'version' && value !== null && value !== undefined)
      .sort(([p], [q]) => (p < q ? -1 : 1)),
  )
}

/**
 * Reads a document in one transaction: absent rows are added; if any id exists with other content nothing is read.
 * @throws UnprocessableError when it is no such document · ConflictError naming each row that differs
 */
export async function importBuild(store: Store, document: unknown): Promise<{ builds: string[]; added: number }> {
  const { tables } = readDocument(document)
  return store.transaction(async (tx) => {
    const differing: { path: string; message: string }[] = []
    const absent: [TableName, Record<string, unknown>[]][] = []
    for (const table of TABLE_NAMES) {
      const rows = tables[table] ?? []
      const held = new Map(
        (
          await tx.listIn(
            table,
            'id',
            rows.map((row) => String(row.id)),
          )
        ).map((row) => [row.id, row]),
      )
      absent.push([table, rows.filter((row) => !held.has(String(row.id)))])
      for (const row of rows) {
        const other = held.get(String(row.id))
        if (other && JSON.stringify(plain(other)) !== JSON.stringify(plain(row)))
          differing.push({ path: `${table}/${row.id}`, message: `${table} ${row.name ?? row.id} is here with other content` })
      }
    }
    if (differing.length > 0)
      throw new ConflictError('Some of it is here already with other content: nothing was read. Read it into an empty copy, or make both alike first.', { errors: differing })
    await insertAll(tx, absent)
    for (const part of new Set((tables.port ?? []).map((port) => String(port.partId)))) await rebuildPortValues(tx, part)
    return { builds: (tables.build ?? []).map((row) => String(row.id)), added: absent.reduce((sum, [, rows]) => sum + rows.length, 0) }
  })
}

async function insertAll(store: Store, absent: readonly [TableName, Record<string, unknown>[]][]): Promise<void> {
  try {
    for (const [table, rows] of absent) {
      const columns = [...new Set(rows.flatMap((row) => Object.keys(row)))]
      const even = table === 'part' ? ownersFirst(rows) : rows
      await store.insertMany(
        table,
        even.map((row) => Object.fromEntries(columns.map((column) => [column, row[column] ?? null]))),
      )
    }
  } catch (error) {
    const { code = '', message } = error as { code?: string; message: string }
    if (code.startsWith('SQLITE_')) throw new UnprocessableError(`The document does not hold together: ${message.split(' - ').at(-1)}. Export it again from where it came.`)
    throw error
  }
}

/** Parts after the part they came with. */
function ownersFirst(rows: readonly Record<string, unknown>[]): Record<string, unknown>[] {
  const byId = new Map(rows.map((row) => [row.id, row]))
  const depth = (row: Record<string, unknown>, seen = 0): number => (row.ownerId && byId.has(row.ownerId) && seen < 10 ? 1 + depth(byId.get(row.ownerId)!, seen + 1) : 0)
  return [...rows].sort((p, q) => depth(p) - depth(q))
}

function readDocument(document: unknown): { tables: Partial<Record<TableName, Record<string, unknown>[]>> } {
  const { format, version, tables } = (document ?? {}) as Partial<BuildDocument>
  if (format !== 'junket-build' || typeof tables !== 'object' || tables === null)
    throw new UnprocessableError('This is not a Junket build document: it should start with "format": "junket-build".')
  if (version !== 1) throw new UnprocessableError(`This document is of version ${version}; this Junket reads version 1.`)
  for (const [name, rows] of Object.entries(tables)) {
    if (!(TABLE_NAMES as readonly string[]).includes(name)) throw new UnprocessableError(`The document holds a table "${name}" that is not known here.`)
    if (!Array.isArray(rows) || rows.some((row) => typeof row !== 'object' || row === null || typeof (row as { id?: unknown }).id !== 'string'))
      throw new UnprocessableError(`Table "${name}" should be a list of rows, each with an id.`)
  }
  return { tables: tables as Partial<Record<TableName, Record<string, unknown>[]>> }
}
