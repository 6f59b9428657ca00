import { setImmediate } from 'node:timers/promises'
import type { Knex } from 'knex'
import { ConflictError, MissingError, UnprocessableError } from '../errors.ts'
import { actorNow } from './actor.ts'
import { announce, buildChangesTold, changesTold, packIds } from './changes.ts'
import { meet, mirrored } from './mirror.ts'
import { newId } from './new-id.ts'
import { pack, type Row, type RowOf, toRow, unpack } from './row.ts'
import { type AsideRow, asideOf, faultsOf, type RowFault, soundRow } from './set-aside.ts'
import { fileOf } from './sqlite/connection.ts'
import type { Landed } from './sqlite/stage.ts'
import { partOf, shapeOf, type TableName } from './tables.ts'

export { type Row, type RowOf, unpack }

/** Grows whenever the whole file is replaced: what was remembered of the old one must not answer for the new. */
const epochs = new WeakMap<object, number>()

/** More than the history of one file ever holds. */
const EPOCH = 1e12

/** A row as the code reads it, and what of it cannot even be unpacked: that stays as its text. */
function fromRow(
  table: TableName,
  row: Record<string, unknown>,
): { row: Row; unreadable: RowFault[] } {
  const { json = [], flags = [] } = shapeOf(table)
  const out: Record<string, unknown> = { ...row }
  const unreadable: RowFault[] = []
  for (const key of json)
    try {
      out[key] = unpack(row[key])
    } catch (error) {
      unreadable.push({
        field: key,
        message: /version/.test((error as Error).message)
          ? (error as Error).message
          : 'What is stored is not JSON.',
      })
    }
  for (const key of flags)
    out[key] =
      row[key] === null ? null : row[key] === 0 || row[key] === 1 ? row[key] === 1 : row[key]
  return { row: out as Row, unreadable }
}

/**
 * Reads and writes rows inside one transaction or outside any. Every write carries a version, and appends to the
 * history who changed what from what to what.
 */
export class Store {
  readonly knex: Knex
  readonly who: string
  /** The database itself, the same inside and outside transactions. */
  readonly root: Knex
  /** Rows written in this transaction, by table. */
  readonly #touched = new Map<TableName, Set<string>>()
  /** Parts they tell of. */
  readonly #parts = new Set<string>()
  /** The newest entry of the history that this transaction wrote. */
  #newest = 0
  constructor(knex: Knex, who = 'bench', root: Knex = knex) {
    this.knex = knex
    this.who = who
    this.root = root
  }

  /** What was computed inside a transaction may never have been: nothing is remembered from there. */
  get inTransaction(): boolean {
    return this.knex !== this.root
  }

