import type { Knex } from 'knex'
import { DEFAULT_RULE, type NumberRule, readNumber } from '../../../core/identity/number-rule.ts'
import { pack, unpack } from '../row.ts'
import { oldSupersession } from './old-supersession.ts'

const GRADE = `TEXT NOT NULL DEFAULT 'catalogue' CHECK (grade IN ('assumed', 'heard', 'catalogue', 'maker', 'measured', 'fitted'))`
const HEAD = 'id TEXT NOT NULL PRIMARY KEY, version INTEGER NOT NULL DEFAULT 1'
const SAID = `scope TEXT, grade ${GRADE}, source TEXT, said_by TEXT, day TEXT, photo_id TEXT REFERENCES photo(id), struck_by TEXT, struck_why TEXT, struck_day TEXT`
const WRITTEN = `issuer_id TEXT NOT NULL REFERENCES issuer(id), number TEXT NOT NULL, normalised TEXT NOT NULL`

/**
 * What is said of numbers is claimed, each with who says so: numbers with their marks, supersessions of several numbers,
 * interchange, applications and generations. A supersession hung on a part and was one to one.
 */
export async function up(knex: Knex): Promise<void> {
  for (const column of [
    `mark TEXT NOT NULL DEFAULT 'catalogue' CHECK (mark IN ('catalogue', 'stamped', 'cast'))`,
    'again INTEGER NOT NULL DEFAULT 0',
    ...SAID.split(/, (?=\w+ TEXT)/),
  ])
    await knex.raw(`ALTER TABLE part_number ADD COLUMN ${column}`)
  await knex.raw('DROP INDEX part_number_once')
  await knex.raw(
    `CREATE UNIQUE INDEX part_number_once ON part_number(issuer_id, normalised) WHERE mark = 'catalogue' AND again = 0 AND struck_day IS NULL`,
  )
  await knex.raw('CREATE INDEX part_number_key ON part_number(issuer_id, normalised)')
  for (const column of ['family', 'generation', 'built', 'serial'])
    await knex.raw(`ALTER TABLE part ADD COLUMN ${column} TEXT`)
  await knex.raw(
    `CREATE TABLE supersession_next (${HEAD}, back TEXT NOT NULL DEFAULT 'unsaid' CHECK (back IN ('yes', 'no', 'unsaid')), since TEXT, until TEXT, ${SAID})`,
  )
  await knex.raw(
    `CREATE TABLE supersession_number (${HEAD}, supersession_id TEXT NOT NULL REFERENCES supersession(id), side TEXT NOT NULL CHECK (side IN ('old', 'new')), ${WRITTEN}, quantity INTEGER NOT NULL DEFAULT 1 CHECK (quantity > 0))`,
  )
  await moveSupersessions(knex)
  await moreToDecide(knex)
  await knex.raw(
    `CREATE TABLE interchange (${HEAD}, serves TEXT NOT NULL DEFAULT 'yes' CHECK (serves IN ('yes', 'no')), ${SAID})`,
  )
  await knex.raw(
    `CREATE TABLE interchange_number (${HEAD}, interchange_id TEXT NOT NULL REFERENCES interchange(id), ${WRITTEN}, way TEXT NOT NULL DEFAULT 'both' CHECK (way IN ('both', 'serves', 'served')), scope TEXT)`,
  )
  await knex.raw(
    `CREATE TABLE application (${HEAD}, ${WRITTEN}, fits TEXT NOT NULL DEFAULT 'yes' CHECK (fits IN ('yes', 'no')), ${SAID})`,
  )
  await knex.raw(
    `CREATE TABLE generation (${HEAD}, target TEXT NOT NULL CHECK (target IN ('vehicle', 'engine', 'transmission')), family TEXT NOT NULL, generation TEXT NOT NULL, "from" TEXT, "to" TEXT, conditions TEXT, grade ${GRADE}, source TEXT, UNIQUE (target, family, generation))`,
  )
  for (const [table, column] of [
    ['supersession_number', 'supersession_id'],
    ['supersession_number', 'issuer_id, normalised'],
    ['interchange_number', 'interchange_id'],
    ['interchange_number', 'issuer_id, normalised'],
    ['application', 'issuer_id, normalised'],
    ['part_number', 'photo_id'],
    ['supersession', 'photo_id'],
    ['interchange', 'photo_id'],
    ['application', 'photo_id'],
  ] as const)
    await knex.raw(
      `CREATE INDEX ${table}_${column.replace(/_id|, |normalised/g, '')}_by ON ${table}(${column})`,
    )
}

