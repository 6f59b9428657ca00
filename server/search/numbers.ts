import type { Knex } from 'knex'
import {
  type KnownIssuer,
  LEAST,
  type NumberMatch,
  type Readings,
  readLine,
  readWhole,
} from '../../core/identity/number-search.ts'
import { oneEdit } from '../../core/identity/one-edit.ts'

/** A number of the index, with how it has to do with what was typed. */
export interface FoundNumber {
  readonly issuerId: string
  readonly key: string
  readonly match: NumberMatch
}
interface Row {
  readonly issuerId: string
  readonly key: string
}

/** After every key that begins so. */
const AFTER = '\u{10FFFF}'

/**
 * Numbers like what was typed, in any spelling, the closest first: equal under any issuer's rule (the number inside a pasted
 * line as well), beginning with it, O for 0 and I for 1, zeros in front, other suffixes, holding it, one edit apart.
 */
export async function findNumbers(
  knex: Knex,
  typed: string,
  issuers: readonly KnownIssuer[],
  most: number,
): Promise<FoundNumber[]> {
  const found = new Map<string, FoundNumber>()
  const add = (match: NumberMatch, rows: readonly Row[]): void => {
    for (const { issuerId, key } of rows) {
      if (found.size >= most) return
      const at = `${issuerId} ${key}`
      if (!found.has(at)) found.set(at, { issuerId, key, match })
    }
  }
  const whole = readWhole(typed, issuers)
  const line = /\s/.test(typed.trim()) ? readLine(typed, issuers) : whole
  add('equal', await equalTo(knex, whole, most))
  if (line !== whole) add('equal', await equalTo(knex, line, most))
  const keys = [...whole.keys()]
  const among = (match: NumberMatch): string[] =>
    keys.filter((key) => key.length >= LEAST[match] && key.length <= LONGEST)
  for (const key of among('begins')) {
    if (found.size >= most) break
    add('begins', await rows(knex, 'key > ? AND key < ?', [key, key + AFTER], most))
  }
  for (const [match, column, of] of [
    ['look-alike', 'folded', (key: string) => key.replaceAll('O', '0').replaceAll('I', '1')],
    ['zeros', 'bare', (key: string) => key.replace(/^0+/, '')],
    ['suffix', 'core', (key: string) => key.split('+')[0]!],
  ] as const) {
    if (found.size >= most) break
    const wanted = [...new Set(among(match).map(of))].filter((one) => one !== '')
    if (wanted.length > 0)
      add(
        match,
        await rows(knex, `${column} IN (${wanted.map(() => '?').join(', ')})`, wanted, most),
      )
  }
  for (const key of among('holds')) {
    if (found.size >= most) break
    add('holds', await holding(knex, key, most))
  }
  for (const key of among('one edit')) {
    if (found.size >= most) break
    add('one edit', await near(knex, key, most))
  }
  return [...found.values()]
}

/** Longer than any number. */
const LONGEST = 40

const rows = (knex: Knex, where: string, values: readonly string[], most: number): Promise<Row[]> =>
  knex.raw(
    `SELECT issuer_id, key FROM search_number WHERE ${where} ORDER BY key, issuer_id LIMIT ${most}`,
    [...values],
  )

async function equalTo(knex: Knex, readings: Readings, most: number): Promise<Row[]> {
  const keys = [...readings.keys()]
  if (keys.length === 0) return []
  const held = await rows(knex, `key IN (${keys.map(() => '?').join(', ')})`, keys, 20 * most)
  return held.filter(({ issuerId, key }) => readings.get(key)!.has(issuerId))
}

/** Numbers that hold a key, unranked: the first that the index comes to. */
async function holding(knex: Knex, key: string, most: number): Promise<Row[]> {
  return knex.raw(
    `SELECT n.issuer_id, n.key FROM search_gram g JOIN search_number n ON n.id = g.rowid WHERE search_gram MATCH ? LIMIT ${most}`,
    [`"${key.replaceAll('"', '""')}"`],
  )
}

const AT_ONCE = 500

async function near(knex: Knex, key: string, most: number): Promise<Row[]> {
  const words = [...oneEdit(key)]
  const found: Row[] = []
  for (let i = 0; i < words.length && found.length < most; i += AT_ONCE) {
    const own = words.slice(i, i + AT_ONCE)
    found.push(...(await rows(knex, `key IN (${own.map(() => '?').join(', ')})`, own, most)))
  }
  return found.sort((p, q) => (p.key < q.key ? -1 : p.key > q.key ? 1 : 0))
}