  /** Runs work in one transaction: all of it lands, or none. */
  async transaction<T>(work: (store: Store) => Promise<T>): Promise<T> {
    let inner: Store | null = null
    const result = await this.knex.transaction((trx) => {
      inner = new Store(trx, this.who, this.root)
      return work(inner)
    })
    const done = inner as Store | null
    if (done && done.#touched.size > 0)
      this.#wrote({ touched: done.#touched, parts: done.#parts, newest: done.#newest })
    return result
  }

  /** Tells of what another connection wrote into the same file. */
  landed({ newest, ...landed }: Landed): void {
    this.#tell(newest, landed)
  }

  /** Runs work while this process writes and reads nothing: whoever wants to waits its turn, and nothing else is held up. */
  async parked<T>(work: () => Promise<T>): Promise<T> {
    const connection: unknown = await this.root.client.acquireConnection()
    try {
      return await work()
    } finally {
      await this.root.client.releaseConnection(connection)
    }
  }

  /** The file under the database; null where it is kept in memory. */
  get file(): string | null {
    return fileOf(this.root)
  }

  /** Grows when the file under the database is replaced. */
  get epoch(): number {
    return epochs.get(this.root) ?? 0
  }

  /** Forgets what was computed from the data: the file under it was replaced. */
  replaced(): void {
    epochs.set(this.root, this.epoch + 1)
    asideOf(this.root).clear()
  }

  async list<T extends TableName>(
    table: T,
    where: Record<string, unknown> = {},
  ): Promise<RowOf<T>[]> {
    if (this.#isReadStraight(table)) return this.read(table, where)
    const conditions = Object.entries(where).filter(([, value]) => value !== undefined)
    const { list } = await mirrored(this, table)
    return (
      conditions.length === 0
        ? list
        : list.filter((row) =>
            conditions.every(([column, value]) => row[column as keyof typeof row] === value),
          )
    ).slice()
  }

  /** Large tables, and inside a transaction all: what it wrote itself is not kept in memory yet. */
  #isReadStraight(table: TableName): boolean {
    return this.inTransaction || shapeOf(table).isLarge === true
  }

  /** Rows straight from the database, by id. */
  async read<T extends TableName>(
    table: T,
    where: Record<string, unknown> = {},
  ): Promise<RowOf<T>[]> {
    await this.#meetOwners(table)
    const rows = await this.knex(table).where(toRow(table, where)).orderBy('id')
    return this.sound(table, rows)
  }

  async listIn<T extends TableName>(
    table: T,
    column: string,
    values: readonly string[],
  ): Promise<RowOf<T>[]> {
    if (this.#isReadStraight(table)) return this.readIn(table, column, [...new Set(values)])
    const wanted = new Set(values)
    if (wanted.size === 0) return []
    const { list, rows } = await mirrored(this, table)
    if (column === 'id') return [...wanted].flatMap((id) => rows.get(id) ?? [])
    return list.filter((row) => wanted.has(row[column as keyof typeof row] as string))
  }

  async readIn<T extends TableName>(
    table: T,
    column: string,
    values: readonly string[],
    where: Record<string, unknown> = {},
  ): Promise<RowOf<T>[]> {
    await this.#meetOwners(table)
    const found: RowOf<T>[] = []
    for (let i = 0; i < values.length; i += 500) {
      // Many rows are checked in many turns, so that others are answered between.
      if (i > 0) await setImmediate()
      const rows = await this.knex(table)
        .where(toRow(table, where))
        .whereIn(column, values.slice(i, i + 500))
        .orderBy('id')
      found.push(...this.sound(table, rows))
    }
    return found
  }

  /** Reads a page of a table by id, for what cannot be read in it. @returns the last id; null at the end */
  async readPage(table: TableName, after: string, limit: number): Promise<string | null> {
    await this.#meetOwners(table)
    const rows = (await this.knex(table).where('id', '>', after).orderBy('id').limit(limit)) as {
      id: string
    }[]
    this.sound(table, rows)
    return rows.length < limit ? null : rows.at(-1)!.id
  }

  /** Rows of a table that another refers to. */
  async readReferred(table: TableName, column: string, target: TableName): Promise<Row[]> {
    const rows = await this.knex(target)
      .whereIn('id', this.knex(table).distinct(column))
      .orderBy('id')
    return this.sound(target, rows)
  }

  async find<T extends TableName>(table: T, id: string): Promise<RowOf<T> | null> {
    if (!this.#isReadStraight(table)) return (await mirrored(this, table)).rows.get(id) ?? null
    await this.#meetOwners(table)
    const row = await this.knex(table).where({ id }).first()
    return row ? (this.sound(table, [row])[0] ?? null) : null
  }

  /** What a row refers to is read first: whether it can be read counts. */
  async #meetOwners(table: TableName): Promise<void> {
    if (!this.inTransaction) await meet(this, table)
  }

  /** What is wrong with a row, or with what it belongs to; null where it can be read, or is not there. */
  async aside(table: TableName, id: string): Promise<AsideRow | null> {
    const found = await this.knex(table).where({ id }).first()
    if (!found) return null
    const { row, unreadable } = fromRow(table, found)
    for (const [column, target] of Object.entries(shapeOf(table).refs ?? {}))
      if (typeof row[column] === 'string' && `${target}:${row[column]}` !== `${table}:${id}`)
        await this.aside(target, row[column])
    soundRow(this.root, table, row, unreadable, !this.inTransaction)
    return asideOf(this.root).get(`${table}:${id}`) ?? null
  }

  /** Of rows as the database holds them those that can be read, as they are read; the others are set aside. */
  sound<T extends TableName>(table: T, rows: readonly Record<string, unknown>[]): RowOf<T>[] {
    return rows.flatMap((one) => {
      const { row, unreadable } = fromRow(table, one)
      return soundRow(this.root, table, row, unreadable, !this.inTransaction) ?? []
    })
  }

  async isThere(table: TableName, id: string): Promise<boolean> {
    return (await this.knex(table).where({ id }).first('id')) !== undefined
  }

  /** Nothing is written that could not be read again. @throws UnprocessableError: the transaction is undone */
  async #hold(table: TableName, id: string): Promise<void> {
    const { row, unreadable } = fromRow(
      table,
      (await this.knex(table).where({ id }).first()) as Record<string, unknown>,
    )
    const faults = unreadable.length > 0 ? unreadable : faultsOf(table, row)
    if (faults.length > 0)
      throw new UnprocessableError(
        `${faults[0]!.field}: ${faults[0]!.message}`,
        faults.map(({ field, message }) => ({ path: field, message })),
      )
  }

  /** A row as it stands, readable or not. @throws MissingError */
  async raw(table: TableName, id: string): Promise<Row> {
    const row = await this.knex(table).where({ id }).first()
    if (!row)
      throw new MissingError(
        `There is no ${words(table)} with id ${id}. It may have been moved to the trash.`,
      )
    return fromRow(table, row).row
  }

  /** @throws MissingError */
  async get<T extends TableName>(table: T, id: string): Promise<RowOf<T>> {
    const row = await this.find(table, id)
    const aside = row ? null : await this.aside(table, id)
    if (aside)
      throw new ConflictError(
        `${aside.name} cannot be read (${aside.faults[0]?.field}: ${aside.faults[0]?.message}) and is set aside. Mend it in People and safekeeping.`,
      )
    if (!row)
      throw new MissingError(
        `There is no ${words(table)} with id ${id}. It may have been moved to the trash.`,
      )
    return row
  }

  async insert<T extends TableName>(table: T, values: Record<string, unknown>): Promise<RowOf<T>> {
    const row = { id: newId(), ...values }
    await this.#keepTree(table, String(row.id), row)
    await this.knex(table).insert(toRow(table, row))
    await this.#hold(table, String(row.id))
    await this.#log(table, row, 'insert', null, row)
    return this.get(table, String(row.id))
  }

  /** Inserts many rows of one shape in batches, each with its history entry. Rows carry their ids. */
  async insertMany(table: TableName, rows: readonly Record<string, unknown>[]): Promise<void> {
    const at = new Date().toISOString()
    const size = Math.max(1, Math.floor(900 / Math.max(1, Object.keys(rows[0] ?? {}).length)))
    for (let i = 0; i < rows.length; i += size) {
      const batch = rows.slice(i, i + size)
      await this.knex(table).insert(batch.map((row) => toRow(table, row)))
      let newest = 0
      for (let j = 0; j < batch.length; j += 100)
        [newest = 0] = await this.knex('history').insert(
          batch.slice(j, j + 100).map((row) => ({
            at,
            ...this.#actor(),
            entity: table,
            entityId: String(row.id),
            act: 'insert',
            before: null,
            after: pack(row),
          })),
        )
      this.#wrote({
        touched: new Map([[table, batch.map((row) => String(row.id))]]),
        parts: batch.flatMap((row) => partOf(table, row) ?? []),
        newest,
      })
    }
  }

  /** @throws ConflictError when the version is not the one stored: both values are told. */
  async update<T extends TableName>(
    table: T,
    id: string,
    version: number,
    patch: Record<string, unknown>,
  ): Promise<RowOf<T>> {
    return this.#change(table, await this.get(table, id), version, patch)
  }

  /** The same for a row that is set aside. @throws ConflictError · MissingError */
  async mend(
    table: TableName,
    id: string,
    version: number,
    patch: Record<string, unknown>,
  ): Promise<Row> {
    return this.#change(table, await this.raw(table, id), version, patch)
  }

  async #change<T extends TableName>(
    table: T,
    before: Row,
    version: number,
    patch: Record<string, unknown>,
  ): Promise<RowOf<T>> {
    const { id } = before
    if (before.version !== version)
      throw new ConflictError(
        `This ${words(table)} was changed meanwhile (version ${before.version}, yours was ${version}). Look at both and save again.`,
        {
          theirs: before,
          yours: patch,
        },
      )
    const changed = Object.fromEntries(
      Object.entries(patch).filter(
        ([key, value]) => value !== undefined && key !== 'id' && key !== 'version',
      ),
    )
    await this.#keepTree(table, id, changed)
    const landed = await this.knex(table)
      .where({ id, version })
      .update({ ...toRow(table, changed), version: version + 1 })
    if (landed !== 1)
      throw new ConflictError(
        `This ${words(table)} was changed meanwhile. Look at it again and save again.`,
      )
    await this.#hold(table, id)
    await this.#log(
      table,
      before,
      'update',
      Object.fromEntries(Object.keys(changed).map((key) => [key, before[key]])),
      changed,
    )
    return this.get(table, id)
  }

  /** Moves a row and what it owns to the trash; the trash id undoes it. */
  async remove(table: TableName, id: string, version?: number): Promise<string> {
    const row = (await this.find(table, id)) ?? (await this.raw(table, id))
    if (version !== undefined && row.version !== version)
      throw new ConflictError(
        `This ${words(table)} was changed meanwhile. Look at it again before removing it.`,
        { theirs: row },
      )
    const rows = await this.#gather(table, row)
    const trash = newId()
    await this.knex('trash').insert({
      id: trash,
      entity: table,
      entityId: id,
      at: new Date().toISOString(),
      rows: pack(rows),
    })
    for (const [owned, one] of [...rows].reverse()) await this.unmake(owned, one)
    return trash
  }

  /** Puts back what one remove took. @throws MissingError */
  async restore(trash: string): Promise<{ entity: TableName; id: string }> {
    const found = await this.knex('trash').where({ id: trash }).first()
    if (!found)
      throw new MissingError('That is not in the trash any more: it was put back already.')
    for (const [table, row] of unpack(found.rows) as [TableName, Row][])
      await this.reinsert(table, row)
    await this.knex('trash').where({ id: trash }).delete()
    return { entity: found.entity, id: found.entityId }
  }

  /** Puts a removed row back as it was. */
  async reinsert(table: TableName, row: Row): Promise<void> {
    await this.#keepTree(table, row.id, row)
    await this.knex(table).insert(toRow(table, { ...row, version: row.version + 1 }))
    await this.#log(table, row, 'restore', null, row)
  }

  /** Deletes one row without gathering what it owns, and without the trash: the history holds it. */
  async unmake(table: TableName, row: Row): Promise<void> {
    await this.knex(table).where({ id: row.id }).delete()
    await this.#log(table, row, 'remove', row, null)
  }

  /** Grows with every write: a cheap key for what was computed from the data. */
  async revision(): Promise<number> {
    const row = await this.knex('history').max('id as id').first()
    return this.epoch * EPOCH + Number(row?.id ?? 0)
  }

  /** A row and all it owns, each once: data that goes round in a circle ends too. */
  async #gather(table: TableName, row: Row, seen = new Set<string>()): Promise<[TableName, Row][]> {
    if (seen.has(`${table}:${row.id}`)) return []
    seen.add(`${table}:${row.id}`)
    const rows: [TableName, Row][] = [[table, row]]
    for (const [owned, column] of shapeOf(table).owns ?? [])
      for (const one of await this.#rawOf(owned, column, row.id))
        rows.push(...(await this.#gather(owned, one, seen)))
    return rows
  }

  /** Rows of an owner as they stand, those set aside included. */
  async #rawOf(table: TableName, column: string, owner: string): Promise<Row[]> {
    return (
      (await this.knex(table)
        .where({ [column]: owner })
        .orderBy('id')) as Record<string, unknown>[]
    ).map((row) => fromRow(table, row).row)
  }

  /** What owns rows of its own table must not come to own itself, directly or through others. @throws UnprocessableError */
  async #keepTree(table: TableName, id: string, values: Record<string, unknown>): Promise<void> {
    const column = shapeOf(table).owns?.find(([owned]) => owned === table)?.[1]
    if (!column || typeof values[column] !== 'string') return
    const seen = new Set<string>()
    for (let owner: unknown = values[column]; typeof owner === 'string' && !seen.has(owner); ) {
      if (owner === id)
        throw new UnprocessableError(
          `This ${words(table)} would come with itself. Choose another one that it came with.`,
          [{ path: column, message: 'It would come with itself.' }],
        )
      seen.add(owner)
      const above: { owner?: unknown } | undefined = await this.knex(table)
        .where({ id: owner })
        .first(this.knex.ref(column).as('owner'))
      owner = above?.owner
    }
  }

  #actor(): { who: string; command: string | null } {
    const actor = actorNow()
    return { who: actor?.who ?? this.who, command: actor?.command ?? null }
  }

  async #log(
    entity: TableName,
    row: Readonly<Record<string, unknown>> & { readonly id: string },
    act: string,
    before: object | null,
    after: object | null,
  ): Promise<void> {
    const [newest = 0] = await this.knex('history').insert({
      at: new Date().toISOString(),
      ...this.#actor(),
      entity,
      entityId: row.id,
      act,
      before: before === null ? null : pack(before),
      after: after === null ? null : pack(after),
    })
    this.#wrote({
      touched: new Map([[entity, [row.id]]]),
      parts: [partOf(entity, row), partOf(entity, { ...row, ...after })].flatMap(
        (part) => part ?? [],
      ),
      newest,
    })
  }

  /** Inside a transaction others hear of it when it lands; a single write lands at once. */
  #wrote({
    touched,
    parts,
    newest,
  }: {
    readonly touched: ReadonlyMap<TableName, Iterable<string>>
    readonly parts: Iterable<string>
    readonly newest: number
  }): void {
    if (!this.inTransaction) {
      const packed = [...touched].map(([table, ids]) => [table, packIds(ids)] as const)
      this.#tell(newest, {
        touched: Object.fromEntries(packed),
        parts: packIds(new Set(parts)),
      })
      return
    }
    this.#newest = Math.max(this.#newest, newest)
    for (const [table, ids] of touched) {
      const held = this.#touched.get(table) ?? new Set()
      this.#touched.set(table, held)
      for (const id of ids) held.add(id)
    }
    for (const one of parts) this.#parts.add(one)
  }

  #tell(newest: number, landed: Omit<Landed, 'newest'>): void {
    const actor = actorNow()
    announce(this.root, {
      revision: this.epoch * EPOCH + newest,
      who: actor?.who ?? this.who,
      command: actor?.command ?? null,
      ...landed,
    })
  }

  /** What anything remembered of this database is kept under: grows in the very moment a change is told. */
  get told(): string {
    return `${this.epoch} ${changesTold(this.root)}`
  }

  /** The same for what builds are computed from: who works here changes nothing of them. */
  get toldOfBuilds(): string {
    return `${this.epoch} ${buildChangesTold(this.root)}`
  }
}

const words = (table: TableName): string =>
  table.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