/** A line may be given a number by hand, and a source of it may be ticked by name. */
async function moreToDecide(knex: Knex): Promise<void> {
  await knex.raw(
    `CREATE TABLE decision_next (${HEAD}, build_id TEXT NOT NULL REFERENCES build(id), need_id TEXT NOT NULL, act TEXT NOT NULL CHECK (act IN ('drop', 'price', 'estimate', 'keep', 'confirm', 'postpone', 'order', 'receive', 'fit', 'return', 'assign', 'number', 'tick')), price_minor INTEGER CHECK (price_minor IS NULL OR typeof(price_minor) = 'integer'), source TEXT, note TEXT, rests TEXT, issuer_id TEXT REFERENCES issuer(id), number TEXT, candidate TEXT, UNIQUE (build_id, need_id, act))`,
  )
  const columns = 'id, version, build_id, need_id, act, price_minor, source, note, rests'
  await knex.raw(`INSERT INTO decision_next (${columns}) SELECT ${columns} FROM decision`)
  await knex.raw('DROP TABLE decision')
  await knex.raw('ALTER TABLE decision_next RENAME TO decision')
  await knex.raw('CREATE INDEX decision_by_issuer_id ON decision(issuer_id)')
}

async function moveSupersessions(knex: Knex): Promise<void> {
  const rules = new Map<string, NumberRule>(
    (
      (await knex('issuer').select('id', 'upper', 'noise', 'rule')) as {
        id: string
        upper: number
        noise: string
        rule: string | null
      }[]
    ).map(({ id, upper, noise, rule }) => [
      id,
      {
        ...DEFAULT_RULE,
        ...(rule === null ? {} : (unpack(rule) as Partial<NumberRule>)),
        upper: Boolean(upper),
        noise,
      },
    ]),
  )
  const keyOf = (issuer: string, number: string): string =>
    readNumber(number, rules.get(issuer) ?? DEFAULT_RULE).key
  const rows: Record<string, unknown>[] = await knex('supersession').orderBy('id')
  const names = new Map<unknown, string>()
  for (const row of rows)
    if (!names.has(row.partId))
      names.set(row.partId, String((await knex('part').where({ id: row.partId }).first())?.name))
  const moved = rows.map((row) => oldSupersession(row, keyOf, `Typed at ${names.get(row.partId)}`))
  await knex.raw('DROP TABLE supersession')
  for (const { supersession } of moved) await knex('supersession_next').insert(supersession)
  await knex.raw('ALTER TABLE supersession_next RENAME TO supersession')
  for (const { numbers } of moved)
    for (const one of numbers) await knex('supersession_number').insert(one)
  for (const { id, rows: packed } of (await knex('trash').select('id', 'rows')) as {
    id: string
    rows: string
  }[]) {
    const held = unpack(packed) as [string, Record<string, unknown>][]
    if (!held.some(([table]) => table === 'supersession')) continue
    const next = held.flatMap(([table, row]): [string, Record<string, unknown>][] => {
      if (table !== 'supersession') return [[table, row]]
      const { supersession, numbers } = oldSupersession(row, keyOf, null)
      return [
        [table, { ...supersession, version: row.version }],
        ...numbers.map((one): [string, Record<string, unknown>] => [
          'supersessionNumber',
          { ...one, version: 1 },
        ]),
      ]
    })
    await knex('trash')
      .where({ id })
      .update({ rows: pack(next) })
  }
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
