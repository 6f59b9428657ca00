import type { Knex } from 'knex'
import { oneEdit } from '../../core/identity/one-edit.ts'
import { type EntryKind, rangeOf, termsOf } from './entries.ts'

/** Words as they are looked for: each as the beginning of one that is known. */
export interface AskedWords {
  readonly terms: readonly string[]
  /** The same as the index is asked; blank where nothing is. */
  readonly match: string
  /** What was typed and is none, by what it was taken for. */
  readonly mended: ReadonlyMap<string, string>
}

/** Shortest word that is mended. */
const LEAST = 4
const MOST_TERMS = 8
const LETTERS = 'abcdefghijklmnopqrstuvwxyz0123456789'

/** Words typed, each mended by one edit where no word of the index begins with it. */
export async function askedWords(knex: Knex, typed: string): Promise<AskedWords> {
  const mended = new Map<string, string>()
  const terms: string[] = []
  for (const term of termsOf(typed).slice(0, MOST_TERMS)) {
    // What holds a figure is a size or a number: it is not taken for another.
    const known = term.length < LEAST || /\d/.test(term) || (await beginning(knex, [term])).size > 0
    const better = known ? null : await mend(knex, term)
    if (better) mended.set(term, better)
    terms.push(better ?? term)
  }
  const asked = await Promise.all(terms.map((term) => matchOf(knex, term)))
  return { terms, match: asked.join(' AND '), mended }
}

/** So many words that begin so are asked for one by one: the index steps through them, and reads all of a beginning at once. */
const MOST_WORDS = 12

/** A word as a beginning, quoted: nothing typed is a command to the index. */
async function matchOf(knex: Knex, term: string): Promise<string> {
  const words = (await knex.raw(
    `SELECT term FROM search_term WHERE term >= ? AND term < ? LIMIT ${MOST_WORDS + 1}`,
    [term, term + LAST],
  )) as { term: string }[]
  return words.length === 0 || words.length > MOST_WORDS
    ? `"${term}"*`
    : `(${words.map((word) => `"${word.term}"`).join(' OR ')})`
}
/** After every letter. */
const LAST = '\u{10FFFF}'

/** Those of some words that a word of the index begins with. */
async function beginning(knex: Knex, words: readonly string[]): Promise<ReadonlySet<string>> {
  const rows = (await knex.raw(
    `WITH asked(word) AS (VALUES ${words.map(() => '(?)').join(', ')})
     SELECT word FROM asked WHERE EXISTS (SELECT 1 FROM search_term WHERE term >= word AND term < word || ?)`,
    [...words, LAST],
  )) as { word: string }[]
  return new Set(rows.map(({ word }) => word))
}

/** A word of the index one edit from what was typed, with the same first letter before others; then one that begins so. */
async function mend(knex: Knex, term: string): Promise<string | null> {
  const near = [...oneEdit(term, LETTERS)].sort(
    (p, q) => Number(q[0] === term[0]) - Number(p[0] === term[0]) || (p < q ? -1 : 1),
  )
  const known = (await knex.raw(
    `SELECT term FROM search_term WHERE term IN (${near.map(() => '?').join(', ')})`,
    near,
  )) as { term: string }[]
  const whole = new Set(known.map((row) => row.term))
  const found = near.find((one) => whole.has(one))
  if (found !== undefined || term.length === LEAST) return found ?? null
  const begun = await beginning(knex, near)
  return near.find((one) => begun.has(one)) ?? null
}

/** Rows of one kind that hold every word, in the order they were put in; unranked. @param after the last entry seen */
export async function findWords(
  knex: Knex,
  { match }: Pick<AskedWords, 'match'>,
  kind: EntryKind,
  most: number,
  after = -1,
): Promise<{ entry: number; rowId: string }[]> {
  if (match === '') return []
  const [from, below] = rangeOf(kind)
  return knex.raw(
    `SELECT w.rowid AS entry, e.row_id FROM search_word w JOIN search_entry e ON e.id = w.rowid
     WHERE search_word MATCH ? AND w.rowid > ? AND w.rowid < ? LIMIT ?`,
    [match, Math.max(from, after), below, most],
  )
}
