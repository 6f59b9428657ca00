import { parseTyped } from '../../../core/ports/parse.ts'
import { QuantityError } from '../../../core/quantity/units.ts'
import { withoutRetired } from '../../database/row.ts'
import { scan } from '../../database/scan.ts'
import { type AsideRow, asideOf, faultsOf } from '../../database/set-aside.ts'
import { type Store, unpack } from '../../database/store.ts'
import { shapeOf, TABLE_NAMES, type TableName } from '../../database/tables.ts'
import { ConflictError, MissingError, UnprocessableError } from '../../errors.ts'
import { fieldWords } from '../catalogue/catalogue.ts'
import { rebuildPortValues } from '../catalogue/one-part.ts'

export interface AsideView extends AsideRow {
  readonly version: number
  /** Each field at fault as it stands, as text. */
  readonly values: Readonly<Record<string, string>>
  /** Whether the history knows the row as it was when it could be read. */
  readonly hasEarlier: boolean
}

/** Every row that cannot be read, over all tables, with what stands in the fields at fault. */
export async function listAside(store: Store): Promise<AsideView[]> {
  await scan(store)
  const views: AsideView[] = []
  for (const one of asideOf(store.root).values()) {
    // What only waits for another is not looked into: there may be thousands, and each page asks.
    if (one.because !== null) {
      views.push({ ...one, version: 0, values: {}, hasEarlier: false })
      continue
    }
    const row = await store.raw(one.table, one.id)
    const fields = [...new Set(one.faults.map(({ field }) => field.split('.')[0]!))]
    const values = Object.fromEntries(fields.map((field) => [field, asText(row[field])]))
    views.push({
      ...one,
      name: await nameOf(store, one, row),
      version: row.version,
      values,
      hasEarlier: (await earlier(store, one.table, row)) !== null,
    })
  }
  return views.sort(
    (p, q) => Number(p.because !== null) - Number(q.because !== null) || (p.name < q.name ? -1 : 1),
  )
}

/** A row without a name of its own is told by what it is of. */
async function nameOf(
  store: Store,
  { table, name }: AsideRow,
  row: Record<string, unknown>,
): Promise<string> {
  if (row.name) return name
  const partOf = async (id: unknown): Promise<string> =>
    typeof id === 'string' ? String((await store.find('part', id))?.name ?? id) : ''
  if (table === 'claim') {
    const [part, kind = ''] = String(row.portId).split('/')
    const words = fieldWords(kind, String(row.field))?.label ?? String(row.field)
    return `${words} of ${await partOf(part)}${row.grade ? `, ${row.grade}` : ''}`
  }
  return (await partOf(row.partId)) || name
}

const asText = (value: unknown): string =>
  (value === null || value === undefined
    ? ''
    : typeof value === 'string'
      ? value
      : JSON.stringify(value)
  ).slice(0, 2000)

async function known(store: Store, table: string, id: string): Promise<AsideRow> {
  const found = (TABLE_NAMES as readonly string[]).includes(table)
    ? await store.aside(table as TableName, id)
    : null
  if (!found)
    throw new MissingError('That row is not set aside: it can be read, or it is not here any more.')
  return found
}

/**
 * Mends a row: each field as typed, read as what the contract wants there.
 * @throws UnprocessableError naming the fields that are still not right: nothing is changed
 */
export async function mendAside(
  store: Store,
  table: string,
  id: string,
  version: number,
  typed: Readonly<Record<string, string>>,
): Promise<void> {
  const aside = await known(store, table, id)
  await change(store, aside, version, (row) => {
    let next: Record<string, unknown> = row
    for (const [field, text] of Object.entries(typed)) {
      if (field === 'id' || field === 'version')
        throw new UnprocessableError('Ids and versions are not mended here.', [
          { path: field, message: 'Not mended here.' },
        ])
      const measured = aside.table === 'claim' && field === 'value' ? asMeasured(next, text) : []
      const faults = [...measured, ...readings(text)].map((value) => ({
        value,
        faults: faultsOf(aside.table, { ...next, [field]: value }).filter(
          (fault) => fault.field.split('.')[0] === field,
        ),
      }))
      const best = faults.find((one) => one.faults.length === 0)
      if (!best)
        throw new UnprocessableError(`${field}: ${faults[0]!.faults[0]!.message}`, [
          { path: field, message: faults[0]!.faults[0]!.message },
        ])
      next = { ...next, [field]: best.value }
    }
    return Object.fromEntries(Object.keys(typed).map((field) => [field, next[field]]))
  })
}

