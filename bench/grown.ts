import Sqlite from 'better-sqlite3'

/** Kinds that stay as many as they are: a shop has thousands of discs to every engine it fits. */
const STAYS = new Set(['engine', 'transmission', 'transfer-case', 'vehicle'])
const pack = (data: unknown): string => JSON.stringify({ v: 1, data })

type Rows = Record<string, unknown>

/** A database that is grown: its rows by id, rows that are added by statements prepared once; ended, that it was grown stands in its history. */
function growing(file: string) {
  const data = new Sqlite(file)
  const prepared = new Map<string, Sqlite.Statement>()
  const add = (table: string, row: Rows): void => {
    const names = Object.keys(row)
    const key = `${table} ${names.join()}`
    let statement = prepared.get(key)
    if (!statement)
      prepared.set(
        key,
        (statement = data.prepare(
          `INSERT INTO ${table} (${names.join(', ')}) VALUES (${names.map(() => '?').join(', ')})`,
        )),
      )
    statement.run(...Object.values(row))
  }
  data.exec('BEGIN')
  return {
    rows: (table: string): Rows[] =>
      data.prepare(`SELECT * FROM ${table} ORDER BY id`).all() as Rows[],
    add,
    end: (): void => {
      add('history', {
        at: '2026-01-01',
        who: 'bench',
        entity: 'setting',
        entity_id: 'grown',
        act: 'insert',
        before: null,
        after: pack({}),
      })
      data.exec('COMMIT')
      data.close()
    },
  }
}

/**
 * Grows a demo database in place to so many parts and offers: each loose part again and again, its measurements a little
 * off, with numbers and offers of its own. The same every time.
 */
export function grow(file: string, parts: number, offers: number): void {
  const { rows, add, end } = growing(file)
  const models = rows('part').filter((row) => !STAYS.has(String(row.kind)))
  const portsOf = groupBy(rows('port'), 'part_id')
  const claimsOf = groupBy(rows('claim'), 'port_id')
  const suppliers = rows('supplier')
  const [issuer] = rows('issuer')
  const held = rows('part').length
  const made: string[] = []
  for (let i = 0; made.length + held < parts; i++) {
    const model = models[i % models.length]!
    const id = `grown-${i}`
    made.push(id)
    add('part', { ...model, id, owner_id: null, name: `${model.name} ${i}`, version: 1 })
    for (const port of portsOf.get(String(model.id)) ?? []) {
      const portId = `${id}/${port.kind}/${String(port.id).split('/').slice(2).join('/')}`
      add('port', { ...port, id: portId, part_id: id })
      for (const claim of claimsOf.get(String(port.id)) ?? []) add('claim', again(claim, portId, i))
    }
  }
  if (issuer && suppliers.length > 0)
    for (let i = 0, count = rows('offer').length; count < offers && made.length > 0; i++, count++)
      add('offer', {
        id: `grown-offer-${i}`,
        version: 1,
        part_id: made[i % made.length],
        supplier_id: suppliers[i % suppliers.length]!.id,
        issuer_id: issuer.id,
        number: `G ${i}`,
        normalised: `G${i}`,
        price_minor: 1000 + ((i * 7919) % 90_000),
        currency: 'EUR',
        tax_included: 1,
        pack: 1,
        condition: 'new',
      })
  end()
}

/** Grows a demo database in place to so many engines: each model again and again with what came with it, a little off. */
export function growEngines(file: string, engines: number): void {
  const { rows, add, end } = growing(file)
  const parts = rows('part')
  const models = parts.filter(({ kind }) => kind === 'engine')
  const portsOf = groupBy(rows('port'), 'part_id')
  const claimsOf = groupBy(rows('claim'), 'port_id')
  for (let i = 0; models.length + i < engines; i++) {
    const model = models[i % models.length]!
    const named = (id: unknown): string => `grown-${i}-${id}`
    for (const part of [model, ...parts.filter((one) => one.owner_id === model.id)]) {
      add('part', {
        ...part,
        id: named(part.id),
        owner_id: part === model ? null : named(model.id),
        name: `${part.name} ${i}`,
        version: 1,
      })
      for (const port of portsOf.get(String(part.id)) ?? []) {
        add('port', { ...port, id: named(port.id), part_id: named(part.id) })
        for (const claim of claimsOf.get(String(port.id)) ?? [])
          add('claim', again(claim, named(port.id), i))
      }
    }
  }
  end()
}

/** A claim again on another port, its figure a little off. */
const again = (claim: Rows, portId: string, i: number): Rows => ({
  ...claim,
  id: `${claim.id}-${i}`,
  port_id: portId,
  specimen_id: null,
  value: nudged(String(claim.value), i),
})

/** A number a little off, so that few parts are equal; everything else as it is. */
function nudged(text: string, i: number): string {
  const { data } = JSON.parse(text) as { data: unknown }
  return typeof data === 'number' && !Number.isInteger(data)
    ? pack(Number((data * (1 + ((i % 61) - 30) / 2000)).toFixed(3)))
    : text
}

function groupBy(
  rows: readonly Record<string, unknown>[],
  column: string,
): Map<string, Record<string, unknown>[]> {
  const groups = new Map<string, Record<string, unknown>[]>()
  for (const row of rows)
    groups.set(String(row[column]), [...(groups.get(String(row[column])) ?? []), row])
  return groups
}
