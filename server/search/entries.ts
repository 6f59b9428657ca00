import type { Knex } from 'knex'
import type { FOUND_KINDS } from '../../contract/answers/catalogue.ts'
import { runMany } from '../database/sqlite/run-many.ts'

export type EntryKind = (typeof FOUND_KINDS)[number]

/** Ids of each kind lie in one range, those of which there are few first: a kind is found without reading those behind it. */
const RANGES: readonly EntryKind[] = [
  'build',
  'kit',
  'donor',
  'supplier',
  'vehicle',
  'engine',
  'transmission',
  'part',
]
const SPAN = 2 ** 40
export const rangeOf = (kind: EntryKind): readonly [from: number, below: number] => {
  const at = RANGES.indexOf(kind)
  return [at * SPAN, (at + 1) * SPAN]
}

const APART: ReadonlySet<string> = new Set(['vehicle', 'engine', 'transmission'])

/** Tables that are found by words. */
export const WORD_TABLES = ['build', 'part', 'kit', 'donor', 'supplier'] as const
export type WordTable = (typeof WORD_TABLES)[number]
/** Tables whose rows bear numbers. */
export const NUMBER_TABLES = [
  'partNumber',
  'supersessionNumber',
  'interchangeNumber',
  'application',
  'offer',
] as const

export interface Entry {
  readonly kind: EntryKind
  readonly rowId: string
  readonly words: string
}

const COLUMNS: Readonly<Record<WordTable, readonly string[]>> = {
  build: ['name', 'why'],
  part: ['name', 'kind', 'family', 'generation', 'note'],
  kit: ['name', 'note', 'omits'],
  donor: ['name', 'place', 'note'],
  supplier: ['name', 'place'],
}

/** What of a row is found by. */
export function entryOf(table: WordTable, row: Readonly<Record<string, unknown>>): Entry {
  const words = COLUMNS[table].map((column) => row[column]).filter(Boolean)
  return {
    kind:
      table === 'part' ? (APART.has(String(row.kind)) ? (row.kind as EntryKind) : 'part') : table,
    rowId: String(row.id),
    words: words.join(' '),
  }
}

/** Words as the index tells them apart: letters and digits, without accents, lower case (unicode61 of SQLite). */
export const termsOf = (text: string): string[] =>
  text
    .normalize('NFKD')
    .replace(/\p{M}+/gu, '')
    .toLowerCase()
    .match(/[\p{L}\p{N}]+/gu) ?? []

/** Puts rows of one table into the index of words, in place of what was there of them. */
export async function putWords(
  knex: Knex,
  table: WordTable,
  rows: readonly Readonly<Record<string, unknown>>[],
): Promise<void> {
  const entries = rows.map((row) => entryOf(table, row))
  await dropWords(
    knex,
    entries.map(({ rowId }) => rowId),
  )
  const next = new Map<EntryKind, number>()
  for (const { kind } of entries) if (!next.has(kind)) next.set(kind, await freeId(knex, kind))
  const terms = new Set<string>()
  const placed = entries.map((entry) => {
    const id = next.get(entry.kind)!
    next.set(entry.kind, id + 1)
    for (const term of termsOf(entry.words)) terms.add(term)
    return { id, ...entry }
  })
  await runMany(
    knex,
    'INSERT INTO search_entry (id, kind, row_id) VALUES (?, ?, ?)',
    placed.map(({ id, kind, rowId }) => [id, kind, rowId]),
  )
  await runMany(
    knex,
    'INSERT INTO search_word (rowid, words) VALUES (?, ?)',
    placed.map(({ id, words }) => [id, words]),
  )
  await runMany(
    knex,
    'INSERT OR IGNORE INTO search_term (term) VALUES (?)',
    [...terms].map((term) => [term]),
  )
}

async function freeId(knex: Knex, kind: EntryKind): Promise<number> {
  const [from, below] = rangeOf(kind)
  const [{ last }] = (await knex.raw(
    'SELECT max(id) AS last FROM search_entry WHERE id >= ? AND id < ?',
    [from, below],
  )) as [{ last: number | null }]
  return (last ?? from) + 1
}

const AT_ONCE = 200

/** Takes rows out of the index of words. */
export async function dropWords(knex: Knex, rowIds: readonly string[]): Promise<void> {
  for (let i = 0; i < rowIds.length; i += AT_ONCE) {
    const ids = rowIds.slice(i, i + AT_ONCE)
    const gone = (
      (await knex('search_entry').whereIn('row_id', ids).select('id')) as { id: number }[]
    ).map(({ id }) => id)
    if (gone.length === 0) continue
    await knex('search_word').whereIn('rowid', gone).delete()
    await knex('search_entry').whereIn('id', gone).delete()
  }
}

/** Puts numbers into the index of numbers; those there stay. */
export async function putNumbers(
  knex: Knex,
  numbers: readonly { readonly issuerId: string; readonly key: string }[],
): Promise<void> {
  const [{ last }] = (await knex.raw('SELECT max(id) AS last FROM search_number')) as [
    { last: number | null },
  ]
  await runMany(
    knex,
    'INSERT OR IGNORE INTO search_number (issuer_id, key) VALUES (?, ?)',
    numbers.map(({ issuerId, key }) => [issuerId, key]),
  )
  await knex.raw(
    'INSERT INTO search_gram (rowid, key) SELECT id, key FROM search_number WHERE id > ?',
    [last ?? 0],
  )
}