/** A measurement as it is typed anywhere else: 25, 3 3/8 in, M10x1.25, holes a line each. */
function asMeasured({ portId, field }: Record<string, unknown>, text: string): unknown[] {
  const words = fieldWords(String(portId).split('/')[1] ?? '', String(field))
  try {
    return words ? [parseTyped(words, text)] : []
  } catch (error) {
    if (error instanceof QuantityError) return []
    throw error
  }
}

/** What a text may stand for. */
function readings(text: string): unknown[] {
  const trimmed = text.trim()
  const found: unknown[] = trimmed === '' ? [null] : [trimmed]
  if (trimmed !== '' && Number.isFinite(Number(trimmed))) found.push(Number(trimmed))
  if (/^(yes|true)$/i.test(trimmed)) found.push(true)
  if (/^(no|false)$/i.test(trimmed)) found.push(false)
  try {
    found.push(JSON.parse(trimmed))
  } catch {
    // Not JSON: then it is what it reads.
  }
  return found
}

/** Puts a row back as it was when it could last be read. @throws MissingError where the history knows no such time */
export async function putBackAside(
  store: Store,
  table: string,
  id: string,
  version: number,
): Promise<void> {
  const aside = await known(store, table, id)
  await change(store, aside, version, async (row, tx) => {
    const sound = await earlier(tx, aside.table, row)
    if (!sound)
      throw new MissingError(
        'The history does not know it as anything that could be read. Mend it, or move it to the trash.',
      )
    return sound
  })
}

/** Moves a row that cannot be read to the trash with what it owns; it can be put back as it stood. */
export async function removeAside(store: Store, table: string, id: string): Promise<string> {
  const aside = await known(store, table, id)
  return store.transaction((tx) => tx.remove(aside.table, aside.id))
}

async function change(
  store: Store,
  { table, id, because }: AsideRow,
  version: number,
  patchOf: (
    row: Record<string, unknown>,
    tx: Store,
  ) => Record<string, unknown> | Promise<Record<string, unknown>>,
): Promise<void> {
  if (because)
    throw new ConflictError(
      `It is set aside only because ${because.split(':').slice(1).join(':')} is: mend that one.`,
    )
  await store.transaction(async (tx) => {
    const row = await tx.raw(table, id)
    await tx.mend(table, id, version, await patchOf(row, tx))
    if (table === 'port') await rebuildPortValues(tx, String((await tx.get('port', id)).partId))
    if (table === 'claim')
      await rebuildPortValues(tx, String((await tx.get('claim', id)).portId).split('/')[0]!)
  })
}

/** The fields in which a row differs from when it could last be read, as they were; null where it never could. */
async function earlier(
  store: Store,
  table: TableName,
  row: Record<string, unknown>,
): Promise<Record<string, unknown> | null> {
  const entries = (await store
    .knex('history')
    .where({ entity: table, entityId: row.id })
    .orderBy('id', 'desc')
    .limit(200)) as { act: string; before: unknown }[]
  const columns = new Set([...Object.keys(row), ...(shapeOf(table).json ?? [])])
  let then: Record<string, unknown> = { ...row }
  for (const { act, before } of entries) {
    if (act !== 'update') return null
    then = { ...then, ...withoutRetired(table, unpack(before) as Record<string, unknown>) }
    if (faultsOf(table, then).length === 0)
      return Object.fromEntries(
        [...columns]
          .filter((key) => key !== 'id' && key !== 'version' && then[key] !== row[key])
          .map((key) => [key, then[key]]),
      )
  }
  return null
}
